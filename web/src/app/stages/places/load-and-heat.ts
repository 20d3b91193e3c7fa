import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { type Air, COMPARTMENT, comesOff, type CompartmentHeat, fansFor, figure, fitFans, hasFans, HOLD_G, restraints, STILL_AIR_W_M2K, STRAP_N, takeFansOut, vehicleOf } from '@meridex/core';
import { NumberField } from '../../ui/number-field';
import { Mark } from '../../pictures/mark';
import { AssessmentService } from '../../data/assessment.service';
import { DesignService } from '../../data/design.service';
import { SelectionService } from '../../data/selection.service';

/** Smallest fan that is sold, m³/h. */
const LEAST_FAN_M3H = 20;
/** Smallest vents that are worth a hole, cm². */
const LEAST_VENT_CM2 = 50;

/** What the gear does to the vehicle: axles and sides, walls, heat of closed spaces; and what comes off to service each thing. */
@Component({
  selector: 'mx-load-and-heat',
  imports: [RouterLink, Mark, NumberField],
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
  /** Fans are typed: the figures follow, and what they want is bought and fitted. */
  protected setAir(h: CompartmentHeat, change: Partial<Air>): void {
    this.designs.edit(`fans of the ${h.name}`, (d) => fitFans(d, h, { ...(h.air ?? fansFor(h)), ...change }));
  }

  protected fitAir(h: CompartmentHeat): void {
    const wants = fansFor(h);
    this.setAir(h, { ...wants, outM3h: wants.outM3h || LEAST_FAN_M3H });
  }

  /** Two vents that do without a fan, or a pair to begin with. */
  protected cutVents(h: CompartmentHeat): void {
    const air = h.air ?? { outM3h: 0, inM3h: 0, fromC: fansFor(h).fromC };
    this.designs.edit(`vents of the ${h.name}`, (d) => fitFans(d, h, { ...air, ventCm2: h.ventCm2 ?? LEAST_VENT_CM2 }));
  }

  protected readonly does = (air: Air): string => (!hasFans(air) ? 'its vents do' : air.ventCm2 ? 'its vents and fans do' : 'its fans do');

  protected noAir(h: CompartmentHeat): void {
    this.designs.edit(`no fans in the ${h.name}`, (d) => takeFansOut(d, h.zone));
  }

  protected readonly service = computed(() => {
    const a = this.assessments.openAssessment();
    return a.gear.filter((g) => g.role !== 'starting').map((g) => ({ id: g.id, name: g.name, zone: g.zoneName, off: comesOff(this.vehicle(), a.layout.faces, a.gear, g) }));
  });
}
