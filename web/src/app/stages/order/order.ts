import { ChangeDetectionStrategy, Component } from '@angular/core';
import { RouterOutlet } from '@angular/router';
import { SheetTabs } from '../../ui/sheet-tabs';
import { SHEETS } from '../../frame/stages';

/** What a job takes, and what is asked for it. */
@Component({
  selector: 'mx-order',
  imports: [RouterOutlet, SheetTabs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="bench-head"><h1>Order</h1></div>
    <mx-sheet-tabs label="Sheets of the order" [tabs]="tabs" />
    <router-outlet />
  `,
})
export class OrderStage {
  protected readonly tabs = SHEETS.order;
}
