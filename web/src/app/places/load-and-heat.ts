import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { COMPARTMENT, comesOff, figure, HOLD_G, restraints, STILL_AIR_W_M2K, STRAP_N, vehicleOf } from '@meridex/core';
import { Mark } from '../pictures/mark';
import { AssessmentService } from '../services/assessment.service';
import { DesignService } from '../services/design.service';
import { SelectionService } from '../services/selection.service';

/** What the gear does to the vehicle: axles and sides, walls, heat of closed spaces; and what comes off to service each thing. */
@Component({
  selector: 'mx-load-and-heat',
  imports: [RouterLink, Mark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './load-and-heat.html',
  styleUrl: './load-and-heat.less',
})
export class LoadAndHeatSheet {
  private readonly designs = inject(DesignService);
  protected readonly assessments = inject(AssessmentService);
  protected readonly selection = inject(SelectionService);
  protected readonly figure = figure;
  protected readonly compartment = COMPARTMENT;
  protected readonly still = STILL_AIR_W_M2K;
  protected readonly abs = Math.abs;
  protected readonly min = Math.min;
  protected readonly max = Math.max;
  protected readonly vehicle = computed(() => vehicleOf(this.designs.openDesign()));
  protected readonly layout = computed(() => this.assessments.openAssessment().layout);
  protected readonly carriers = computed(() => this.layout().weights.filter((w) => w.addedKg > 0));
  protected readonly hold = HOLD_G;
  protected readonly strapN = STRAP_N;
  protected readonly heavy = computed(() => restraints(this.assessments.openAssessment().gear));
  protected readonly service = computed(() => {
    const a = this.assessments.openAssessment();
    return a.gear.filter((g) => g.role !== 'starting').map((g) => ({ id: g.id, name: g.name, zone: g.zoneName, off: comesOff(this.vehicle(), a.layout.faces, a.gear, g) }));
  });
}
