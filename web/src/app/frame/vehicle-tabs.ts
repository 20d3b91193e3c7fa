import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { bodyOf, enginesFor, isJoined, leadsIn, rigsIn, vehicleIds, vehicleName } from '@meridex/core';
import { DesignService } from '../data/design.service';
import { SelectionService } from '../data/selection.service';

/** The vehicles of a job, coupled in a row: the one that is pressed is shown on every stage. */
@Component({
  selector: 'mx-vehicle-tabs',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './vehicle-tabs.html',
  styleUrl: './vehicle-tabs.less',
})
export class VehicleTabs {
  protected readonly designs = inject(DesignService);
  private readonly selection = inject(SelectionService);

  protected readonly tabs = computed(() => {
    const job = this.designs.job();
    if (!job || !isJoined(job)) return [];
    const name = (id: string): string => (vehicleIds(job).includes(id) ? vehicleName(job, id) : 'nothing');
    const leads = leadsIn(job).map(([, c]) => c);
    const bodies = vehicleIds(job).filter((id) => bodyOf(job, id) === id);
    return bodies
      .flatMap((body) => rigsIn(job, body))
      .map((id) => ({
        id,
        name: name(id),
        inBody: bodyOf(job, id) !== id,
        by:
          [
            ...(bodyOf(job, id) === id ? enginesFor(job, id).map((e) => `charged by the ${name(e)}`) : [`in the ${name(bodyOf(job, id))}`]),
            ...leads.flatMap((c) => (c.to === id ? [`${c.carries === 'mains' ? 'mains' : 'DC'} lead from the ${name(c.from)}`] : [])),
          ].join(' · ') || 'its own engine',
      }));
  });

  protected lookAt(id: string): void {
    for (const s of [this.selection.run, this.selection.gear, this.selection.load, this.selection.finding]) s.set(null);
    this.designs.lookAt(id);
  }
}
