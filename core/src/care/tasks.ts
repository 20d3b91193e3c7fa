import type { OrderLine } from '../order/index.js';
import type { Assessment } from '../assess/index.js';
import { CHEMISTRY, type Catalogue } from '../catalogue/index.js';
import type { Design } from '../design/index.js';
import { hasMains } from '../mains/index.js';
import { boxesOf, hasFans } from '../places/index.js';
import { plant } from '../plant/index.js';
import { bankOf, distributionOf } from '../supply/index.js';
import { vehicleOf } from '../vehicle/index.js';

/** Who does a task: the workshop, whoever uses the vehicle, the licensed electrician. */
export const DOERS = ['workshop', 'owner', 'licensed electrician'] as const;

/** A thing to do again and again while a rig is in use. */
export interface CareTask {
  readonly id: string;
  readonly what: string;
  readonly why: string;
  readonly by: (typeof DOERS)[number];
  /** Months until it is done for the first time, and from then on. */
  readonly firstMonths: number;
  readonly everyMonths: number;
  readonly minutes: number;
}

/** Months and minutes; defaults of ours until the makers say. */
const EVERY = {
  firstTurn: { firstMonths: 1, everyMonths: 12 },
  year: { firstMonths: 12, everyMonths: 12 },
  half: { firstMonths: 6, everyMonths: 6 },
  quarter: { firstMonths: 3, everyMonths: 3 },
  month: { firstMonths: 1, everyMonths: 1 },
} as const;
const MIN = { joint: 0.5, battery: 5, plug: 4, fan: 10, panel: 8, breaker: 1, box: 10, set: 10, way: 8 } as const;
/** Air in which insulation ages, °C. */
const HOT_C = 60;

const many = (n: number, one: string, more = `${one}s`): string => (n === 1 ? `the ${one}` : `the ${n} ${more}`);

type Row = Omit<CareTask, 'by'> & { readonly n: number; readonly by?: CareTask['by'] };

function ofBank(design: Design, catalogue: Catalogue): Row[] {
  const bank = bankOf(design, catalogue);
  if (!bank) return [];
  const lead = bank.part.chemistry !== 'lfp';
  const { strings } = bank;
  return [
    {
      id: 'bank-rest',
      n: 1,
      what: 'Read the house battery at rest, and its charge',
      why: lead ? 'lead-acid that stands half empty is lost in months' : 'a bank that drifts from what the shunt counts is seen here first',
      by: lead ? 'owner' : 'workshop',
      ...(lead ? EVERY.quarter : EVERY.half),
      minutes: MIN.battery,
    },
    {
      id: 'bank-strings',
      n: strings > 1 ? strings : 0,
      what: `Clamp each of the ${strings} strings under load: equal within a tenth`,
      why: 'a tired string leaves its work to the others',
      ...EVERY.half,
      minutes: MIN.battery * strings,
    },
    {
      id: 'bank-water',
      n: bank.part.chemistry === 'flooded' ? 1 : 0,
      what: 'Top up the cells with distilled water, after charging',
      why: 'plates that fall dry do not come back',
      by: 'owner',
      ...EVERY.month,
      minutes: MIN.battery,
    },
  ];
}

/** How the bank is left before it stands for more than a month; null: there is none. */
export function storageOf(design: Design, catalogue: Catalogue): string | null {
  const bank = bankOf(design, catalogue);
  if (!bank) return null;
  const how = bank.part.chemistry === 'lfp' ? 'half full, main switch off' : 'full, on a maintainer';
  return `Before it stands for more than a month: ${how}; ${CHEMISTRY[bank.part.chemistry].name} keeps best so.`;
}

type Sized = Pick<Assessment, 'order' | 'runs'>;

