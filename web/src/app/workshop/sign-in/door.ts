import { ChangeDetectionStrategy, Component } from '@angular/core';

/** The page before one is in: the trunk, and beside it what is asked. */
@Component({
  selector: 'mx-door',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <main>
      <svg viewBox="0 0 260 420" aria-hidden="true">
        <path class="feed" d="M60 0V420" />
        <path class="return" d="M74 0V420" />
        <path class="trigger" d="M88 0V420" />
        @for (y of [70, 150, 230, 310]; track y) {
          <path class="tie" [attr.d]="'M48 ' + (y - 26) + 'h52'" />
          <path class="feed" [attr.d]="'M60 ' + (y - 22) + 'C66 ' + (y - 4) + ' 78 ' + y + ' 110 ' + y + 'H160'" />
          <circle [attr.cy]="y" cx="182" r="17" [class.full]="y < 160" />
        }
      </svg>
      <div class="asked">
        <h1>MERIDEX</h1>
        <ng-content />
      </div>
    </main>
  `,
  styleUrl: './door.less',
})
export class Door {}
