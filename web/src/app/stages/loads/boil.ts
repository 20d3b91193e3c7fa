import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { boilCost, type Cooker, figure, INTO_THE_POT, catalogueOf, supplyOf } from '@meridex/core';
import { Choice } from '../../ui/choice';
import { NumberField } from '../../ui/number-field';
import { DesignService } from '../../data/design.service';

/** What a boil costs: litres and start temperature in, minutes and Ah out. */
@Component({
  selector: 'mx-boil',
  imports: [Choice, NumberField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>Boil and cook</h2>
    <p class="say">
      <b class="figure">{{ figure(cost().batteryAh, 1) }} Ah</b> a time, {{ figure(cost().boilMin, 0) }} min to the boil; <b class="figure">{{ figure(cost().batteryWh, 0) }} Wh</b> from the battery
      for {{ figure(cost().heatWh, 0) }} Wh of heat
    </p>
    <div class="row">
      <div class="field"><span class="name">Water</span><mx-number label="Water" unit="L" [min]="0.1" [max]="50" [value]="litres()" (valueChange)="litres.set($event ?? 1)" /></div>
      <div class="field"><span class="name">From</span><mx-number label="Start temperature" unit="°C" [min]="0" [max]="99" [value]="startC()" (valueChange)="startC.set($event ?? 15)" /></div>
      <mx-choice label="Cooked by" [of]="cookers" [value]="cooker()" (valueChange)="cooker.set($event)" />
      <div class="field"><span class="name">Input</span><mx-number label="Cooker input" unit="W" [min]="50" [max]="3600" [value]="powerW()" (valueChange)="powerW.set($event ?? 1000)" /></div>
      <div class="field"><span class="name">Then simmer</span><mx-number label="Simmer" unit="min" [min]="0" [max]="240" [value]="simmerMin()" (valueChange)="simmerMin.set($event ?? 0)" /></div>
    </div>
    <p class="muted narrow">Through {{ inverterWords() }}; a simmer takes 30 % of the power. Share of the power that ends in the pot: {{ figure(100 * share(), 0) }} %, default.</p>
  `,
  styles: `
    :host {
      display: block;
    }
    .row {
      display: grid;
      grid-template-columns: repeat(5, minmax(0, 1fr));
      gap: 8px;
    }
    .say {
      margin: 2px 0 6px;
    }
    @media (max-width: 700px) {
      .row {
        grid-template-columns: 1fr 1fr;
      }
    }
  `,
})
export class Boil {
  private readonly designs = inject(DesignService);
  protected readonly figure = figure;
  protected readonly cookers = Object.keys(INTO_THE_POT) as Cooker[];
  protected readonly litres = signal(1);
  protected readonly startC = signal(15);
  protected readonly cooker = signal<Cooker>('kettle');
  protected readonly powerW = signal(1200);
  protected readonly simmerMin = signal(0);
  protected readonly share = computed(() => INTO_THE_POT[this.cooker()]);
  private readonly inverter = computed(() => catalogueOf(this.designs.openDesign()).find('inverter', supplyOf(this.designs.openDesign()).inverter));
  protected readonly inverterWords = computed(() => this.inverter()?.name ?? 'an inverter of 88 %, none is chosen yet');
  protected readonly cost = computed(() =>
    boilCost({
      litres: this.litres(),
      startC: this.startC(),
      endC: 100,
      cooker: this.cooker(),
      powerW: this.powerW(),
      simmerMin: this.simmerMin(),
      simmerShare: 0.3,
      inverterW: this.inverter()?.ratedW ?? null,
      nominalV: this.designs.openDesign().supply.houseV,
    }),
  );
}
