import { ChangeDetectionStrategy, Component, inject, input, model, output } from '@angular/core';
import { Router } from '@angular/router';
import type { Why, WhyInput } from '@meridex/core';
import { NzDrawerModule } from 'ng-zorro-antd/drawer';
import { DesignService } from '../data/design.service';

/** Figures opened: the formula in words, what went into it and where that came from, and the way to change it. */
@Component({
  selector: 'mx-why-drawer',
  imports: [NzDrawerModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <!-- Not there while closed: its words would be read with the page. -->
    @if (shown()) {
      <nz-drawer [nzVisible]="true" [nzTitle]="name()" nzPlacement="right" nzWidth="min(440px, 100vw)" (nzOnClose)="shown.set(false)">
        <ng-container *nzDrawerContent>
          @if (reason()) {
            <p class="reason">{{ reason() }}.</p>
          }
          @for (w of whys(); track w.figure) {
            <section class="why">
              <h3>
                {{ w.figure }} <b class="figure">{{ w.value }}</b>
              </h3>
              <p>{{ w.formula }}</p>
              <table class="sheet">
                <tbody>
                  @for (i of w.inputs; track $index) {
                    <tr>
                      <td>{{ i.name }}</td>
                      <td class="num">{{ i.value }}</td>
                      <td class="narrow" [class.look]="i.origin === 'routed'" [class.muted]="i.origin !== 'routed'">
                        @if (i.edit || i.sheet) {
                          <button type="button" class="btn plain" [attr.aria-label]="'Change ' + i.name" (click)="change(i)">{{ i.origin }}, change</button>
                        } @else {
                          {{ i.origin }}
                        }
                      </td>
                    </tr>
                  }
                </tbody>
              </table>
              <p class="narrow muted">{{ w.basis }}</p>
            </section>
          }
          <p class="caution">Defaults are representative; the makers’ data and the rules in force win.</p>
        </ng-container>
      </nz-drawer>
    }
  `,
  styles: `
    .reason {
      margin-bottom: 10px;
    }
    .reason::first-letter {
      text-transform: uppercase;
    }
    .why {
      margin-bottom: 16px;
    }
    .why h3 {
      font-size: 15px;
    }
    .why td {
      padding: 3px 6px 3px 0;
    }
    .why .btn {
      padding: 0;
      min-height: 24px;
      text-align: left;
    }
  `,
})
export class WhyDrawer {
  readonly shown = model.required<boolean>();
  readonly name = input.required<string>();
  readonly reason = input('');
  readonly whys = input.required<readonly Why[]>();
  /** A field of a run to go to. */
  readonly edit = output<NonNullable<WhyInput['edit']>>();
  private readonly router = inject(Router);
  private readonly designs = inject(DesignService);

  protected change(i: WhyInput): void {
    this.shown.set(false);
    if (i.edit) this.edit.emit(i.edit);
    else if (i.sheet) void this.router.navigate(['/jobs', this.designs.jobId(), ...i.sheet.split('/')]);
  }
}
