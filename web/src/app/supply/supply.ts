import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { amps, CHEMISTRY, figure, type PartKind, type PartOf, SHIPPED_CATALOGUE, type Supply } from '@meridex/core';
import { NzSelectModule } from 'ng-zorro-antd/select';
import { NamedSelect } from '../fields/named-select';
import { NumberField } from '../fields/number-field';
import { Mark } from '../pictures/mark';
import { TripBand } from '../pictures/trip-band';
import { AssessmentService } from '../services/assessment.service';
import { DesignService } from '../services/design.service';
import { ThemeService } from '../services/theme.service';

/** Battery, charging and inverter from the catalogue, with what they come to. */
@Component({
  selector: 'mx-supply',
  imports: [FormsModule, NzSelectModule, NamedSelect, NumberField, TripBand, Mark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './supply.html',
  styleUrl: './supply.less',
})
export class SupplyStage {
  protected readonly designs = inject(DesignService);
  protected readonly assessments = inject(AssessmentService);
  protected readonly night = inject(ThemeService).night;
  protected readonly figure = figure;
  protected readonly amps = amps;
  protected readonly supply = computed(() => this.designs.design()!.supply);
  protected readonly settings = computed(() => this.designs.design()!.settings);
  protected readonly chemistryName = computed(() => {
    const bank = this.assessments.assessment()!.supply.bank;
    return bank ? CHEMISTRY[bank.part.chemistry].name : '';
  });
  protected readonly tripWords = computed(() => {
    const trip = this.assessments.assessment()!.trip;
    if (!trip) return 'no bank chosen';
    const day = Math.floor(trip.minSocAtH / 24) + 1;
    return `lowest ${figure(100 * trip.minSoc, 0)} % on day ${day}, ${figure(100 * trip.finalSoc, 0)} % at the end`;
  });

  protected readonly setBattery = (id: string | null) => (s: Supply) => void (s.battery.part = id);
  protected readonly setCount = (n: number | null) => (s: Supply) => void (s.battery.count = n ?? 1);
  protected readonly setHouseV = (v: 12 | 24) => (s: Supply) => void (s.houseV = v);
  protected readonly setDcdc = (id: string | null) => (s: Supply) => void (s.dcdc = id);
  protected readonly setIsolator = (id: string | null) => (s: Supply) => void (s.isolator = id);
  protected readonly setPanel = (id: string | null) => (s: Supply) => void (s.sun.panel = id);
  protected readonly setPanels = (n: number | null) => (s: Supply) => void (s.sun.count = n ?? 1);
  protected readonly setController = (id: string | null) => (s: Supply) => void (s.sun.controller = id);
  protected readonly setMains = (id: string | null) => (s: Supply) => void (s.mains.charger = id);
  protected readonly setInverter = (id: string | null) => (s: Supply) => void (s.inverter = id);
  protected readonly setBlock = (id: string | null) => (s: Supply) => void (s.fuseBlock = id);

  protected parts<K extends PartKind>(kind: K): PartOf<K>[] {
    return SHIPPED_CATALOGUE.ofKind(kind);
  }

  protected set(label: string, change: (s: Supply) => void): void {
    this.designs.edit(label, (d) => change(d.supply));
  }

  protected setUsable(percent: number | null): void {
    this.designs.edit('usable share', (d) => (d.settings.usableShare = percent === null ? null : percent / 100));
  }

  protected setIsolation(isolation: Supply['isolation']): void {
    this.set(isolation === 'dcdc' ? 'to a DC-DC charger' : isolation === 'isolator' ? 'to a sensing isolator' : 'no charging from the vehicle', (s) => {
      s.isolation = isolation;
      if (isolation === 'dcdc') s.dcdc ??= 'dcdc-25-dual';
      if (isolation === 'isolator') s.isolator ??= 'iso-140';
    });
  }
}
