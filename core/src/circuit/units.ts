import { CHEMISTRY, restV } from '../catalogue/index.js';
import { ALTERNATOR, hotShare, MPPT_YIELD, TRACE_VOLTS, type Bank, type SolarArray } from '../supply/index.js';
import type { Design } from '../design/index.js';
import { broughtShare, fromInlet, stepOf, suppliesV, switchedBy, withPort, type ArrayThing, type ConverterThing } from '../plant/index.js';
import { converterPosts, givesBy, serves, terminals, type Posts } from '../routes/index.js';
import type { CircuitPlan } from './plan.js';
import type { CircuitState } from './state.js';

/** Something that gives current up to a limit and holds its volts below it: a charger's output, a controller, the alternator. */
export interface Giver {
  readonly id: string;
  readonly name: string;
  /** The side whose battery it charges: the bank in use, another that is on charge meanwhile, the starting battery; between: none, it feeds another box. */
  readonly side: 'house' | 'aside' | 'starting' | 'between';
  readonly plus: string;
  readonly minus: string;
  readonly setV: number;
  readonly limitA: number;
  /** Watts that it has from panels, after its own loss. */
  readonly sunW: number;
  /** What it takes for the rest from another place of the circuit; null: from outside (mains, engine), or nothing. */
  readonly input: { readonly plus: string; readonly minus: string; readonly efficiency: number; readonly cutOutV: number } | null;
  /** It gives from panels alone: never more than their watts. */
  readonly sunOnly: boolean;
}

/** Panels in light: a current at the volts at which their regulator holds them. */
export interface Lit {
  /** The converter that regulates them. */
  readonly unit: string;
  /** Each array on it, fixed or put out, with its posts. */
  readonly from: readonly { readonly id: string; readonly plus: string; readonly minus: string; readonly currentA: number }[];
  readonly holdV: number;
  readonly regulator: { readonly plus: string; readonly minus: string };
}

const DULL = 0.2;
/** Charge of a bank while its chargers give all they can, and nearly full, 0–1. */
export const BULK_SOC = 0.5;
export const NEARLY_FULL_SOC = 0.97;

/** The bank that is in use. */
export function bankInUse(plan: CircuitPlan, state: CircuitState): Bank {
  return state.bank === 'second' ? (plan.second ?? plan.bank) : plan.bank;
}

/** Volts and ohms of one string at rest or while charging, and the most that it takes, A. */
export function stringIn(bank: Bank, string: number, state: CircuitState): { readonly volt: number; readonly ohm: number; readonly chargeOhm: number; readonly takesA: number } {
  const part = bank.stringParts[string - 1] ?? bank.part;
  const f = CHEMISTRY[part.chemistry];
  const soc = state.charging === 'absorption' ? NEARLY_FULL_SOC : BULK_SOC;
  const ohm = (f.milliohmAt100Ah / 1000) * (100 / part.capacityAh) * bank.inSeries;
  const takesA = Math.min(f.maxChargeC * part.capacityAh, (part.capacityAh * (1 - soc)) / f.taperH);
  return { volt: restV(part.chemistry, soc) * bank.inSeries, ohm, chargeOhm: ohm * f.chargeResistance, takesA };
}

/** Portable panels are put out when the vehicle stands. */
const putOut = (array: SolarArray, state: CircuitState): SolarArray['portables'] => (state.engine === 'off' ? array.portables.filter((p) => !p.trouble) : []);
const lightOf = (state: CircuitState): number => (state.sun === 'dull' ? DULL : 1);

/** Watts of one array among those that share a regulator, lit. */
function wattsOf(array: SolarArray, thing: ArrayThing, state: CircuitState): number {
  const own = (a: ArrayThing): number => a.part.ratedW * a.quantity;
  const all = array.fixed.reduce((s, a) => s + own(a), 0);
  return (Math.max(...array.clearDayW) * lightOf(state) * own(thing)) / all;
}

/** The panels as lit in a state, by their regulator; none in the dark. */
export function litPanels({ arrays, plant }: Pick<CircuitPlan, 'arrays' | 'plant'>, state: CircuitState, bankV: number): readonly Lit[] {
  if (state.sun === 'none' || state.charging === 'off') return [];
  return arrays.flatMap((a): Lit[] => {
    const regulator = plant.converters.find((c) => c.ref.id === a.regulator?.id);
    if (!regulator) return [];
    const holdV = a.controller?.regulates === 'pwm' ? bankV : a.panel.vmpV * a.inSeries;
    const fixed = a.fixed.map((f) => ({ id: f.ref.id, ...terminals(f.ref.id), currentA: wattsOf(a, f, state) / holdV }));
    const out = putOut(a, state).map((p) => ({ id: p.ref.id, ...terminals(p.ref.id), currentA: (Math.max(...p.clearDayW) * p.yieldShared * lightOf(state)) / holdV }));
    const from = [...fixed, ...out].filter((f) => f.currentA > 0);
    return from.length ? [{ unit: regulator.ref.id, from, holdV, regulator: converterPosts(regulator, 'sun') }] : [];
  });
}

