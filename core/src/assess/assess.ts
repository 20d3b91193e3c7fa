import type { Catalogue } from '../catalogue/index.js';
import { asOfNow, type Design } from '../design/index.js';
import { boardLinks, bondOf, inlineParts, type BoardLink, type Bond, type InlinePart } from '../circuit/index.js';
import { draftLeads, draftRuns } from '../draft/index.js';
import { enclosuresOf, type Enclosure } from '../enclosure/index.js';
import { fitSteps, type FitStep, type OldGear } from '../fit/index.js';
import type { DayFigures } from '../loads/index.js';
import { hasMains } from '../mains/index.js';
import { orderOf, type Order } from '../order/index.js';
import { BARS, plant } from '../plant/index.js';
import { draftGear, type Gear } from '../places/index.js';
import type { ProveRow } from '../prove/index.js';
import { Session } from '../quantity/index.js';
import { layoutFigures, ownFuseMarks, type LayoutFigures, type SizedRun } from '../routes/index.js';
import { judge, type Finding } from '../rules/index.js';
import { vehicleOf } from '../vehicle/index.js';
import type { FedCharger, SupplyFigures } from '../supply/index.js';
import type { TripResult } from '../trip/index.js';
import { chargerInputs } from './charger-inputs.js';
import { powerOf } from './power.js';
import { sizesOf } from './kept-sizes.js';
import { withLeads } from './sharing.js';
import { tellTales, type TellTales } from './tell-tales.js';

/** All figures, findings and lists of one design. */
export interface Assessment {
  /** The loads on a travel day away from mains, and on a day parked. */
  readonly day: DayFigures;
  readonly parkedDay: DayFigures;
  readonly supply: SupplyFigures;
  readonly trip: TripResult | null;
  /** The DC-DC charger behind its own feed, in each state of the vehicle. */
  readonly chargerInputs: readonly FedCharger[];
  readonly gear: readonly Gear[];
  readonly runs: readonly SizedRun[];
  /** Main switch, shunt and disconnect, as they stand in the circuit. */
  readonly inline: readonly InlinePart[];
  /** The house negative's one tie to the body; null: none is wanted. */
  readonly bond: Bond | null;
  /** Short cables on the board, between what stands in line and the bars. */
  readonly links: readonly BoardLink[];
  /** How gear and cable lie in the vehicle: heat, weight, bends, stretches, plugs, leads. */
  readonly layout: LayoutFigures;
  /** Boxes built round gear, as they are cut and checked. */
  readonly enclosures: readonly Enclosure[];
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
  /** What is kept from pass to pass; without one nothing is. */
  readonly session?: Session;
}

/** One pass over a design: pure, and the same for the same input. */
export function assess(design: Design, catalogue: Catalogue, settings: AssessSettings = {}): Assessment {
  // What waits gives and draws nothing yet; its runs are drafted all the same.
  const now = asOfNow(design);
  const { session = new Session() } = settings;
  const power = powerOf(now, catalogue, session);
  const whole = now === design ? power : powerOf(design, catalogue, session);
  const { day, parkedDay, trip, feeds } = power;
  const gear = draftGear(design, catalogue);
  const vehicle = vehicleOf(design);
  const context = {
    design,
    catalogue,
    plant: plant(design, catalogue),
    vehicle,
    gear: new Map(gear.map((g) => [g.id, g])),
    bank: whole.bank,
    arrays: whole.arrays,
    day: whole.day,
    parkedDay: whole.parkedDay,
    inline: inlineParts(design, catalogue),
  };
  const specs = draftRuns(context);
  const { runs, prove } = sizesOf(whole, { specs, design, catalogue, second: feeds.second, inline: context.inline }, session);
  const layout = layoutFigures(design, vehicle, gear, runs, draftLeads(context, specs.length + 1));
  const bond = bondOf(
    design,
    context.plant.vehicles.some((v) => v.joined),
    gear,
    runs,
  );
  const links = boardLinks(design, runs, context.inline, context.gear.get(BARS.id)?.ambientC ?? 0);
  const enclosures = enclosuresOf(design, catalogue, gear, runs, layout);
  const order = orderOf(design, catalogue, runs, whole.arrays, { layout, enclosures, bond, links });
  const supply = withLeads(feeds, design, catalogue, runs);
  const inputs = chargerInputs(design, catalogue, whole.bank, runs);
  const findings = judge({ design, catalogue, vehicle, gear, layout, day, supply, trip, chargerInputs: inputs, runs, totals: { price: order.total, kg: order.kg } });
  return withFindings(
    design,
    {
      day,
      parkedDay,
      supply,
      trip,
      chargerInputs: inputs,
      gear,
      runs,
      inline: context.inline,
      bond,
      links,
      layout,
      enclosures,
      order,
      fit: fitSteps(
        gear,
        runs,
        layout,
        supply.settings,
        {
          licensed: hasMains(design, catalogue),
          torqueNm: design.settings.torqueNm,
          mark: ownFuseMarks(design.settings.fuseMarks, runs),
          enclosures,
          links,
          looseM: new Map(Object.entries(design.inlets).flatMap(([id, { dc }]) => (dc ? [[id, dc.leadM] as const] : []))),
        },
        bond,
        oldGear(design),
      ),
      prove: prove(settings.readings ?? {}),
    },
    findings,
  );
}

/** What was there before and comes out or moves, as the fitting is led through it. */
const oldGear = ({ brief }: Design): OldGear[] =>
  Object.entries(brief.existing)
    .sort(([, a], [, b]) => a.order - b.order)
    .flatMap(([id, { name, verdict }]) => (verdict === 'keep' ? [] : [{ id, name: name || 'unnamed gear', verdict }]));

/** An assessment with what was found in it: what is open follows, and the tell-tales. */
export function withFindings(design: Design, a: Omit<Assessment, 'findings' | 'open' | 'tellTales'>, findings: readonly Finding[]): Assessment {
  const open = findings.filter((f) => design.accepted[f.key] === undefined);
  const loadsKg = a.gear.filter((g) => g.role === 'load' && g.when === 'now').reduce((sum, g) => sum + g.kg, 0);
  return { ...a, findings, open, tellTales: tellTales(design, a.day, a.supply, a.runs, a.order.kg, loadsKg, open) };
}
