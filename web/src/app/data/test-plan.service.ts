import { computed, inject, Injectable, resource } from '@angular/core';
import { AnalysisService } from './analysis.service';
import { DesignService } from './design.service';
import { RecordService } from './record.service';

/** What is to be read on the rig that is looked at, beyond each circuit alone; worked out anew after an edit. */
@Injectable({ providedIn: 'root' })
export class TestPlanService {
  private readonly designs = inject(DesignService);
  private readonly analysis = inject(AnalysisService);
  private readonly records = inject(RecordService);
  private readonly asked = resource({
    params: () => this.designs.design() ?? undefined,
    loader: ({ params }) => this.analysis.ask<'test plan'>({ what: 'test plan', design: params }),
  });
  readonly plan = computed(() => (this.asked.hasValue() ? this.asked.value() : null));
  readonly busy = this.asked.isLoading;
  readonly rows = computed(() => this.plan()?.groups.flatMap((g) => g.rows) ?? []);
  readonly read = computed(() => this.rows().filter((r) => this.records.readings().has(r.id)).length);
}
