import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { FormsModule } from '@angular/forms';
import type { Design } from '@meridex/core';
import { NzDatePickerModule } from 'ng-zorro-antd/date-picker';
import { NzInputModule } from 'ng-zorro-antd/input';
import { Choice } from '../ui/choice';
import { isoDay } from '../ui/iso-day';
import { NumberField } from '../ui/number-field';
import { QuoteTermsFields } from './quote-terms';

export type ShopRules = Design['settings'];
type Stud = keyof ShopRules['torqueNm'];
type MeterKind = keyof ShopRules['meters'];

/** How a workshop works, field by field: of one job, or what a new job begins with. */
@Component({
  selector: 'mx-shop-rules',
  imports: [FormsModule, NzDatePickerModule, NzInputModule, Choice, NumberField, QuoteTermsFields],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './shop-rules.html',
  styleUrl: './shop-rules.less',
})
export class ShopRulesFields {
  readonly rules = input.required<ShopRules>();
  /** What changed, in words and in data. */
  readonly changed = output<{ readonly words: string; readonly change: Partial<ShopRules> }>();
  protected readonly series = ['metric', 'gauge'] as const;
  protected readonly seriesWords = (s: ShopRules['series']): string => (s === 'metric' ? 'mm²' : 'gauge (B&S = AWG)');
  protected readonly coppers = [false, true] as const;
  protected readonly copperWords = (tinned: boolean): string => (tinned ? 'tinned' : 'plain');
  protected readonly insulations = [70, 90, 105, 125] as const;
  protected readonly inC = (c: number): string => `${c} °C`;
  protected readonly drops = ['by purpose', '5 % everywhere'] as const;
  protected readonly charts = ['rested', 'loaded'] as const;
  protected readonly chartWords = (c: ShopRules['voltsChart']): string => (c === 'rested' ? 'rested four hours' : 'lightly loaded, 0.2 V lower');
  protected readonly counts = ['their run', 'their own count'] as const;
  protected readonly countWords = (c: ShopRules['fuseMarks']['by']): string => (c === 'their run' ? 'as their run: 7, 8a, 8b' : 'by themselves: 1, 2, 3');
  protected readonly backups = ['note', 'look', 'stop'] as const;
  protected readonly backupWords = (s: ShopRules['backup']): string => ({ note: 'usual here, drafts take blades', look: 'looked at, drafts avoid it', stop: 'not to be built' })[s];
  protected readonly customs = [
    { key: 'loadMm2', name: 'Smallest cable of a load', unit: 'mm²', min: 0.5, max: 10 },
    { key: 'coldMm2', name: 'of a fridge or freezer', unit: 'mm²', min: 0.5, max: 10 },
    { key: 'feedMm2', name: 'feed of block or charger', unit: 'mm²', min: 1, max: 50 },
    { key: 'leadMm2', name: 'battery lead', unit: 'mm²', min: 1, max: 95 },
    { key: 'loadFuseA', name: 'Smallest fuse of a load', unit: 'A', min: 1, max: 15 },
  ] as const;
  protected readonly studs: readonly Stud[] = ['M4', 'M5', 'M6', 'M8', 'M10'];
  protected readonly meters: readonly { readonly kind: MeterKind; readonly name: string; readonly unit: string }[] = [
    { kind: 'volt', name: 'Voltmeter', unit: 'V' },
    { kind: 'clamp', name: 'Clamp', unit: 'A' },
    { kind: 'shunt', name: 'Shunt', unit: 'A' },
  ];

  protected readonly dayOf = (day: Date | null): string | null => (day ? isoDay(day) : null);

  protected set(change: Partial<ShopRules>): void {
    this.changed.emit({ words: 'the workshop’s way', change });
  }

  protected setCustom(key: keyof ShopRules['custom'], value: number | null): void {
    if (value !== null) this.changed.emit({ words: 'smallest sizes', change: { custom: { ...this.rules().custom, [key]: value } } });
  }

  protected setTorque(stud: Stud, value: number | null): void {
    if (value !== null) this.changed.emit({ words: `torque of ${stud}`, change: { torqueNm: { ...this.rules().torqueNm, [stud]: value } } });
  }

  protected setMarks(change: Partial<ShopRules['fuseMarks']>): void {
    this.changed.emit({ words: 'numbers of fuses', change: { fuseMarks: { ...this.rules().fuseMarks, ...change } } });
  }

  protected setMeter(kind: MeterKind, change: Partial<ShopRules['meters'][MeterKind]>): void {
    const { meters } = this.rules();
    this.changed.emit({ words: `what the ${kind} meter may be off by`, change: { meters: { ...meters, [kind]: { ...meters[kind], ...change } } } });
  }

  protected readonly withTerms = (change: Partial<ShopRules['quote']>): ShopRules['quote'] => ({ ...this.rules().quote, ...change });

  protected setMoney(change: Partial<ShopRules['money']>): void {
    this.changed.emit({ words: 'money', change: { money: { ...this.rules().money, ...change } } });
  }
}
