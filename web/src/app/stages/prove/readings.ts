import { ChangeDetectionStrategy, Component, computed, effect, inject, linkedSignal, signal, untracked } from '@angular/core';
import { type Beside, besideKey, figure, isOverdue, type ProveRow, readTypedNumber, sentence, type Verdict } from '@meridex/core';
import { Photos } from '../../photos/photos';
import { Mark } from '../../pictures/mark';
import { isoDay } from '../../ui/iso-day';
import { AssessmentService } from '../../data/assessment.service';
import { DesignService } from '../../data/design.service';
import { PhotoService } from '../../data/photo.service';
import { RecordService } from '../../data/record.service';
import { TestPlanService } from '../../data/test-plan.service';
import { ALONE, impossible, judgedGroups, type JudgedRow, soaked } from './judged';

const KEYS = ['7', '8', '9', '4', '5', '6', '1', '2', '3', '±', '0', '.'] as const;
const METERS = { volt: 'voltmeter', clamp: 'clamp meter', shunt: 'shunt, or a meter in the lead' } as const;
/** Instruments that go by the unit, since the workshop keeps no class of theirs. */
const OTHERS: Readonly<Partial<Record<ProveRow['unit'], string>>> = { '°C': 'thermometer', ms: 'tester of residual-current devices', mV: 'voltmeter, on millivolts' };
const VERDICTS: Readonly<Record<Verdict, string>> = { agrees: 'agrees', near: 'near', 'not-yet': 'not yet', unit: 'which unit?', off: 'off', reversed: 'reversed', impossible: 'impossible' };
const CAUTIONS: Readonly<Record<string, string>> = {
  [ALONE]: 'Measure on the load’s own terminals, its circuit on, all else off.',
  soak: 'Somebody stays with it: read, feel every box and lug, and stop it at the figure above, at a smell, or at anything too hot to hold.',
  residual: '230 V kills. Only the licensed electrician opens, tests and writes this down.',
};
/** What is written down beside a group, since a reading that falls short may rest on it. */
const BESIDE: Readonly<Record<Beside, { readonly words: string; readonly unit: '%' | 'W/m²' | '°C'; readonly least: number; readonly most: number }>> = {
  charge: { words: 'Charge of the bank now', unit: '%', least: 0, most: 100 },
  sun: { words: 'Light on the panels', unit: 'W/m²', least: 0, most: 1400 },
  outside: { words: 'Air outside, in the shade', unit: '°C', least: -30, most: 60 },
};

