import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterOutlet } from '@angular/router';
import { vehicleOf } from '@meridex/core';
import { SheetTabs } from '../../ui/sheet-tabs';
import { SHEETS } from '../../frame/stages';
import { AssessmentService } from '../../data/assessment.service';
import { DesignService } from '../../data/design.service';

/** Where everything goes in the vehicle: the answer on top, and the sheets of the stage. */
@Component({
  selector: 'mx-places',
  imports: [RouterOutlet, SheetTabs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="bench-head">
      <h1>Places</h1>
      <span class="sum">{{ sum() }}</span>
    </div>
    <mx-sheet-tabs label="Sheets of the places" [tabs]="tabs" />
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
export class PlacesStage {
  private readonly designs = inject(DesignService);
  private readonly assessments = inject(AssessmentService);
  protected readonly tabs = SHEETS.places;
  protected readonly sum = computed(() => {
    const a = this.assessments.openAssessment();
    const wrong = new Set(a.layout.troubles.map((t) => t.gear)).size;
    const state = wrong ? `${wrong} with something in the way` : 'nothing in the way';
    return `${a.gear.length} things in a ${vehicleOf(this.designs.openDesign()).name} · ${state}`;
  });
}
