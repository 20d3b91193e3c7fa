import { ChangeDetectionStrategy, Component, computed, effect, inject, input } from '@angular/core';
import { figure, tripsWords } from '@meridex/core';
import { AssessmentService } from '../../data/assessment.service';
import { DesignService } from '../../data/design.service';
import { LongTripsService } from '../../data/long-trips.service';

const MANY = 10_000;

/** More trips than a tablet wants to carry, on the server: progress, stop, and their word. */
@Component({
  selector: 'mx-long-trips',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="row">
      @if (underWay()) {
        <progress [max]="long.run()!.trips" [value]="long.run()!.done" aria-label="Trips done on the server"></progress>
        <span class="narrow">{{ long.run()!.done }} of {{ long.run()!.trips }} on the server{{ long.run()!.state === 'waiting' ? ', waiting' : '' }}</span>
        <button type="button" class="btn" (click)="long.stop()">Stop the server’s trips</button>
      } @else {
        <button type="button" class="btn" (click)="start()">Run {{ many }} trips on the server</button>
        <span class="narrow muted">for rare weather and long trips; it goes on when this page is closed</span>
      }
    </p>
    @if (long.trouble(); as trouble) {
      <p class="stop" role="alert">{{ trouble }}</p>
    }
    @if (long.run()?.state === 'failed') {
      <p class="stop" role="alert">The server could not run these trips; the ones of this page do not need it.</p>
    }
    @if (said(); as s) {
      <p class="narrow" aria-live="polite">
        Server, revision {{ long.run()!.revision }}{{ long.run()!.state === 'stopped' ? ', stopped early' : '' }}: {{ s.say }} {{ s.more }}
        @if (long.run()!.revision !== designs.revision()) {
          <span class="look">The design has changed since.</span>
        }
      </p>
    }
  `,
  styles: `
    .row {
      display: flex;
      gap: 10px;
      align-items: center;
      flex-wrap: wrap;
    }
    progress {
      accent-color: var(--copper);
    }
  `,
})
export class LongTrips {
  readonly oneByOne = input(false);
  protected readonly long = inject(LongTripsService);
  protected readonly designs = inject(DesignService);
  private readonly assessments = inject(AssessmentService);
  protected readonly many = MANY;
  protected readonly figure = figure;
  protected readonly underWay = computed(() => {
    const state = this.long.run()?.state;
    return state === 'waiting' || state === 'running';
  });
  protected readonly said = computed(() => {
    const result = this.long.run()?.result;
    const critical = this.assessments.assessment()?.day.loads.filter((l) => l.critical) ?? [];
    return result
      ? tripsWords(
          result,
          critical.map((l) => l.name),
        )
      : null;
  });

  constructor() {
    effect(() => {
      const jobId = this.designs.jobId();
      if (jobId) void this.long.open(jobId, this.designs.vehicle());
    });
  }

  protected start(): void {
    const jobId = this.designs.jobId();
    if (jobId) void this.long.start(jobId, this.designs.vehicle(), MANY, this.oneByOne());
  }
}
