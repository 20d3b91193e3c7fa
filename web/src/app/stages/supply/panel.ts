import { computed, Directive, inject } from '@angular/core';
import { amps, type Asked, doCommands, figure, patchBetween, supplyOf, type UsualSupply } from '@meridex/core';
import { AssessmentService } from '../../data/assessment.service';
import { DesignService } from '../../data/design.service';

/** What the panels of the supply share: the supply, its figures, and one way to change it. */
@Directive()
export abstract class SupplyPanel {
  protected readonly designs = inject(DesignService);
  protected readonly assessments = inject(AssessmentService);
  protected readonly figure = figure;
  protected readonly amps = amps;
  protected readonly s = computed(() => supplyOf(this.designs.openDesign()));
  protected readonly brief = computed(() => this.designs.openDesign().brief);
  protected readonly settings = computed(() => this.designs.openDesign().settings);
  protected readonly f = computed(() => this.assessments.openAssessment().supply);

  /** Commands as one step of undo; what they have against it, in words, or null. */
  protected commands(words: string, asked: readonly Asked[]): string | null {
    return this.designs.command(words, ...asked);
  }

  /** The same over all vehicles of the job. */
  protected jobCommands(words: string, asked: readonly Asked[]): string | null {
    const job = this.designs.openJob();
    const done = doCommands(job, asked);
    if (!done.ok) return done.message;
    return patchBetween(job, done.design).length ? this.designs.editJob(words, (d) => void Object.assign(d, done.design)) : null;
  }

  /** The job, and which of its vehicles is looked at. */
  protected readonly within = computed(() => ({ job: this.designs.openJob(), vehicle: this.designs.vehicle() }));

  protected set(label: string, change: Partial<UsualSupply>): void {
    this.designs.edit(label, (d) => void Object.assign(supplyOf(d), change));
  }
}
