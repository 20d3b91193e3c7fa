import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { type Brief, type Design, VEHICLE_KINDS, VEHICLE_TEMPLATES, type VehicleKind } from '@meridex/core';
import { NzInputModule } from 'ng-zorro-antd/input';
import { NzSelectModule } from 'ng-zorro-antd/select';
import { NamedSelect } from '../fields/named-select';
import { NumberField } from '../fields/number-field';
import { VehiclePicture } from '../pictures/vehicle-picture';
import { AssessmentService } from '../services/assessment.service';
import { DesignService } from '../services/design.service';

const MONTHS = ['January', 'February', 'March', 'April', 'May', 'June', 'July', 'August', 'September', 'October', 'November', 'December'];

/** Customer, vehicle and trip. */
@Component({
  selector: 'mx-brief',
  imports: [FormsModule, RouterLink, NzInputModule, NzSelectModule, NamedSelect, NumberField, VehiclePicture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './brief.html',
  styleUrl: './brief.less',
})
export class BriefStage {
  protected readonly designs = inject(DesignService);
  protected readonly assessments = inject(AssessmentService);
  protected readonly brief = computed(() => this.designs.design()!.brief);
  protected readonly kinds = VEHICLE_KINDS.map((k) => ({ id: k, name: VEHICLE_TEMPLATES[k].name }));
  protected readonly insulations = [70, 90, 105, 125] as const;
  protected readonly months = MONTHS.map((name, i) => ({ id: i + 1, name }));

  protected readonly settings = computed(() => this.designs.design()!.settings);

  protected setWay(change: Partial<Design['settings']>): void {
    this.designs.edit('the workshop’s way', (d) => Object.assign(d.settings, change));
  }

  protected set<K extends keyof Brief>(key: K, value: Brief[K], label: string): void {
    this.designs.edit(label, (d) => (d.brief[key] = value));
  }

  protected setKind(kind: VehicleKind): void {
    this.designs.edit(`vehicle to ${VEHICLE_TEMPLATES[kind].name}`, (d) => {
      d.brief.vehicleKind = kind;
      // Zones are the old vehicle's own; the gear goes to its usual places in the new one.
      d.places = {};
    });
  }

  protected setAlternator(change: Partial<Brief['alternator']>): void {
    this.designs.edit('alternator', (d) => Object.assign(d.brief.alternator, change));
  }

  protected setTrip(change: Partial<Brief['trip']>): void {
    this.designs.edit('trip', (d) => Object.assign(d.brief.trip, change));
  }
}