function ofWiring({ order, runs }: Sized): Row[] {
  const bought = (what: OrderLine['is']): number => order.lines.filter((l) => l.is === what).reduce((sum, l) => sum + l.quantity, 0);
  const [joints, plugs] = [bought('lug'), bought('plug')];
  const breakers = runs.filter((r) => r.ok && r.figures.fuseType === 'breaker');
  const hot = runs.filter((r) => r.spec.ambientC >= HOT_C || r.spec.route?.ways.some((w) => w.hazards.length));
  const numbers = (of: Sized['runs']): string => of.map((r) => `run ${r.spec.number}`).join(', ');
  return [
    {
      id: 'joints',
      n: joints,
      what: `Re-tighten ${many(joints, 'bolted joint')} to torque, main fuse out first`,
      why: 'copper settles and corrugations shake: a loose joint heats until it burns',
      ...EVERY.firstTurn,
      minutes: MIN.joint * joints,
    },
    {
      id: 'plugs',
      n: plugs,
      what: `Look into ${many(plugs, 'pair of plugs', 'pairs of plugs')}: dust, pitting, spring; covers on`,
      why: 'a pitted contact heats at full charge',
      by: 'owner',
      ...EVERY.half,
      minutes: MIN.plug * plugs,
    },
    {
      id: 'breakers',
      n: breakers.length,
      what: `Trip ${many(breakers.length, 'breaker')} by hand and set them again: ${numbers(breakers)}`,
      why: 'one that was never moved may stick when it is wanted',
      ...EVERY.year,
      minutes: MIN.breaker * breakers.length,
    },
    {
      id: 'hot-ways',
      n: hot.length,
      what: `Look along cable in heat and stones: ${numbers(hot)}`,
      why: 'insulation ages twice as fast for every ten degrees',
      ...EVERY.year,
      minutes: MIN.way * hot.length,
    },
  ];
}

function ofGear(design: Design, catalogue: Catalogue): Row[] {
  const rig = plant(design, catalogue);
  const fans = Object.values(design.air).filter(hasFans).length;
  const vents = Object.values(design.air).filter((a) => a.ventCm2).length;
  const panels = rig.arrays.length;
  const boxes = boxesOf(vehicleOf(design)).length;
  const switches = rig.links.length + (distributionOf(design, catalogue).disconnect ? 1 : 0);
  return [
    {
      id: 'fans',
      n: fans,
      what: `Clean ${many(fans, 'filter')} of the fans, and see each start at its set point`,
      why: 'a clogged filter is no air: chargers cut back',
      by: 'owner',
      ...EVERY.quarter,
      minutes: MIN.fan * fans,
    },
    {
      id: 'vents',
      n: vents,
      what: `Brush the dust screens of ${many(vents, 'vented space')}, low and high`,
      why: 'a clogged screen is no air: chargers cut back',
      by: 'owner',
      ...EVERY.quarter,
      minutes: MIN.fan * vents,
    },
    {
      id: 'panels',
      n: panels,
      what: `Wash ${many(panels, 'array')}, try every clamp and the roof gland`,
      why: 'dirt costs a tenth and more; a loose panel leaves the roof',
      by: 'owner',
      ...EVERY.half,
      minutes: MIN.panel * panels,
    },
    {
      id: 'set-points',
      n: switches,
      what: `Read ${many(switches, 'relay or disconnect', 'relays and disconnects')} at the set points, against Prove`,
      why: 'what drifts charges too late, or empties the bank',
      ...EVERY.year,
      minutes: MIN.set * switches,
    },
    {
      id: 'boxes',
      n: boxes,
      what: `Look at ${many(boxes, 'box', 'boxes')}: seal, vent free, straps tight, posts covered`,
      why: 'gas of a failing battery must go outside',
      ...EVERY.year,
      minutes: MIN.box * boxes,
    },
  ];
}

function ofMains(design: Design, catalogue: Catalogue): Row[] {
  const n = hasMains(design, catalogue) ? 1 : 0;
  return [
    { id: 'rcd', n, what: 'Press the test button of every RCD', why: 'one that sticks protects nobody', by: 'owner', ...EVERY.quarter, minutes: 2 },
    {
      id: 'mains',
      n,
      what: 'The 230 V side tested by a licensed electrician',
      why: 'leads, inlet and RCD age with the road; local rules may ask it sooner',
      by: 'licensed electrician',
      ...EVERY.year,
      minutes: 60,
    },
  ];
}

/**
 * What a rig wants done again and again, each for what is in it: joints, batteries, plugs, fans, panels, breakers, set points,
 * boxes, cable in heat. Intervals are defaults of ours until the makers say.
 *
 * @example
 * careTasks(design, catalogue, assess(design, catalogue))[0].id // 'joints'
 */
export function careTasks(design: Design, catalogue: Catalogue, sized: Sized): readonly CareTask[] {
  const rows = [...ofWiring(sized), ...ofBank(design, catalogue), ...ofGear(design, catalogue), ...ofMains(design, catalogue)];
  return rows.flatMap(({ n, by = 'workshop', minutes, ...t }): CareTask[] => (n > 0 ? [{ ...t, by, minutes: Math.ceil(minutes) }] : []));
}
