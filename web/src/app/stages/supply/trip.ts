import { ChangeDetectionStrategy, Component, computed, effect, inject, signal, untracked } from '@angular/core';
import { FormsModule } from '@angular/forms';
import {
  applyChange,
  AS_IT_IS,
  catalogueOf,
  climateOf,
  dayOfTrip,
  type Failure,
  failureWords,
  figure,
  type Helps,
  helpWords,
  pluggedWord,
  shareWords,
  sunAlone,
  sunAloneWords,
  type TripResult,
  tripsWords,
  turnsWords,
  type WhatIf,
} from '@meridex/core';
import { NzCheckboxModule } from 'ng-zorro-antd/checkbox';
import { MoneyPipe } from '../../fields/money.pipe';
import { AhLedger } from '../../pictures/ah-ledger';
import { Mark } from '../../pictures/mark';
import { TripBand } from '../../pictures/trip-band';
import { AnalysisService } from '../../data/analysis.service';
import { ThemeService } from '../../data/theme.service';
import { TripsService } from '../../data/trips.service';
import { LongTrips } from './long-trips';
import { SupplyPanel } from './panel';

/** A pause in the typing before a thousand trips start, ms. */
const PAUSE_MS = 500;

/** The trip: a thousand of them in drawn weather, what helps, what each failure does, and three sliders. */
@Component({
  selector: 'mx-trip',
  imports: [FormsModule, NzCheckboxModule, MoneyPipe, TripBand, AhLedger, Mark, LongTrips],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './trip.html',
  styleUrl: './trip.less',
})
export class TripSheet extends SupplyPanel {
  protected readonly analysis = inject(AnalysisService);
  protected readonly trips = inject(TripsService);
  protected readonly night = inject(ThemeService).night;
  protected readonly trip = computed(() => this.assessments.openAssessment().trip);
  protected readonly whatIf = signal<WhatIf>(AS_IT_IS);
  protected readonly turned = signal<TripResult | null>(null);
  protected readonly helps = signal<Helps | null>(null);
  protected readonly failures = signal<readonly Failure[]>([]);
  protected readonly oneByOne = signal(false);
  protected readonly critical = computed(() =>
    this.assessments
      .assessment()!
      .day.loads.filter((l) => l.critical)
      .map((l) => l.name),
  );
  /** Parked with nothing but the sun; null: no panel or no battery. */
  /** What two banks ask of the hand. */
  protected readonly turns = computed(() => {
    const a = this.assessments.openAssessment();
    return a.supply.second && a.trip
      ? turnsWords(
          a.trip.turns,
          a.inline.some((p) => p.id === 'charging'),
          this.brief().trip.days,
        )
      : null;
  });
  protected readonly sunAlone = computed(() => {
    const s = sunAlone(this.designs.openDesign(), catalogueOf(this.designs.openDesign()));
    return s && sunAloneWords(s);
  });
  /** What plugs in: the mains, or another bank's lead. */
  protected readonly plugged = computed(() => pluggedWord(this.designs.openDesign(), catalogueOf(this.designs.openDesign())));
  protected readonly climate = computed(() => climateOf(this.brief().trip));
  protected readonly isTurned = computed(() => this.whatIf() !== AS_IT_IS);
  protected readonly shown = computed(() => this.turned() ?? this.trip());
  protected readonly answer = computed(() => {
    const many = this.trips.result();
    return many ? tripsWords(many, this.critical()) : null;
  });
  protected readonly offs = computed(() => {
    const off = this.trips.result()?.off;
    return off ? [(off.day - 1) * 24 + off.hour] : [];
  });
  protected readonly help = computed(() => {
    const h = this.helps();
    return h ? helpWords(h, this.designs.openDesign().settings.money.sign) : '';
  });
  protected readonly failureWords = failureWords;
  protected readonly shareWords = shareWords;

  constructor() {
    super();
    effect((onCleanup) => {
      const design = this.designs.design();
      const oneByOne = this.oneByOne();
      if (!design) return;
      const timer = setTimeout(() => {
        this.trips.run(design, oneByOne);
        void this.analysis.ask({ what: 'helps', design }).then((h) => this.designs.design() === design && this.helps.set(h));
        void this.analysis.ask({ what: 'failures', design }).then((f) => f && this.designs.design() === design && this.failures.set(f));
      }, PAUSE_MS);
      onCleanup(() => clearTimeout(timer));
    });
    effect(() => {
      const design = this.designs.design();
      const change = this.whatIf();
      if (change === AS_IT_IS || !design) return untracked(() => this.turned.set(null));
      void this.analysis.ask({ what: 'what if', design, change }).then((t) => this.whatIf() === change && this.turned.set(t));
    });
  }

  protected turn(change: Partial<WhatIf>): void {
    const next = { ...this.whatIf(), ...change };
    const same = next.sunTimes === 1 && next.batteryTimes === 1 && next.drivingMoreH === 0;
    this.whatIf.set(same ? AS_IT_IS : next);
  }

  protected take(id: string, what: string): void {
    this.designs.edit(what, (d) => applyChange(d, catalogueOf(d), id));
  }

  protected lowWords(): string {
    const [now, then] = [this.trip(), this.turned()];
    if (!now) return '';
    const at = (t: TripResult): string => `${figure(100 * t.minSoc, 0)} %`;
    return then ? `lowest ${at(now)} → ${at(then)}` : `lowest ${at(now)} on day ${dayOfTrip(now.minSocAtH)}, ${figure(100 * now.finalSoc, 0)} % at the end`;
  }
}
