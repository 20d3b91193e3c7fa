import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { RouterLink, RouterLinkActive } from '@angular/router';

export interface SheetTab {
  readonly path: string;
  readonly name: string;
}

/** The sheets of a stage, like the leaves of a job book. */
@Component({
  selector: 'mx-sheet-tabs',
  imports: [RouterLink, RouterLinkActive],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <nav [attr.aria-label]="label()">
      @for (l of tabs(); track l.path) {
        <a [routerLink]="l.path" routerLinkActive="here" ariaCurrentWhenActive="page">{{ l.name }}</a>
      }
    </nav>
  `,
  styles: `
    nav {
      display: flex;
      gap: 4px;
      margin-bottom: 12px;
      border-bottom: 1px solid var(--rule-strong);
      overflow-x: auto;
      scrollbar-width: none;
    }
    a {
      padding: 5px 12px 6px;
      color: var(--muted);
      text-decoration: none;
      font-family: var(--narrow);
      font-size: 14px;
      white-space: nowrap;
      border-bottom: 3px solid transparent;
      margin-bottom: -1px;
    }
    a:hover {
      color: var(--copper-on-wash);
    }
    a.here {
      color: var(--ink);
      font-weight: 600;
      border-bottom-color: var(--copper);
    }
  `,
})
export class SheetTabs {
  readonly label = input.required<string>();
  readonly tabs = input.required<readonly SheetTab[]>();
}
