import { CHEMISTRY, type Catalogue } from '../catalogue/index.js';
import type { Design } from '../design/index.js';
import { drivingSpans, type DayFigures } from '../loads/index.js';
import { PLANNING_CLEARNESS, type Bank, type SolarArray } from '../supply/index.js';
import { shareInside, simulateTrip, tripInputSchema, type TripInput, type TripResult } from '../trip/index.js';

/** Coarse enough to follow typing, fine enough for the shape; the disconnect's timers still hold. */
const STEP_S = 300;

/**
 * The trip as the model takes it. The model is per 12 V block: a 24 V bank is one such block with half the watts at
 * the same amps. A dual-input charger has one output, so its sun counts only while it is not charging from the vehicle.
 */
export function tripInput(design: Design, catalogue: Catalogue, bank: Bank, day: DayFigures, array: SolarArray | null, stepS = STEP_S): TripInput {
  const { brief, supply } = design;
  const perBlock = 1 / bank.inSeries;
  const driving = drivingSpans(brief.trip.drivingH);
  const dcdc = supply.isolation === 'dcdc' ? catalogue.find('dcdc', supply.dcdc) : null;
  const isolator = supply.isolation === 'isolator' ? catalogue.find('isolator', supply.isolator) : null;
  const alternatorA = dcdc?.outputA ?? (isolator && brief.alternator.voltage === 'fixed' ? Math.min(bank.maxChargeA, 0.8 * isolator.ratedA) : 0);
  const mains = catalogue.find('mains-charger', supply.mains.charger);
  const figures = CHEMISTRY[bank.part.chemistry];
  const sunShare = (h: number): number => (array?.throughCharger ? 1 - shareInside(driving, h, h + 1) : 1);
  return tripInputSchema.parse({
    stepS,
    days: brief.trip.days,
    battery: { chemistry: bank.part.chemistry, capacityAh: bank.capacityAh, startSoc: 1, ambientC: brief.trip.ambientC },
    loads: day.loads
      .filter((l) => l.runningW > 0)
      .map((l) => ({ id: l.id, kind: l.kind, value: l.kind === 'power' ? l.runningW * perBlock : l.runningA, duty: l.duty, hours: l.spans, critical: l.critical })),
    alternator: alternatorA > 0 ? { ratedA: alternatorA, setting: 1, driveHours: driving } : null,
    mains: mains && supply.mains.hoursADay > 0 ? { ratedA: mains.outputA, hours: [[Math.max(0, 24 - supply.mains.hoursADay), 24]] } : null,
    sunWatts: array ? array.clearDayW.map((w, h) => w * perBlock * sunShare(h)) : null,
    ...(array?.maxA ? { sunMaxA: array.maxA } : {}),
    cutoff: { openV: figures.disconnectV, closeV: bank.closeV * perBlock },
    reserveSoc: 1 - bank.usableShare,
    clearness: Array<number>(brief.trip.days).fill(PLANNING_CLEARNESS),
  });
}

export function runTrip(design: Design, catalogue: Catalogue, bank: Bank, day: DayFigures, array: SolarArray | null): TripResult {
  return simulateTrip(tripInput(design, catalogue, bank, day, array));
}
