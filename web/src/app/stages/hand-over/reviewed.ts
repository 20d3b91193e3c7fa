import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { mayNot } from '@meridex/contract';
import { NzInputModule } from 'ng-zorro-antd/input';
import { DesignService } from '../../data/design.service';
import { ReviewService } from '../../data/review.service';
import { SessionService } from '../../data/session.service';
import { SyncService } from '../../data/sync/sync.service';

/** Who looked the plan through, whether it changed since, and the mark that one gives oneself. */
@Component({
  selector: 'mx-reviewed',
  imports: [DatePipe, NzInputModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (r of reviews.given(); track r.id; let first = $first) {
      <p [class]="first && since() === 0 ? 'holds' : 'muted'">
        <b>Revision {{ r.revision }}</b> by {{ r.author }}, {{ r.at | date: 'd MMM HH:mm' }}
        @if (r.note) {
          <span class="note">{{ r.note }}</span>
        }
      </p>
    } @empty {
      <p class="muted">Nobody has yet. Another pair of eyes before the first cut costs little.</p>
    }
    @if (since()) {
      <p class="look">{{ since() === 1 ? 'One change was' : since() + ' changes were' }} kept since: the mark is of the plan before.</p>
    }
    @if (mayNot(); as why) {
      <p class="narrow muted">{{ why }}</p>
    } @else if (since() !== 0) {
      <textarea
        nz-input
        rows="2"
        maxlength="1000"
        aria-label="What was looked at"
        placeholder="What was looked at, if it is to be said"
        [value]="note()"
        (input)="note.set($any($event.target).value)"
      ></textarea>
      <button type="button" class="btn" [disabled]="busy() || waiting()" (click)="give()">Mark revision {{ designs.revision() }} as reviewed</button>
      @if (waiting()) {
        <p class="narrow muted">Once the last edits are kept.</p>
      }
    }
    @if (reviews.trouble(); as why) {
      <p class="stop" role="alert">{{ why }}</p>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 8px;
      justify-items: start;
    }
    .note {
      display: block;
    }
  `,
})
export class Reviewed {
  protected readonly designs = inject(DesignService);
  protected readonly reviews = inject(ReviewService);
  private readonly session = inject(SessionService);
  private readonly sync = inject(SyncService);
  protected readonly note = signal('');
  protected readonly busy = signal(false);
  /** Why one may not; null: one may. */
  protected readonly mayNot = computed(() => mayNot(this.session.person()?.role ?? '', 'review'));
  /** Changes since the newest review; null: there is none. */
  protected readonly since = computed(() => {
    const [newest] = this.reviews.given();
    return newest ? Math.max(0, this.designs.revision() - newest.revision) : null;
  });
  protected readonly waiting = computed(() => this.sync.ofJob(this.designs.jobId() ?? '').some((e) => e.kind === 'edit'));

  protected async give(): Promise<void> {
    this.busy.set(true);
    if (await this.reviews.give(this.note().trim())) this.note.set('');
    this.busy.set(false);
  }
}
