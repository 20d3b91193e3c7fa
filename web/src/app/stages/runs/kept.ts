import { ChangeDetectionStrategy, Component, effect, inject, signal, untracked } from '@angular/core';
import type { Design, ManualOverride } from '@meridex/core';
import { DesignService } from '../../data/design.service';
import { AnalysisService } from '../../data/analysis.service';

/** What was set by hand, beside what the draft would do: a draft changes none of it, a person takes it back. */
@Component({
  selector: 'mx-kept',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (kept().length) {
      <h2 class="inset">Set by hand, and kept by every draft</h2>
      <div class="scroll">
        <table class="sheet">
          <thead>
            <tr>
              <th>what</th>
              <th><span class="unseen">let go</span></th>
              <th>kept</th>
              <th>the draft would</th>
              <th><span class="unseen">take the draft’s</span></th>
            </tr>
          </thead>
          <tbody>
            @for (k of kept(); track k.name + k.what) {
              <tr>
                <td>{{ k.name }}</td>
                <td class="narrow muted">{{ k.what }}</td>
                <td>
                  <b>{{ k.kept }}</b>
                  @if (k.also.length) {
                    <span class="narrow muted"> · by it also {{ k.also.join('; ') }}</span>
                  }
                </td>
                <td>{{ k.drafted === k.kept ? 'do the same' : k.drafted }}</td>
                <td><button type="button" class="btn plain" [attr.aria-label]="'Take the draft’s ' + k.what + ' of ' + k.name" (click)="takeBack(k)">↺</button></td>
              </tr>
            }
          </tbody>
        </table>
      </div>
    }
  `,
  styles: `
    h2 {
      padding: 12px 12px 0;
    }
    td {
      vertical-align: middle;
    }
  `,
})
export class KeptEdits {
  private readonly designs = inject(DesignService);
  private readonly analysis = inject(AnalysisService);
  protected readonly kept = signal<readonly ManualOverride[]>([]);

  constructor() {
    effect(() => {
      const design = this.designs.design();
      untracked(() => void this.ask(design));
    });
  }

  private async ask(design: Design | null): Promise<void> {
    const answer = design ? await this.analysis.ask({ what: 'kept', design }) : [];
    // A later edit has its own answer on the way.
    if (design === this.designs.design()) this.kept.set(answer ?? []);
  }

  protected takeBack({ of, name, what }: ManualOverride): void {
    this.designs.edit(`${what} of ${name}, as drafted`, (d) => {
      if ('gear' in of) return void delete d.places[of.gear];
      const edit = d.runs[of.run];
      if (!edit) return;
      delete edit[of.field];
      if (!Object.keys(edit).length) delete d.runs[of.run];
    });
  }
}
