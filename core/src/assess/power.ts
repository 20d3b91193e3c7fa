import type { Catalogue } from '../catalogue/index.js';
import type { Design } from '../design/index.js';
import type { DayFigures } from '../loads/index.js';
import { loadsOn, tripJob } from '../outlook/index.js';
import { keptFor } from '../quantity/index.js';
import { arrayOf, bankOf, supplyFigures, type Bank, type SolarArray, type SupplyFigures } from '../supply/index.js';
import { simulateJob, type TripResult } from '../trip/index.js';

/** What is drawn, stored and fed: all that does not hang on where things are and how they are joined. */
export interface Power {
  readonly day: DayFigures;
  readonly parkedDay: DayFigures;
  readonly bank: Bank | null;
  readonly array: SolarArray | null;
  readonly trip: TripResult | null;
  readonly feeds: SupplyFigures;
}

function reckoned(design: Design, catalogue: Catalogue): Power {
  const day = loadsOn(design, catalogue, design.brief.trip.drivingH, 0);
  const parkedDay = loadsOn(design, catalogue, 0, 0);
  const bank = bankOf(design, catalogue);
  const array = arrayOf(design, catalogue);
  const trip = bank ? simulateJob(tripJob(design, catalogue, bank, array)) : null;
  return { day, parkedDay, bank, array, trip, feeds: supplyFigures(design, catalogue, day, parkedDay, bank, array) };
}

/** Whoever asks for a place or a run on the power side gets none, so that what is kept cannot hang on it. */
const NOWHERE = { vehicle: null, places: {}, board: null, plugs: {}, runs: {}, accepted: {} } satisfies Partial<Design>;

const keyOf = ({ brief, loads, supply, settings }: Design): string => JSON.stringify([brief, loads, supply, settings]);
const last = keptFor(1, keyOf, (catalogue: Catalogue, design: Design) => reckoned({ ...design, ...NOWHERE }, catalogue));

/**
 * The power side of a design. The last one is kept by its content: while gear is dragged or a length is typed, loads,
 * supply and trip stay the same, and are most of what a person would wait for.
 */
export const powerOf = (design: Design, catalogue: Catalogue): Power => last(catalogue, design);
