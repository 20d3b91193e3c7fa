import { CHEMISTRY, restV } from '../catalogue/index.js';
import { ALTERNATOR, hotShare, MPPT_YIELD, TRACE_VOLTS, type Bank, type SolarArray } from '../supply/index.js';
import { type Design, supplyOf } from '../design/index.js';
import { convertersOfKind, fromInlet } from '../plant/index.js';
import { serves, terminals } from '../routes/index.js';
import type { CircuitPlan } from './plan.js';
import type { CircuitState } from './state.js';

/** Something that gives current up to a limit and holds its volts below it: a charger's output, a controller, the alternator. */
export interface Giver {
  readonly id: string;
  readonly name: string;
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
  readonly currentA: number;
  /** Of a portable panel that is put out on the same regulator. */
  readonly portableA: number;
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

/** A portable panel is put out when the vehicle stands. */
const putOut = (array: SolarArray, state: CircuitState): SolarArray['portable'] => (state.engine === 'off' && !array.portable?.trouble ? array.portable : null);
const lightOf = (state: CircuitState): number => (state.sun === 'dull' ? DULL : 1);

/** The panels as lit in a state; null where there are none, or it is dark. */
export function litPanels(array: SolarArray | null, state: CircuitState, bankV: number): Lit | null {
  if (!array || state.sun === 'none' || state.charging === 'off' || (!array.controller && !array.throughCharger)) return null;
  const portable = putOut(array, state);
  const roofW = array.ratedW > 0 ? Math.max(...array.clearDayW) * lightOf(state) : 0;
  const besideW = portable && !portable.ownRegulator ? Math.max(...portable.clearDayW) * portable.yieldShared * lightOf(state) : 0;
  const pwm = array.controller?.way === 'pwm';
  const holdV = pwm ? bankV : array.panel.vmpV * array.inSeries;
  const gear = array.controller ? 'controller' : 'charger';
  return roofW + besideW > 0 ? { currentA: roofW / holdV, portableA: besideW / holdV, holdV, regulator: terminals(gear, 'sun') } : null;
}

/** A portable panel with a regulator of its own, put out in the sun. */
function portableGiver({ array }: CircuitPlan, state: CircuitState, bank: Bank): Giver[] {
  const portable = array && state.sun !== 'none' ? putOut(array, state) : null;
  if (!portable?.ownRegulator) return [];
  const sunW = Math.max(...portable.clearDayW) * lightOf(state) * MPPT_YIELD;
  return sunW > 0 ? [{ id: 'portable', name: 'portable panel', ...terminals('portable', 'out'), setV: bank.absorptionV, limitA: Infinity, sunW, input: null, sunOnly: true }] : [];
}

/** True where the charger's trigger is live. */
function triggered(design: Design, state: CircuitState): boolean {
  return state.engine !== 'off' || supplyOf(design).trigger === 'always-live wire';
}

/** Share of its output that a charger gives in the air of a state. */
const inAir = (state: CircuitState, design: Design, id: string): number => (state.air === 'hot' ? hotShare(design, id) : 1);

/** A converter as its own run calls it. */
const nameOf = (plan: CircuitPlan, unit: string, otherwise: string): string => plan.runs.find((r) => serves(r, 'charger output', unit))?.spec.from.name ?? otherwise;

function chargers(plan: CircuitPlan, state: CircuitState, bank: Bank, sunW: number): Giver[] {
  const { design, array } = plan;
  return convertersOfKind(plan.plant, 'dcdc').flatMap(({ ref, part, share, inputs }): Giver[] => {
    const gear = ref.id;
    const hot = inAir(state, design, gear);
    const sun = array && inputs.some((x) => x.by === 'array') ? Math.min(sunW, (array.maxA ?? Infinity) * bank.absorptionV) : 0;
    const vehicle = triggered(design, state);
    const way = part.sunInput?.way;
    const both = vehicle && sun > 0 && way === 'sun first';
    const byVehicle = vehicle && (sun <= 0 || both || way === 'vehicle first');
    if (!byVehicle && sun <= 0) return [];
    return [
      {
        id: gear,
        name: nameOf(plan, gear, part.name),
        ...terminals(gear, 'out'),
        setV: bank.absorptionV,
        limitA: (byVehicle ? part.outputA * share : Math.min(array?.maxA ?? Infinity, part.outputA * share)) * hot,
        sunW: byVehicle && !both ? 0 : sun,
        input: byVehicle ? { ...terminals(gear, 'in'), efficiency: part.efficiency, cutOutV: part.cutOutV } : null,
        sunOnly: !byVehicle,
      },
    ];
  });
}

/** Everything that gives current in a state, beside the batteries. */
export function giversIn(plan: CircuitPlan, state: CircuitState, lit: Lit | null): Giver[] {
  const { design, array } = plan;
  const bank = bankInUse(plan, state);
  const out: Giver[] = [];
  const { alternator, vehicleV } = design.brief;
  if (state.engine !== 'off') {
    const v = alternator.measured ?? TRACE_VOLTS[alternator.voltage];
    const scale = alternator.measured ? 1 : vehicleV / 12;
    const idle = state.engine === 'idle';
    out.push({
      id: 'alternator',
      name: 'alternator',
      ...terminals('starting'),
      setV: (idle ? v.warmIdleV : v.cruiseV) * scale,
      limitA: alternator.ratedA * (idle ? ALTERNATOR.hotIdleShare : ALTERNATOR.hotCruiseShare),
      sunW: 0,
      input: null,
      sunOnly: false,
    });
  }
  if (state.charging === 'off') return out;
  const sunW = lit ? (lit.currentA + lit.portableA) * lit.holdV * MPPT_YIELD : 0;
  out.push(...portableGiver(plan, state, bank));
  out.push(...chargers(plan, state, bank, sunW));
  for (const { ref, part } of array && sunW > 0 ? convertersOfKind(plan.plant, 'solar-controller') : [])
    out.push({ id: ref.id, name: nameOf(plan, ref.id, part.name), ...terminals(ref.id, 'out'), setV: bank.absorptionV, limitA: array!.maxA ?? Infinity, sunW, input: null, sunOnly: true });
  if (state.mains) out.push(...onMains(plan, bank));
  return out;
}

/** What charges from the inlet: a mains charger at its output, an inverter-charger through the cable that it draws by. */
function onMains({ plant, design }: CircuitPlan, bank: Bank): Giver[] {
  return fromInlet(plant).flatMap(({ ref, part }): Giver[] => {
    const outputA = part.kind === 'mains-charger' ? part.outputA : part.kind === 'inverter' ? (part.charger?.outputA ?? 0) : 0;
    if (!outputA) return [];
    const posts = part.kind === 'inverter' ? terminals(ref.id) : terminals(ref.id, 'out');
    const name = part.kind === 'inverter' ? 'inverter-charger' : 'mains charger';
    return [{ id: ref.id, name, ...posts, setV: bank.absorptionV, limitA: outputA * hotShare(design, ref.id), sunW: 0, input: null, sunOnly: false }];
  });
}

/** What the vehicle itself takes while its engine runs, A. */
export const vehicleTakesA = (design: Design): number => design.brief.alternator.vehicleA ?? ALTERNATOR.vehicleA;
