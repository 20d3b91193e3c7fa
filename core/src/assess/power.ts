import type { Catalogue } from '../catalogue/index.js';
import { rigOf, type Design } from '../design/index.js';
import type { DayFigures } from '../loads/index.js';
import { loadsByDay, tripJob } from '../trip-analysis/index.js';
import { plant, type ConverterThing } from '../plant/index.js';
import { inSession, keepLastFor, type Session } from '../quantity/index.js';
import { arraysOf, bankOf, chargerZoneC, supplyFigures, type Bank, type SolarArray, type SupplyFigures } from '../supply/index.js';
import { simulateJob, type TripResult } from '../trip/index.js';

/** What is drawn, stored and fed: all that does not hang on where things are and how they are joined. */
export interface Power {
  readonly day: DayFigures;
  readonly parkedDay: DayFigures;
  readonly bank: Bank | null;
  readonly arrays: readonly SolarArray[];
  readonly trip: TripResult | null;
  readonly feeds: SupplyFigures;
}

function reckoned(design: Design, catalogue: Catalogue): Power {
  const loadsOf = loadsByDay(design, catalogue);
  const day = loadsOf(design.brief.trip.drivingH, 0);
  const parkedDay = loadsOf(0, 0);
  const bank = bankOf(design, catalogue);
  const arrays = arraysOf(design, catalogue);
  const trip = bank ? simulateJob(tripJob(design, catalogue, bank, arrays, {}, loadsOf)) : null;
  return { day, parkedDay, bank, arrays, trip, feeds: supplyFigures(design, catalogue, day, parkedDay, bank, arrays) };
}

/** Whoever asks for a run on the power side gets none, and of places only where chargers get hot, so that what is kept cannot hang on the rest. */
const NOWHERE = { board: null, air: {}, plugs: {}, runs: {}, accepted: {} } satisfies Partial<Design>;
interface Asked {
  readonly design: Design;
  /** Converters that charge. */
  readonly hot: readonly ConverterThing[];
}

const onlyHot = ({ design, hot }: Asked): Design => ({ ...design, ...NOWHERE, places: Object.fromEntries(hot.flatMap(({ ref: { id } }) => (design.places[id] ? [[id, design.places[id]]] : []))) });

const last = inSession(() =>
  keepLastFor(
    2,
    ({ design, hot }: Asked) => [design.brief, design.loads, design.supply, rigOf(design), design.settings, hot.map((c) => chargerZoneC(design, c))],
    (catalogue: Catalogue, asked) => reckoned(onlyHot(asked), catalogue),
  ),
);

/**
 * The power side of a design. A session keeps the last two by their content: while gear is dragged or a length is typed, loads,
 * supply and trip stay the same, and are most of what a person would wait for.
 */
export const powerOf = (design: Design, catalogue: Catalogue, session: Session): Power => last(session)(catalogue, { design, hot: plant(design, catalogue).converters.filter((c) => c.charges) });