/** What each meter should read, what it did read, and whether that is right. One column, number pad, one hand. */
@Component({
  selector: 'mx-readings',
  imports: [Mark, Photos],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './readings.html',
  styleUrl: './readings.less',
})
export class ReadingsSheet {
  private readonly assessments = inject(AssessmentService);
  private readonly designs = inject(DesignService);
  protected readonly records = inject(RecordService);
  protected readonly tests = inject(TestPlanService);
  protected readonly photos = inject(PhotoService);
  protected readonly figure = figure;
  protected readonly sentence = sentence;
  protected readonly meterOf = (row: ProveRow): string => OTHERS[row.unit] ?? METERS[row.meter.kind];
  /** The class of the instrument that a reading is judged by, as the workshop keeps it. */
  protected readonly classOf = (row: ProveRow): string => {
    const other = OTHERS[row.unit];
    if (other) return `${sentence(other)} ± ${figure(row.tolerance, 1)} ${row.unit}, by default`;
    const { name, share, absolute } = this.designs.openDesign().settings.meters[row.meter.kind];
    return `${sentence(name || METERS[row.meter.kind])} ± (${figure(100 * share, 1)} % + ${figure(absolute, 2)} ${row.unit})${name ? '' : ', by default'}`;
  };
  /** What is said of an instrument whose check is overdue. */
  protected readonly overdue = (row: ProveRow): string | null => {
    const { name, checkedOn } = this.designs.openDesign().settings.meters[row.meter.kind];
    if (row.unit === '°C' || row.unit === 'ms' || !isOverdue(checkedOn, isoDay(new Date()))) return null;
    return `${sentence(name || METERS[row.meter.kind])}: last checked on ${checkedOn}, more than a year ago. Check it against another before it judges a rig.`;
  };
  protected readonly keys = KEYS;
  protected readonly BESIDE = BESIDE;
  protected readonly VERDICTS = VERDICTS;
  protected readonly typed = signal('');
  protected readonly says = signal<string | null>(null);
  private readonly picked = signal<string | null>(null);
  protected readonly groups = computed(() => judgedGroups(this.assessments.assessment()?.prove ?? [], this.tests.plan(), this.records.readings()));
  protected readonly pairs = computed(() => impossible(this.tests.plan(), this.records.readings()));
  protected readonly soaks = computed(() => soaked(this.tests.plan(), this.records.readings()));
  private readonly rows = computed(() => this.groups().flatMap((g) => g.rows));
  protected readonly chosen = computed<ProveRow | null>(() => {
    const rows = this.rows();
    return (rows.find((r) => r.row.id === this.picked()) ?? rows.find((r) => !r.reading) ?? rows[0])?.row ?? null;
  });
  private readonly chosenId = computed(() => this.chosen()?.id ?? null);
  /** The group that is open: the one of the chosen reading, until another is opened. What is kept meanwhile does not close it. */
  protected readonly here = linkedSignal({
    source: this.chosenId,
    computation: (id) => untracked(this.groups).find((g) => g.rows.some((r) => r.row.id === id))?.id ?? null,
  });

  protected readonly caution = computed(() => CAUTIONS[this.here() ?? ''] ?? 'Keep clear of belt and fan; a clamp goes round one lead alone.');

  constructor() {
    effect(() => {
      this.chosen()?.id;
      this.says.set(null);
    });
  }

  protected pick(row: ProveRow): void {
    this.picked.set(row.id);
    this.typed.set('');
  }

  protected opened(group: string, open: boolean): void {
    if (open) this.here.set(group);
  }

  protected press(key: string): void {
    this.says.set(null);
    if (key === '±') this.typed.update((t) => (t.startsWith('-') ? t.slice(1) : `-${t}`));
    else this.typed.update((t) => t + key);
  }

  protected back(): void {
    this.typed.update((t) => t.slice(0, -1));
  }

  protected beside(group: string, what: Beside): string {
    const read = this.records.readings().get(besideKey(group, what));
    return read ? figure(read.value, 0) : '';
  }

  protected keepBeside(group: string, what: Beside, box: HTMLInputElement): void {
    const { words, unit, least, most } = BESIDE[what];
    const value = readTypedNumber(box.value, { name: words, unit, min: least, max: most });
    if (value.ok) this.records.read(besideKey(group, what), value.value, unit);
    this.says.set(value.ok ? null : value.message);
  }

  protected keep(): void {
    const row = this.chosen();
    if (!row) return;
    const value = readTypedNumber(this.typed(), { name: row.where, unit: row.unit, min: -100_000, max: 100_000 });
    if (!value.ok) {
      this.says.set(value.message);
      return;
    }
    this.records.read(row.id, value.value, row.unit);
    this.typed.set('');
    this.says.set(null);
    // What can be read as things stand comes first; only then they are made to stand otherwise.
    const as = this.groups().find((g) => g.rows.some((r) => r.row.id === row.id))?.rows ?? [];
    const after = (rows: readonly JudgedRow[]): readonly JudgedRow[] => {
      const here = rows.findIndex((r) => r.row.id === row.id);
      return [...rows.slice(here + 1), ...rows.slice(0, here)];
    };
    const next = [...after(as), ...after(this.rows())].find((r) => !r.reading && r.row.id !== row.id);
    this.picked.set(next?.row.id ?? row.id);
  }
}
