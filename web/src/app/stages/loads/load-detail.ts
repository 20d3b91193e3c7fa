import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { type DayLoad, figure, type Load, PURPOSES, type Purpose, wattsForLight } from '@meridex/core';
import { NzCheckboxModule } from 'ng-zorro-antd/checkbox';
import { NzSelectModule } from 'ng-zorro-antd/select';
import { Choice } from '../../ui/choice';
import { NamedSelect } from '../../ui/named-select';
import { NumberField } from '../../ui/number-field';
import { LoadFeed } from './load-feed';
import { DesignService } from '../../data/design.service';

type Way = Load['draw']['by'];
type Light = NonNullable<Load['light']>;

/** Everything about one load that the table has no room for. */
@Component({
  selector: 'mx-load-detail',
  imports: [FormsModule, NzCheckboxModule, NzSelectModule, NamedSelect, Choice, NumberField, LoadFeed],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './load-detail.html',
  styleUrl: './load-detail.less',
})
export class LoadDetail {
  readonly id = input.required<string>();
  readonly load = input.required<Load>();
  readonly day = input<DayLoad | undefined>(undefined);
  readonly others = input.required<readonly { readonly id: string; readonly name: string }[]>();
  private readonly designs = inject(DesignService);
  protected readonly figure = figure;
  protected readonly purposes = PURPOSES;
  protected readonly supplies = ['dc', 'mains'] as const;
  protected readonly supplyWords = (s: Load['supply']): string => (s === 'dc' ? 'DC' : 'mains, 230 V');
  protected readonly ways = ['plate', 'measured', 'energy'] as const;
  protected readonly wayWords = (w: Way): string => ({ plate: 'by its plate', measured: 'by a measured cycle', energy: 'by Wh a day' })[w];
  protected readonly uses = ['duty', 'hours', 'fridge'] as const;
  protected readonly useWords = (u: Load['use']['by']): string => ({ duty: 'a share of its hours', hours: 'hours a day', fridge: 'cold box: duty at 25 °C' })[u];
  protected readonly colours = ['white', 'warm', 'amber', 'red'] as const;
  protected readonly never = computed(() => Object.keys(this.load().neverWith).filter((id) => this.others().some((o) => o.id === id)));

  protected set(label: string, change: Partial<Load>): void {
    this.designs.edit(label, (d) => {
      const load = d.loads[this.id()];
      if (load) Object.assign(load, change);
    });
  }

  /** Another way to say the draw, starting from what the old one came to. */
  protected setWay(by: Way): void {
    const [day, { draw, supply }] = [this.day(), this.load()];
    if (by === draw.by) return;
    const ownW = day?.ownW ?? 0;
    const volts = supply === 'mains' ? 230 : day && day.runningA > 0 ? day.runningW / day.runningA : 12;
    const next: Load['draw'] =
      by === 'plate'
        ? { by, unit: 'W', value: Math.round(ownW * 10) / 10 }
        : by === 'energy'
          ? { by, whDay: Math.round(day?.whDay ?? 0) }
          : { by, onA: Math.round((10 * ownW) / volts) / 10, onS: 300, offS: day && day.duty > 0 ? Math.round(300 / day.duty - 300) : 600 };
    this.set(`draw ${this.wayWords(by)}`, { draw: next });
  }

  protected setUse(by: Load['use']['by']): void {
    const duty = Math.min(1, this.day()?.duty ?? 0.5);
    const use: Load['use'] = by === 'hours' ? { by, hours: 1 } : by === 'duty' ? { by, duty } : { by, duty25: Math.round(100 * duty) / 100, insideC: 4 };
    this.set('how long a load runs', { use });
  }

  protected setInside(insideC: number | null): void {
    const { use } = this.load();
    if (use.by === 'fridge' && insideC !== null) this.set('kept at', { use: { ...use, insideC } });
  }

  protected setDraw(draw: Load['draw']): void {
    this.set('draw', { draw });
  }

  protected setAlso(change: Partial<Load['also']>): void {
    this.set('what else feeds it', { also: { ...this.load().also, ...change } });
  }

  protected setNever(ids: readonly string[]): void {
    this.set('never at the same time', { neverWith: Object.fromEntries(ids.map((id) => [id, true as const])) });
  }

  /** Lumens or colour of a light, with the watts that they ask for. */
  protected setLight(change: Partial<Light> | null): void {
    if (!change) return this.set('no light', { light: null });
    const light: Light = { lumens: 500, colour: 'warm', ...this.load().light, ...change };
    this.set('light', { light, purpose: 'lights', draw: { by: 'plate', unit: 'W', value: Math.round(10 * wattsForLight(light.lumens, light.colour)) / 10 } });
  }

  protected setPurpose(purpose: Purpose): void {
    this.set('kind of load', { purpose });
  }
}
