import { ChangeDetectionStrategy, Component, computed, inject, input, model, output, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { existingKey, type Face } from '@meridex/core';
import { NzInputModule } from 'ng-zorro-antd/input';
import { NumberField } from '../../ui/number-field';
import { DesignService } from '../../data/design.service';
import { PlacingService } from './placing.service';

/** What is usually found behind a lining, with its size across, up and out, mm. */
const USUAL: readonly { readonly name: string; readonly mm: readonly [number, number, number] }[] = [
  { name: 'factory socket', mm: [60, 60, 55] },
  { name: 'speaker', mm: [170, 170, 70] },
  { name: 'old unit', mm: [200, 150, 80] },
  { name: 'bracket', mm: [120, 60, 40] },
];
const SIDES = ['Across', 'Up', 'Out'] as const;

/** Gear that was in the vehicle before: marked on the face that is shown, so that what is new lies round it. */
@Component({
  selector: 'mx-there-before',
  imports: [FormsModule, NzInputModule, NumberField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '[class.unseen-panel]': '!open() && !waiting().length' },
  templateUrl: './there-before.html',
  styleUrl: './there-before.less',
})
export class ThereBefore {
  private readonly designs = inject(DesignService);
  private readonly placing = inject(PlacingService);
  readonly face = input.required<Face>();

  protected readonly usual = USUAL;
  protected readonly sides = SIDES;
  /** Something is about to be marked. */
  readonly open = model(false);
  /** Key of what was marked, which has its place once the plan is worked out anew. */
  readonly marked = output<string>();
  protected readonly name = signal('');
  protected readonly mm = signal<readonly [number, number, number]>([100, 100, 60]);
  /** Of the brief: what stays and is not on any face yet. */
  protected readonly waiting = computed(() => {
    const { brief, places } = this.designs.openDesign();
    return Object.entries(brief.existing).flatMap(([id, e]) => (e.verdict !== 'remove' && !places[existingKey(id)]?.on ? [{ id, name: e.name || 'unnamed gear', mm: e.mm }] : []));
  });
  /** The one of those that is about to be marked; null: something that the brief does not name yet. */
  protected readonly known = signal<string | null>(null);

  protected take(name: string, mm: readonly [number, number, number] | null, known: string | null): void {
    this.open.set(true);
    this.known.set(known);
    this.name.set(name);
    if (mm) this.mm.set(mm);
  }

  protected size(i: number, value: number | null): void {
    if (value !== null) this.mm.update((mm) => [i === 0 ? value : mm[0], i === 1 ? value : mm[1], i === 2 ? value : mm[2]]);
  }

  protected mark(): void {
    this.marked.emit(this.placing.mark(this.name().trim() || 'what is there', this.mm(), this.face(), this.known()));
    this.open.set(false);
    this.known.set(null);
    this.name.set('');
  }
}
