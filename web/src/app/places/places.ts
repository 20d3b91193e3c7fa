import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { VEHICLE_TEMPLATES } from '@meridex/core';
import { NzSelectModule } from 'ng-zorro-antd/select';
import { NamedSelect } from '../fields/named-select';
import { VehiclePicture } from '../pictures/vehicle-picture';
import { AssessmentService } from '../services/assessment.service';
import { DesignService } from '../services/design.service';

/** Which zone each piece of gear goes to; the zone's heat goes into every cable and fuse there. */
@Component({
  selector: 'mx-places',
  imports: [FormsModule, NzSelectModule, NamedSelect, VehiclePicture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let a = assessments.assessment()!;
    <div class="bench-head">
      <h1>Places</h1>
      <span class="sum">{{ a.gear.length }} things in {{ zones().length }} zones of a {{ template().name }}</span>
    </div>
    <section class="panel picture"><mx-vehicle-picture [kind]="kind()" [gear]="a.gear" [runs]="a.runs" [chosenGear]="chosen()" (gearPicked)="chosen.set($event)" /></section>
    <section class="panel flush table">
      <table class="sheet">
        <thead>
          <tr>
            <th>gear</th>
            <th>zone</th>
            <th class="num">air °C</th>
            <th>people sit or sleep here</th>
            <th>placed by</th>
          </tr>
        </thead>
        <tbody>
          @for (g of a.gear; track g.id) {
            <tr class="pick" [class.chosen]="g.id === chosen()" (click)="chosen.set(g.id)">
              <td>{{ g.name }}</td>
              <td>
                <nz-select nzSize="small" [attr.aria-label]="'Zone of ' + g.name" [ngModel]="g.zone" (ngModelChange)="place(g.id, g.name, $event)">
                  @for (z of zones(); track z.id) {
                    <nz-option [nzValue]="z.id" [nzLabel]="z.name" />
                  }
                </nz-select>
              </td>
              <td class="num">{{ g.ambientC }}</td>
              <td>{{ g.people ? 'yes' : 'no' }}</td>
              <td class="muted">{{ g.placed ? 'you' : 'usual place' }}</td>
            </tr>
          }
        </tbody>
      </table>
    </section>
  `,
  styles: `
    .picture {
      height: 330px;
      margin-bottom: 12px;
    }
    nz-select {
      width: 210px;
    }
    .table {
      overflow: auto;
    }
  `,
})
export class PlacesStage {
  protected readonly designs = inject(DesignService);
  protected readonly assessments = inject(AssessmentService);
  protected readonly chosen = signal<string | null>(null);
  protected readonly kind = computed(() => this.designs.design()!.brief.vehicleKind);
  protected readonly template = computed(() => VEHICLE_TEMPLATES[this.kind()]);
  protected readonly zones = computed(() => this.template().zones);

  protected place(gear: string, name: string, zone: string): void {
    const zoneName = this.zones().find((z) => z.id === zone)?.name ?? zone;
    this.designs.edit(`${name} to the ${zoneName}`, (d) => (d.places[gear] = zone));
  }
}