/** Watts that a regulator has from its panels, before its own loss. */
const sunOn = (lit: readonly Lit[], unit: string): number => lit.filter((l) => l.unit === unit).reduce((s, l) => s + l.from.reduce((t, f) => t + f.currentA, 0) * l.holdV, 0);

/** A bank that is charged, and whose side that is. */
interface Charged {
  readonly bank: Bank;
  readonly side: 'house' | 'aside';
}

/** What hangs on the charging selector charges the bank that it stands on; what draws by the cable that it charges by, the bank in use. */
const charged = (plan: CircuitPlan, state: CircuitState, own = false): Charged => (plan.aside && !own ? { bank: plan.aside, side: 'aside' } : { bank: bankInUse(plan, state), side: 'house' });

/** Portable panels with regulators of their own, put out in the sun. */
function portableGivers({ arrays }: CircuitPlan, state: CircuitState, { bank, side }: Charged): Giver[] {
  if (state.sun === 'none') return [];
  return arrays
    .flatMap((a) => putOut(a, state))
    .filter((p) => p.ownRegulator)
    .flatMap((p): Giver[] => {
      const { id } = p.ref;
      const sunW = Math.max(...p.clearDayW) * lightOf(state) * MPPT_YIELD;
      return sunW > 0 ? [{ id, name: 'portable panel', side, ...terminals(id, 'out'), setV: bank.absorptionV, limitA: Infinity, sunW, input: null, sunOnly: true }] : [];
    });
}

/** True where a charger's trigger is live. */
function triggered({ design, fault }: CircuitPlan, state: CircuitState, id: string): boolean {
  const wrong = fault?.trigger?.[id];
  return wrong ? wrong === 'always live' : state.engine !== 'off' || design.converters[id]?.trigger === 'always-live wire';
}

/** Share of its output that a charger gives in the air of a state. */
const inAir = (state: CircuitState, design: Design, c: ConverterThing): number => (state.air === 'hot' ? hotShare(design, c) : 1);

/** A converter as its own run calls it. */
const nameOf = (plan: CircuitPlan, unit: string, otherwise: string): string => plan.runs.find((r) => givesBy(r, unit))?.spec.from.name ?? otherwise;

/** Posts by which a box charges: its output, or the cable that it also draws by. */
const outputOf = (c: ConverterThing): Posts => converterPosts(c, c.ports.mainsOut ? null : 'out');

function chargers(plan: CircuitPlan, state: CircuitState, lit: readonly Lit[]): Giver[] {
  const { design, arrays } = plan;
  return withPort(plan.plant, 'dcIn').flatMap((c): Giver[] => {
    const { bank, side } = charged(plan, state, !!c.inside);
    const {
      ref,
      part,
      share,
      inputs,
      ports: { dcIn, sunIn, mainsIn },
    } = c;
    const gear = ref.id;
    const step = stepOf(plan.plant, c);
    const brought = broughtShare(plan.plant, step, step ? inAir(state, design, step) : 1);
    const hot = inAir(state, design, c);
    const sunMaxA = arrays.find((a) => a.regulator?.id === gear)?.maxA ?? Infinity;
    const sun = Math.min(sunOn(lit, gear) * MPPT_YIELD, sunMaxA * bank.absorptionV);
    // A lead that is plugged in feeds it as the vehicle does, by the same input.
    const vehicle = (triggered(plan, state, switchedBy(plan.plant, c)) && inputs.some((x) => x.by === 'vehicle')) || (state.mains && inputs.some((x) => x.by === 'lead'));
    // Plugged in, a charger with three inputs takes from the mains.
    const mains = state.mains && inputs.some((x) => x.by === 'inlet') ? mainsIn : null;
    if (mains) return [{ id: gear, name: nameOf(plan, gear, part.name), side, ...converterPosts(c, 'out'), setV: bank.absorptionV, limitA: mains.outputA * hot, sunW: 0, input: null, sunOnly: false }];
    const both = vehicle && sun > 0 && sunIn?.beside === 'sun first';
    const byVehicle = vehicle && (sun <= 0 || both || sunIn?.beside === 'vehicle first');
    if (!byVehicle && sun <= 0) return [];
    return [
      {
        id: gear,
        name: nameOf(plan, gear, part.name),
        side: c.feeds.length ? 'between' : side,
        ...converterPosts(c, 'out'),
        setV: c.feeds.length ? suppliesV(dcIn) : bank.absorptionV,
        // Too warm a charger takes less of what a box before it brings: the lower of the two counts.
        limitA: byVehicle ? dcIn.outputA * share * Math.min(hot, brought) : Math.min(sunMaxA, dcIn.outputA * share) * hot,
        sunW: byVehicle && !both ? 0 : sun,
        input: byVehicle ? { ...converterPosts(c, 'in'), efficiency: dcIn.efficiency, cutOutV: dcIn.cutOutV } : null,
        sunOnly: !byVehicle,
      },
    ];
  });
}

