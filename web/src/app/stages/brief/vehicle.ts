import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { type Brief, climateOf, figure, REGIONS, TRACE_VOLTS, type TraceVolts, type Trip, tripDays, USES, VEHICLE_KINDS, vehicleOf, VEHICLE_TEMPLATES, type VehicleKind } from '@meridex/core';
import { NzCheckboxModule } from 'ng-zorro-antd/checkbox';
import { NzInputModule } from 'ng-zorro-antd/input';
import { Choice } from '../../ui/choice';
import { NumberField } from '../../ui/number-field';
import { type ShopRules, ShopRulesFields } from '../../fields/shop-rules';
import { TripDays } from '../../pictures/trip-days';
import { VehiclePicture } from '../../pictures/vehicle-picture';
import { AssessmentService } from '../../data/assessment.service';
import { DesignService } from '../../data/design.service';
import { MAINS_NIGHTS, MONTH_NAMES } from './words';

/** Customer, vehicle, trip and the workshop's way, field by field. */
@Component({
  selector: 'mx-vehicle-sheet',
  imports: [FormsModule, NzCheckboxModule, NzInputModule, Choice, NumberField, ShopRulesFields, TripDays, VehiclePicture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './vehicle.html',
  styleUrl: './vehicle.less',
})
export class VehicleSheet {
  protected readonly designs = inject(DesignService);
  protected readonly assessments = inject(AssessmentService);
  protected readonly figure = figure;
  protected readonly brief = computed(() => this.designs.openDesign().brief);
  protected readonly settings = computed(() => this.designs.openDesign().settings);
  protected readonly climate = computed(() => climateOf(this.brief().trip));
  protected readonly days = computed(() => tripDays(this.brief().trip));
  protected readonly kinds = VEHICLE_KINDS;
  protected readonly vehicle = computed(() => vehicleOf(this.designs.openDesign()));
  protected readonly kindWords = (k: VehicleKind): string => VEHICLE_TEMPLATES[k].name;
  protected readonly uses = USES;
  protected readonly volts = [12, 24] as const;
  protected readonly inVolts = (v: number): string => `${v} V`;
  protected readonly varies = ['variable', 'fixed'] as const;
  protected readonly variesWords = (v: string): string => (v === 'variable' ? 'variable (smart)' : 'fixed');
  protected readonly months = MONTH_NAMES.map((_, i) => i + 1);
  protected readonly monthWords = (m: number): string => MONTH_NAMES[m - 1]!;
  protected readonly regions = [null, ...REGIONS.map((r) => r.id)];
  protected readonly regionWords = (id: string | null): string => REGIONS.find((r) => r.id === id)?.name ?? 'typed by hand';
  protected readonly nights = MAINS_NIGHTS;
  protected readonly measuredFields = [
    { key: 'coldIdleV', name: 'Idle, just started' },
    { key: 'cruiseV', name: 'Cruising' },
    { key: 'overrunV', name: 'Overrun' },
    { key: 'warmIdleV', name: 'Idle, warm' },
  ] as const satisfies readonly { key: keyof TraceVolts; name: string }[];

  protected setWay({ words, change }: { readonly words: string; readonly change: Partial<ShopRules> }): void {
    this.designs.edit(words, (d) => Object.assign(d.settings, change));
  }

  protected set<K extends keyof Brief>(key: K, value: Brief[K], label: string): void {
    this.designs.edit(label, (d) => (d.brief[key] = value));
  }

  protected setKind(kind: VehicleKind): void {
    this.designs.edit(`vehicle to ${VEHICLE_TEMPLATES[kind].name}`, (d) => {
      d.brief.vehicleKind = kind;
      // Zones are the old vehicle's own; the gear goes to its usual places in the new one.
      d.places = {};
      d.vehicle = null;
      d.board = null;
      for (const run of Object.values(d.runs)) {
        delete run.via;
        delete run.avoid;
      }
    });
  }

  protected setAlternator(change: Partial<Brief['alternator']>): void {
    this.designs.edit('alternator', (d) => Object.assign(d.brief.alternator, change));
  }

  protected setMeasured(key: keyof TraceVolts, volts: number | null): void {
    if (volts === null) return;
    const { alternator, vehicleV } = this.brief();
    const scale = vehicleV / 12;
    const base = TRACE_VOLTS[alternator.voltage];
    const usual: TraceVolts = { coldIdleV: base.coldIdleV * scale, cruiseV: base.cruiseV * scale, overrunV: base.overrunV * scale, warmIdleV: base.warmIdleV * scale };
    this.setAlternator({ measured: { ...(alternator.measured ?? usual), [key]: volts } });
  }

  protected setTrip(change: Partial<Trip>): void {
    this.designs.edit('trip', (d) => Object.assign(d.brief.trip, change));
  }

  protected setDay(change: { readonly day: number; readonly drivingH?: number; readonly mainsH?: number } | { readonly day: number; readonly reset: true }): void {
    this.designs.edit(`day ${change.day} of the trip`, (d) => {
      const key = String(change.day);
      if ('reset' in change) delete d.brief.trip.dayEdits[key];
      else {
        const { day: _, ...hours } = change;
        d.brief.trip.dayEdits[key] = { ...d.brief.trip.dayEdits[key], ...hours };
      }
    });
  }
}
