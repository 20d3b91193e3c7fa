import { ChangeDetectionStrategy, Component } from '@angular/core';
import { RouterOutlet } from '@angular/router';
import { SheetTabs } from '../../ui/sheet-tabs';
import { SHEETS } from '../../frame/stages';

/** What is found wrong, and what only a licensed electrician can settle. */
@Component({
  selector: 'mx-checks',
  imports: [RouterOutlet, SheetTabs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="bench-head"><h1>Checks</h1></div>
    <mx-sheet-tabs label="Sheets of the checks" [tabs]="tabs" />
    <router-outlet />
  `,
})
export class ChecksStage {
  protected readonly tabs = SHEETS.checks;
}