/** Everything that gives current in a state, beside the batteries. */
export function giversIn(plan: CircuitPlan, state: CircuitState, lit: readonly Lit[]): Giver[] {
  const { design, arrays } = plan;
  const out: Giver[] = [];
  const { alternator, vehicleV } = design.brief;
  if (state.engine !== 'off') {
    const v = alternator.measured ?? TRACE_VOLTS[alternator.voltage];
    const scale = alternator.measured ? 1 : vehicleV / 12;
    const idle = state.engine === 'idle';
    out.push({
      id: 'alternator',
      name: 'alternator',
      side: 'starting',
      ...terminals('starting'),
      setV: (idle ? v.warmIdleV : v.cruiseV) * scale,
      limitA: alternator.ratedA * (idle ? ALTERNATOR.hotIdleShare : ALTERNATOR.hotCruiseShare),
      sunW: 0,
      input: null,
      sunOnly: false,
    });
  }
  if (state.charging === 'off') return out;
  out.push(...portableGivers(plan, state, charged(plan, state)));
  out.push(...chargers(plan, state, lit));
  for (const c of withPort(plan.plant, 'sunIn').filter(({ ports }) => !ports.dcIn)) {
    const { ref, part } = c;
    const { bank, side } = charged(plan, state, !!c.inside || !!c.ports.mainsOut);
    const sunW = sunOn(lit, ref.id) * MPPT_YIELD;
    const limitA = arrays.find((a) => a.regulator?.id === ref.id)?.maxA ?? Infinity;
    if (sunW > 0) out.push({ id: ref.id, name: nameOf(plan, ref.id, part.name), side, ...outputOf(c), setV: bank.absorptionV, limitA, sunW, input: null, sunOnly: true });
  }
  if (state.mains) out.push(...onMains(plan, state));
  out.push(...maintainers(plan, state));
  return out;
}

/** What charges from the inlet: a mains charger at its output, an inverter-charger through the cable that it draws by. */
function onMains(plan: CircuitPlan, state: CircuitState): Giver[] {
  const { plant, design } = plan;
  return fromInlet(plant).flatMap((c): Giver[] => {
    const { dcIn, mainsIn, mainsOut } = c.ports;
    // A charger with three inputs is one giver, whatever feeds it.
    if (dcIn || !mainsIn) return [];
    const name = mainsOut ? 'inverter-charger' : 'mains charger';
    const { bank, side } = charged(plan, state, !!c.inside || !!mainsOut);
    return [{ id: c.ref.id, name, side, ...outputOf(c), setV: bank.absorptionV, limitA: mainsIn.outputA * hotShare(design, c), sunW: 0, input: null, sunOnly: false }];
  });
}

/** What keeps the starting battery up out of the bank, as long as that stands high enough; it rests while the engine runs. */
function maintainers(plan: CircuitPlan, state: CircuitState): Giver[] {
  if (state.engine !== 'off') return [];
  return withPort(plan.plant, 'startOut').map((c): Giver => {
    const { holdV, outputA, efficiency, aboveV } = c.ports.startOut;
    const input = { ...converterPosts(c, 'in'), efficiency, cutOutV: aboveV };
    const name = plan.runs.find((r) => serves(r, 'maintainer output', c.ref.id))?.spec.from.name ?? c.part.name;
    return { id: c.ref.id, name, side: 'starting', ...converterPosts(c, 'out'), setV: holdV, limitA: outputA * inAir(state, plan.design, c), sunW: 0, input, sunOnly: false };
  });
}

/** What the vehicle itself takes while its engine runs, A. */
export const vehicleTakesA = (design: Design): number => design.brief.alternator.vehicleA ?? ALTERNATOR.vehicleA;
