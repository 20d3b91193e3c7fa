import { provideZonelessChangeDetection } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { DEMO_JOBS, type Design, supplyOf } from '@meridex/core';
import { AnalysisService } from './analysis.service';
import { TripsService } from './trips.service';

const survey = (): Design => structuredClone(DEMO_JOBS.find((j) => j.key === 'survey')!.design);
async function until(done: () => boolean): Promise<void> {
  for (let n = 0; n < 2000 && !done(); n++) await new Promise((resolve) => setTimeout(resolve, 25));
  expect(done()).toBeTrue();
}

describe('many trips in the workers', () => {
  beforeEach(() => TestBed.configureTestingModule({ providers: [provideZonelessChangeDetection()] }));

  it('are shared out, report how far they are, and come together', async () => {
    const trips = TestBed.inject(TripsService);
    trips.run(survey(), false, 120);
    expect(trips.running()).toBeTrue();
    await until(() => !trips.running());
    const r = trips.result()!;
    expect([r.trips, trips.progress(), r.p50.length]).toEqual([120, 120, 6 * 24 + 1]);
  });

  it('say the same however often they are run', async () => {
    const trips = TestBed.inject(TripsService);
    trips.run(survey(), false, 60);
    await until(() => !trips.running());
    const first = trips.result();
    trips.run(survey(), false, 60);
    await until(() => !trips.running());
    expect(trips.result()).toEqual(first);
  });

  it('stop when told to, and stand for as many as were done', async () => {
    const trips = TestBed.inject(TripsService);
    const long = survey();
    long.brief.trip.days = 20;
    trips.run(long, false, 5000);
    await until(() => trips.progress() > 0);
    trips.stop();
    await until(() => !trips.running());
    expect(trips.result()!.trips).toBeGreaterThan(0);
    expect(trips.result()!.trips).toBeLessThan(5000);
  });

  it('of an older design never arrive after a newer one', async () => {
    const trips = TestBed.inject(TripsService);
    const long = survey();
    long.brief.trip.days = 30;
    trips.run(long, false, 2000);
    trips.run(survey(), false, 40);
    await until(() => !trips.running());
    expect([trips.result()!.trips, trips.result()!.p50.length]).toEqual([40, 6 * 24 + 1]);
  });

  it('are none without a battery', () => {
    const trips = TestBed.inject(TripsService);
    const bare = survey();
    supplyOf(bare).battery.part = null;
    trips.run(bare, false, 40);
    expect([trips.running(), trips.result()]).toEqual([false, null]);
  });
});

describe('what the worker is asked', () => {
  it('comes back to whoever asked, in any order, sliders not behind drafts', async () => {
    TestBed.configureTestingModule({ providers: [provideZonelessChangeDetection()] });
    const analysis = TestBed.inject(AnalysisService);
    const design = survey();
    const came: string[] = [];
    const drafts = analysis.ask({ what: 'drafts', design }).then((d) => (came.push('drafts'), d));
    const failures = analysis.ask({ what: 'failures', design }).then((f) => (came.push('failures'), f));
    const turned = await analysis.ask({ what: 'what if', design, change: { sunTimes: 2, batteryTimes: 1, drivingMoreH: 0 } });
    expect(turned!.minSoc).toBeGreaterThan(0.5);
    expect((await drafts)!.map((d) => d.tier)).toEqual(['lean', 'sound', 'roomy']);
    expect((await failures)![0]!.id).toBe('none');
    expect(came).toEqual(['drafts', 'failures']);
  });
});
