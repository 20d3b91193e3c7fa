import { computed, Directive, inject } from '@angular/core';
import { amps, figure, type Supply } from '@meridex/core';
import { AssessmentService } from '../services/assessment.service';
import { DesignService } from '../services/design.service';

/** What the panels of the supply share: the supply, its figures, and one way to change it. */
@Directive()
export abstract class SupplyPanel {
  protected readonly designs = inject(DesignService);
  protected readonly assessments = inject(AssessmentService);
  protected readonly figure = figure;
  protected readonly amps = amps;
  protected readonly s = computed(() => this.designs.design()!.supply);
  protected readonly brief = computed(() => this.designs.design()!.brief);
  protected readonly settings = computed(() => this.designs.design()!.settings);
  protected readonly f = computed(() => this.assessments.assessment()!.supply);

  protected set(label: string, change: Partial<Supply>): void {
    this.designs.edit(label, (d) => void Object.assign(d.supply, change));
  }
}
