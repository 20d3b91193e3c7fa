import { ChangeDetectionStrategy, Component, computed, effect, inject, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { figure, supplyOf, type SunWay, type UsualSupply } from '@meridex/core';
import { NzCheckboxModule } from 'ng-zorro-antd/checkbox';
import { Choice } from '../../ui/choice';
import { NumberField } from '../../ui/number-field';
import { PartSelect } from '../../fields/part-select';
import { Mark } from '../../pictures/mark';
import { MonthBars } from '../../pictures/month-bars';
import { AnalysisService } from '../../data/analysis.service';
import { SupplyPanel } from './panel';

type Portable = NonNullable<UsualSupply['sun']['portable']>;

/** Panels, what regulates them, what is lost and clipped, and one box against two by the trip's own Ah. */
@Component({
  selector: 'mx-sun-panel',
  imports: [FormsModule, NzCheckboxModule, Choice, NumberField, PartSelect, MonthBars, Mark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './sun-panel.html',
  styleUrl: './panel.less',
})
export class SunPanel extends SupplyPanel {
  private readonly analysis = inject(AnalysisService);
  protected readonly ways = signal<readonly SunWay[]>([]);
  protected readonly intos = ['bank', 'panels'] as const;
  protected readonly intoWords = (i: Portable['into']): string => (i === 'bank' ? 'straight to the bank' : 'the panels’ input');
  protected readonly worst = computed(() => Math.max(...(this.f().array?.pwmLossByMonth ?? [0])));
  protected readonly pwmWords = computed(() => `a PWM controller would lose up to ${figure(100 * this.worst(), 0)} % of these panels`);

  constructor() {
    super();
    effect(() => {
      const design = this.designs.design();
      if (design) void this.analysis.ask({ what: 'sun ways', design }).then((ways) => ways && this.ways.set(ways));
    });
  }

  protected setSun(label: string, change: Partial<UsualSupply['sun']>): void {
    this.designs.edit(label, (d) => void Object.assign(supplyOf(d).sun, change));
  }

  protected setPortable(panel: string | null): void {
    this.setSun('portable panel', { portable: panel === null ? null : { regulated: true, into: 'bank', hours: 6, ...this.s().sun.portable, panel } });
  }

  protected changePortable(change: Partial<Portable>): void {
    const { portable } = this.s().sun;
    if (portable) this.setSun('portable panel', { portable: { ...portable, ...change } });
  }
}
