import type { Catalogue } from '../catalogue/index.js';
import type { Design } from '../design/index.js';
import { draftRuns } from '../draft/index.js';
import { fitSteps, type FitStep } from '../fit/index.js';
import { dayFigures, dayLoad, type DayFigures } from '../loads/index.js';
import { orderOf, type Order } from '../order/index.js';
import { draftGear, type Gear } from '../places/index.js';
import type { ProveRow } from '../prove/index.js';
import type { SizedRun } from '../routes/index.js';
import { judge, type Finding } from '../rules/index.js';
import { arrayOf, bankOf, supplyFigures, type SupplyFigures } from '../supply/index.js';
import type { TripResult } from '../trip/index.js';
import { provePlan } from './prove.js';
import { sizeRuns } from './runs.js';
import { tellTales, type TellTales } from './tell-tales.js';
import { runTrip } from './trip.js';

/** All figures, findings and lists of one design. */
export interface Assessment {
  readonly day: DayFigures;
  readonly supply: SupplyFigures;
  readonly trip: TripResult | null;
  readonly gear: readonly Gear[];
  readonly runs: readonly SizedRun[];
  /** Everything found; those in `accepted` are signed for and no longer open. */
  readonly findings: readonly Finding[];
  readonly open: readonly Finding[];
  readonly order: Order;
  readonly fit: readonly FitStep[];
  readonly prove: readonly ProveRow[];
  readonly tellTales: TellTales;
}

/** What stands beside the design, never in it. */
export interface AssessSettings {
  /** Latest reading by prove row, in its unit. */
  readonly readings?: Readonly<Record<string, number>>;
}

/** One pass over a design: pure, and the same for the same input. */
export function assess(design: Design, catalogue: Catalogue, settings: AssessSettings = {}): Assessment {
  const { houseV } = design.supply;
  const inverter = catalogue.find('inverter', design.supply.inverter);
  const loads = Object.entries(design.loads)
    .sort(([, a], [, b]) => a.order - b.order)
    .map(([id, load]) => dayLoad(id, load, houseV, design.brief.trip.drivingH, inverter?.ratedW ?? null));
  const day = dayFigures(loads, houseV);
  const bank = bankOf(design, catalogue);
  const array = arrayOf(design, catalogue);
  const trip = bank ? runTrip(design, catalogue, bank, day, array) : null;
  const supply = supplyFigures(design, catalogue, day, bank, array);
  const gear = draftGear(design, catalogue);
  const specs = draftRuns({ design, catalogue, gear: new Map(gear.map((g) => [g.id, g])), bank, array, day });
  const runs = sizeRuns(specs, design, bank);
  const findings = judge({ design, catalogue, gear, day, supply, trip, runs });
  const open = findings.filter((f) => design.accepted[f.key] === undefined);
  const order = orderOf(design, catalogue, runs, array);
  const licensed = findings.some((f) => f.rule === 'mains-licensed');
  return {
    day,
    supply,
    trip,
    gear,
    runs,
    findings,
    open,
    order,
    fit: fitSteps(gear, runs, licensed),
    prove: provePlan(design, catalogue, runs, settings.readings ?? {}),
    tellTales: tellTales(design, day, supply, runs, order.kg, open),
  };
}
