import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import { catalogueOf, figure, fitInside, readsAt, selectorFor, supplyOf, type UsualSupply } from '@meridex/core';
import { Choice } from '../../ui/choice';
import { NumberField } from '../../ui/number-field';
import { PartSelect } from '../../fields/part-select';
import { Mark, type MarkKind } from '../../pictures/mark';
import { SupplyPanel } from './panel';
import { Selectors } from './selectors';

type Second = NonNullable<UsualSupply['second']>;

/** The house bank: batteries, what they give and take, what they cost over their life. */
@Component({
  selector: 'mx-bank-panel',
  imports: [Choice, NumberField, PartSelect, Mark, Selectors],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './bank-panel.html',
  styleUrl: './panel.less',
})
export class BankPanel extends SupplyPanel {
  protected readonly volts = [12, 24] as const;
  protected readonly inVolts = (v: number): string => `${v} V`;
  protected readonly poles = ['positive', 'negative'] as const;
  protected readonly joins = ['parallel', 'selector'] as const;
  protected readonly joinWords = (j: Second['joined']): string => (j === 'parallel' ? 'always joined' : 'by a selector');

  protected readonly hub = computed(() => catalogueOf(this.designs.openDesign()).find('hub', this.s().hub));

  /** Lithium is too flat for a voltmeter; lead-acid is read by the workshop's chart. */
  protected reserveReads(): string {
    const b = this.f().bank;
    const chart = this.settings().voltsChart;
    const volts = b && readsAt(b.part.chemistry, 1 - b.usableShare, chart);
    return volts ? `${figure(volts * b.inSeries, 2)} V ${chart}` : 'too flat: use a shunt';
  }

  protected setBattery(part: string | null): void {
    this.designs.edit('house battery', (d) => {
      supplyOf(d).battery.part = part;
      fitInside(d, catalogueOf(d));
    });
  }

  protected setCount(count: number | null): void {
    this.set('battery count', { battery: { ...this.s().battery, count: count ?? 1 } });
  }

  protected setUsable(percent: number | null): void {
    this.designs.edit('usable share', (d) => (d.settings.usableShare = percent === null ? null : percent / 100));
  }

  protected setSecond(part: string | null): void {
    this.setSecondTo(part === null ? null : { count: 1, joined: 'selector', ...this.s().second, part });
  }

  protected changeSecond(change: Partial<Second>): void {
    const { second } = this.s();
    if (second) this.setSecondTo({ ...second, ...change });
  }

  /** A switch with one position chooses nothing: a selector takes its place with the bank that it is for. */
  private setSecondTo(second: Second | null): void {
    const selector = second?.joined === 'selector' ? selectorFor(this.designs.openDesign()) : null;
    this.set('second battery', { second, ...(selector ? { mainSwitch: selector } : {}) });
  }

  protected mark(verdict: string): MarkKind {
    return verdict === 'at the bench' ? 'waits' : (verdict as MarkKind);
  }
}
