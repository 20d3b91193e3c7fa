import { ChangeDetectionStrategy, Component, computed, effect, inject, signal } from '@angular/core';
import { figure, type ProveRow, readTypedNumber } from '@meridex/core';
import { Mark } from '../pictures/mark';
import { AssessmentService } from '../services/assessment.service';
import { RecordService } from '../services/record.service';
import { judgedRows } from './judged';

const KEYS = ['7', '8', '9', '4', '5', '6', '1', '2', '3', '±', '0', '.'] as const;
const METERS = { volt: 'voltmeter', clamp: 'clamp meter', shunt: 'shunt' } as const;

/** What each meter should read, what it did read, and whether that is right. One column, number pad, one hand. */
@Component({
  selector: 'mx-readings',
  imports: [Mark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './readings.html',
  styleUrl: './readings.less',
})
export class ReadingsSheet {
  protected readonly assessments = inject(AssessmentService);
  protected readonly records = inject(RecordService);
  protected readonly figure = figure;
  protected readonly meters = METERS;
  protected readonly keys = KEYS;
  protected readonly typed = signal('');
  protected readonly says = signal<string | null>(null);
  private readonly picked = signal<string | null>(null);
  protected readonly rows = computed(() => judgedRows(this.assessments.assessment()?.prove ?? [], this.records.readings()));
  protected readonly chosen = computed<ProveRow | null>(() => {
    const rows = this.rows();
    return (rows.find((r) => r.row.id === this.picked()) ?? rows.find((r) => !r.reading) ?? rows[0])?.row ?? null;
  });

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

  protected press(key: string): void {
    this.says.set(null);
    if (key === '±') this.typed.update((t) => (t.startsWith('-') ? t.slice(1) : `-${t}`));
    else this.typed.update((t) => t + key);
  }

  protected back(): void {
    this.typed.update((t) => t.slice(0, -1));
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
    const rows = this.rows();
    const here = rows.findIndex((r) => r.row.id === row.id);
    const next = [...rows.slice(here + 1), ...rows.slice(0, here)].find((r) => !r.reading && r.row.id !== row.id);
    this.picked.set(next?.row.id ?? row.id);
  }
}
