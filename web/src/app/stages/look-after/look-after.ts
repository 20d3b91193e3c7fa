import { ChangeDetectionStrategy, Component } from '@angular/core';
import { RouterOutlet } from '@angular/router';
import { SheetTabs } from '../../ui/sheet-tabs';
import { SHEETS } from '../../frame/stages';

/** The years after: what to care for, and what was changed since. */
@Component({
  selector: 'mx-look-after',
  imports: [RouterOutlet, SheetTabs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="bench-head">
      <h1>Look after</h1>
      <span class="sum">care to come, and every change that was kept</span>
    </div>
    <mx-sheet-tabs label="Sheets of looking after" [tabs]="tabs" />
    <router-outlet />
  `,
})
export class LookAfterStage {
  protected readonly tabs = SHEETS['look-after'];
}
