import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { type Assumed, blankLoad, type Chip, quickAnswer } from '@meridex/core';
import { Mark } from '../pictures/mark';
import { DesignService } from '../data/design.service';
import { newId } from '../data/new-id';

/** The answer to what was asked in find or do: what it takes for granted is pressed to something else. */
@Component({
  selector: 'mx-quick-answer',
  imports: [Mark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '(document:keydown.escape)': 'closed.emit()' },
  templateUrl: './quick-answer.html',
  styleUrl: './quick-answer.less',
})
export class QuickAnswerCard {
  readonly question = input.required<string>();
  readonly closed = output();
  protected readonly designs = inject(DesignService);
  private readonly assumed = signal<Partial<Assumed>>({});
  protected readonly answer = computed(() => quickAnswer(this.question(), this.assumed()));
  protected readonly put = signal<string | null>(null);

  protected press(chip: Chip): void {
    this.assumed.update((now) => ({ ...now, ...chip.next }));
  }

  protected putIn(): void {
    const load = this.answer()?.load;
    if (!load) return;
    const refused = this.designs.edit(`load: ${load.name}`, (d) => {
      const order = 1 + Math.max(0, ...Object.values(d.loads).map((l) => l.order));
      d.loads[newId()] = { ...blankLoad(order), ...load };
    });
    this.put.set(refused ?? `${load.name} stands under Loads`);
  }
}
