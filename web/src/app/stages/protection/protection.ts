import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterOutlet } from '@angular/router';
import { SheetTabs } from '../../ui/sheet-tabs';
import { SHEETS } from '../../frame/stages';
import { AssessmentService } from '../../data/assessment.service';
import { DesignService } from '../../data/design.service';
import { fuseRows } from './fuse-rows';

/** The circuit and what protects it: its diagram, every fuse, and what stays live when something is switched off. */
@Component({
  selector: 'mx-protection',
  imports: [RouterOutlet, SheetTabs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="bench-head">
      <h1>Protection</h1>
      <span class="sum">{{ sum() }}</span>
    </div>
    <mx-sheet-tabs label="Sheets of the protection" [tabs]="tabs" />
    <router-outlet />
  `,
  styles: `
    :host {
      display: flex;
      flex-direction: column;
      height: 100%;
      min-height: 0;
    }
    @media (max-width: 1000px) {
      :host {
        height: auto;
      }
    }
  `,
})
export class ProtectionStage {
  private readonly assessments = inject(AssessmentService);
  private readonly designs = inject(DesignService);
  protected readonly tabs = SHEETS.protection;
  protected readonly sum = computed(() => {
    const rows = fuseRows(this.assessments.openAssessment(), this.designs.openDesign().settings);
    const of = (state: string): number => rows.filter((r) => r.state === state).length;
    const words = [...(of('stop') ? [`${of('stop')} to mend`] : []), ...(of('look') ? [`${of('look')} to look at`] : [])];
    return [`${rows.length} fuses and breakers, one at every end that can feed`, ...words].join(' · ');
  });
}
