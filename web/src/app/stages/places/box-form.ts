import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { boxGear, catalogueOf, type Gear, type Weather, WEATHERS } from '@meridex/core';
import { NzCheckboxModule } from 'ng-zorro-antd/checkbox';
import { NzInputModule } from 'ng-zorro-antd/input';
import { Choice } from '../../ui/choice';
import { NumberField } from '../../ui/number-field';
import { Mark } from '../../pictures/mark';
import { DesignService } from '../../data/design.service';

const INSIDE: Readonly<Record<Weather, string>> = { dry: 'dry, dust stays out', dust: 'dust gets in', splash: 'splashes get in', spray: 'open to spray' };

/** A box is built round the chosen thing, and round what stands with it on its face. */
@Component({
  selector: 'mx-box-form',
  imports: [FormsModule, NzCheckboxModule, NzInputModule, Choice, NumberField, Mark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './box-form.html',
  styleUrl: './there-before.less',
})
export class BoxForm {
  private readonly designs = inject(DesignService);
  readonly gear = input.required<Gear>();
  /** All gear, of which that on the same face may come into the box too. */
  readonly all = input.required<readonly Gear[]>();
  readonly closed = output();

  protected readonly weathers = WEATHERS.filter((w) => w !== 'spray');
  protected readonly inside = (w: Weather): string => INSIDE[w];
  protected readonly name = signal('');
  protected readonly weather = signal<Weather>('dry');
  protected readonly airMm = signal(40);
  protected readonly sealed = signal(true);
  protected readonly refused = signal<string | null>(null);
  private readonly more = signal<ReadonlySet<string>>(new Set());
  protected readonly beside = computed(() =>
    this.all()
      .filter((g) => g.face === this.gear().face && g.id !== this.gear().id && !['starting', 'there', 'panel'].includes(g.role))
      .map((g) => ({ id: g.id, name: g.name, on: this.more().has(g.id) })),
  );

  protected turn(id: string): void {
    this.more.update((had) => {
      const ids = new Set(had);
      if (!ids.delete(id)) ids.add(id);
      return ids;
    });
  }

  protected build(): void {
    const design = this.designs.openDesign();
    const ids = [this.gear().id, ...this.beside().flatMap((b) => (b.on ? [b.id] : []))];
    const boxed = boxGear(design, catalogueOf(design), ids, { name: this.name(), weather: this.weather(), airMm: this.airMm(), sealed: this.sealed() });
    if (!boxed.ok) return this.refused.set(boxed.message);
    const { vehicle, places } = boxed.design;
    this.refused.set(this.designs.edit(`a box round the ${this.gear().plain}`, (d) => void Object.assign(d, { vehicle, places })));
    if (this.refused() === null) this.closed.emit();
  }
}
