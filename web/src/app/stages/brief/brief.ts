import { ChangeDetectionStrategy, Component } from '@angular/core';
import { RouterLink, RouterOutlet } from '@angular/router';
import { SheetTabs } from '../../ui/sheet-tabs';
import { SHEETS } from '../../frame/stages';

/** Customer, vehicle and trip: by ten answers, field by field, and what is in the vehicle already. */
@Component({
  selector: 'mx-brief',
  imports: [RouterOutlet, RouterLink, SheetTabs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="bench-head">
      <h1>Brief</h1>
      <span class="sum">whose vehicle it is, what it is, and where it goes</span>
      <span class="end"><a class="btn" routerLink="../loads">Loads: what must run</a></span>
    </div>
    <mx-sheet-tabs label="Sheets of the brief" [tabs]="tabs" />
    <router-outlet />
  `,
})
export class BriefStage {
  protected readonly tabs = SHEETS.brief;
}
