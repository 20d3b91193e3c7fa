import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Progress } from '@meridex/core';

/** A job's stages as a short cable with a lug each. */
@Component({
  selector: 'mx-mini-trunk',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="0 0 250 20" role="img" [attr.aria-label]="words()">
      <path d="M0 10H250" class="rest" />
      <path [attr.d]="'M0 10H' + done()" class="done" />
      @for (p of stages(); track $index) {
        <circle [attr.cx]="11 + $index * 20.7" cy="10" r="5.2" [class]="p" />
        @if (p === 'half') {
          <path class="fill" [attr.d]="'M' + (11 + $index * 20.7) + ' 4.8a5.2 5.2 0 0 0 0 10.4z'" />
        }
        @if (p === 'solid') {
          <circle [attr.cx]="11 + $index * 20.7" cy="10" r="1.7" class="eye" />
        }
      }
    </svg>
  `,
  styles: `
    :host {
      display: block;
      max-width: 250px;
    }
    svg {
      width: 100%;
      height: 20px;
      display: block;
    }
    path {
      fill: none;
      stroke-width: 3;
    }
    .rest {
      stroke: var(--rule);
    }
    .done {
      stroke: var(--feed);
    }
    circle {
      fill: var(--panel);
      stroke-width: 2.4;
      stroke: var(--rule-strong);
    }
    .half {
      stroke: var(--feed);
    }
    .solid {
      stroke: var(--feed);
      fill: var(--feed);
    }
    .fill {
      fill: var(--feed);
      stroke: none;
    }
    .eye {
      fill: var(--panel);
      stroke: none;
    }
  `,
})
export class MiniTrunk {
  readonly stages = input.required<readonly Progress[]>();
  protected readonly done = computed(() => {
    const last = this.stages().lastIndexOf('solid');
    return last < 0 ? 0 : 11 + last * 20.7;
  });
  protected readonly words = computed(() => `${this.stages().filter((p) => p === 'solid').length} of ${this.stages().length} stages complete`);
}
