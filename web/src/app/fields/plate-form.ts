import { ChangeDetectionStrategy, Component, computed, effect, inject, input, output, signal, untracked } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { CHEMISTRIES, CHEMISTRY, doCommands, figure, type Part, type PartKind, patchBetween, PLATES, readOwnPart } from '@meridex/core';
import { NzInputModule } from 'ng-zorro-antd/input';
import { Mark } from '../pictures/mark';
import { DesignService } from '../services/design.service';
import { OwnPartsService } from '../services/own-parts.service';
import { Choice } from './choice';
import { NumberField } from './number-field';

/** Figures of data sheets in the trade's words, with their unit and the most that is accepted. */
const FIGURES: Readonly<Record<string, readonly [words: string, unit: string, most: number]>> = {
  capacityAh: ['Capacity', 'Ah', 2000],
  outputA: ['Output', 'A', 200],
  outputV: ['Output', 'V', 48],
  inputV: ['Input', 'V', 48],
  ratedA: ['Rated', 'A', 2000],
  ratedW: ['Rated', 'W', 10000],
  vocV: ['Open-circuit', 'V', 150],
  vmpV: ['Volts at its best', 'V', 150],
  impA: ['Amps at its best', 'A', 50],
  iscA: ['Short-circuit', 'A', 50],
  maxA: ['Largest current', 'A', 200],
  maxV: ['Largest panel volts', 'V', 250],
  maxFuseA: ['Largest fuse', 'A', 500],
  continuousA: ['Gives steadily', 'A', 2000],
  peakA: ['Gives for seconds', 'A', 5000],
  surgeW: ['Surge', 'W', 20000],
  acW: ['Takes from mains', 'W', 5000],
  efficiency: ['Efficiency, 0 to 1', '', 1],
  cutOutV: ['Cuts out below', 'V', 48],
  standbyMa: ['Standby', 'mA', 1000],
  closeV: ['Closes at', 'V', 48],
  closeAfterS: ['Closes after', 's', 600],
  openV: ['Opens at', 'V', 48],
  openAfterS: ['Opens after', 's', 600],
  wayA: ['Each way', 'A', 200],
  totalA: ['All ways', 'A', 1000],
  milliohm: ['Resistance', 'mΩ', 100],
  dropMv: ['Drop at rated', 'mV', 200],
  ownMa: ['Own draw', 'mA', 1000],
  ways: ['Ways', '', 60],
  barsA: ['Bars', 'A', 1000],
  kg: ['Weight', 'kg', 500],
  price: ['Price', '', 100000],
};
const WORDS: Readonly<Record<string, readonly string[]>> = { chemistry: CHEMISTRIES, way: ['mppt', 'pwm'] };
type Said = Readonly<Record<string, number | string>>;
const START: Partial<Record<PartKind, Said>> = { battery: { chemistry: 'agm' }, 'solar-controller': { way: 'mppt' } };

/** A data sheet typed once: the plate's figures first, the rest defaulted; kept for the workshop and used in the job at once. */
@Component({
  selector: 'mx-plate-form',
  imports: [FormsModule, NzInputModule, Choice, NumberField, Mark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './plate-form.html',
  styles: `
    .plate {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
      gap: 10px;
      align-items: end;
    }
    details {
      margin-top: 8px;
    }
    summary {
      cursor: pointer;
      margin-bottom: 6px;
    }
    .shelf {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 8px;
      margin: 10px 0 0;
    }
  `,
})
export class PlateForm {
  readonly kind = input.required<PartKind>();
  readonly made = output<Part>();
  private readonly designs = inject(DesignService);
  private readonly parts = inject(OwnPartsService);
  protected readonly name = signal('');
  protected readonly plate = signal<Said>({});
  protected readonly refused = signal<string | null>(null);
  protected readonly fields = computed(() => Object.keys(PLATES[this.kind()].required));
  protected readonly figureOf = (key: string): readonly [string, string, number] => FIGURES[key] ?? [key, '', 100000];
  protected readonly wordsOf = (key: string): readonly string[] | undefined => WORDS[key];
  protected readonly wordFor = (w: string): string => (w in CHEMISTRY ? CHEMISTRY[w as keyof typeof CHEMISTRY].name : w.toUpperCase());
  /** Figures that follow from the plate's, with what each would be. */
  protected readonly rest = computed(() => {
    const { required, rest } = PLATES[this.kind()] as { required: object; rest: (plate: unknown) => Record<string, unknown> };
    const said = Object.keys(required).every((k) => this.plate()[k] !== undefined);
    return said ? Object.entries(rest(this.plate())).flatMap(([key, usual]) => (typeof usual === 'number' ? [{ key, usual: figure(usual, Number.isInteger(usual) ? 0 : 2) }] : [])) : [];
  });

  constructor() {
    effect(() => {
      const kind = this.kind();
      untracked(() => {
        this.plate.set(START[kind] ?? {});
        this.refused.set(null);
      });
    });
  }

  protected say(key: string, value: number | string | null): void {
    const { [key]: _, ...rest } = this.plate();
    this.plate.set(value === null ? rest : { ...rest, [key]: value });
  }

  /** Into the job, and kept for the next one. */
  protected async keep(): Promise<void> {
    const own = readOwnPart({ kind: this.kind(), name: this.name(), ...this.plate() });
    const design = this.designs.design();
    if (!own.ok || !design) return this.refused.set(own.ok ? 'No job is open.' : own.message);
    const done = doCommands(design, [{ do: 'addPart', with: own.part }]);
    this.refused.set(done.ok ? this.designs.apply(`own part: ${own.part.name}`, patchBetween(design, done.design)) : done.message);
    if (this.refused() !== null) return;
    this.name.set('');
    this.made.emit(own.part);
    await this.parts.keep(own.part);
  }
}
