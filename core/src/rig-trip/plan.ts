import { vmpAtC } from '../supply/index.js';
import { bankPlan, shareInside, type BankPlan, type Span } from '../trip/index.js';
import { banksBehind, isSaid, takersFirst, type RigBank, type RigInput, type RigTrip } from './input.js';
import type { Giving } from './working-point.js';

/** Shares of each step of a day, and the days on which they hold. */
export interface Times {
  readonly share: Float64Array;
  readonly on: Uint8Array;
}

/** Share of a step that a thing is in use. */
export const shareAt = (t: Times, day: number, step: number): number => (t.on[day] ? t.share[step]! : 0);

/** Loads of one bank or selector that run on the same days. */
export interface LoadPlan {
  readonly selector: number | null;
  readonly bank: number;
  readonly on: Uint8Array;
  readonly watt: Float64Array;
  readonly amp: Float64Array;
  /** Largest share of the step in which a critical one wants to run. */
  readonly critical: Float64Array;
}

/** Where a selector stands, by its plan or by its rule. */
export interface SelectorPlan {
  readonly rule: RigTrip['selectors'][number]['rule'];
  readonly banks: readonly number[];
  readonly entries: readonly { readonly bank: number; readonly hours: readonly Span[] | null; readonly on: Uint8Array }[];
}

/** One input of a charger: its limit and what it hangs on. */
export type InputPlan = { readonly charger: number; readonly limitA: number } & (
  | { readonly of: 'array'; readonly index: number; readonly vmpV: number; readonly startBelowSoc: number; readonly stopAtSoc: number }
  | { readonly of: 'vehicle'; readonly index: number; readonly efficiency: number }
  | { readonly of: 'inlet'; readonly index: number }
  | { readonly of: 'bank'; readonly index: number; readonly behind: number | null; readonly times: Times; readonly efficiency: number; readonly floorSoc: number }
);

/** A charger on one bank; one behind a selector stands here once for each of its banks. */
export interface ChargerPlan extends Giving {
  /** Its place among the rig’s chargers. */
  readonly of: number;
  readonly bank: number;
  /** The selector that must stand at its bank, null: none. */
  readonly behind: number | null;
  readonly rule: RigTrip['chargers'][number]['rule'];
}

export interface RigBankPlan extends BankPlan {
  readonly mayCharge: boolean;
  readonly openV: number;
  readonly closeV: number;
  readonly reserveSoc: number;
  readonly chargers: readonly ChargerPlan[];
  /** Inputs that draw from it by a lead. */
  readonly leads: readonly number[];
}

/** A rig's trip with everything that does not change from step to step worked out once. */
export interface RigPlan {
  readonly rig: RigTrip;
  readonly kH: number;
  readonly stepsPerDay: number;
  readonly banks: readonly RigBankPlan[];
  /** Banks, those that take by a lead before those that give. */
  readonly order: readonly number[];
  readonly chargers: readonly ChargerPlan[];
  readonly inputs: readonly InputPlan[];
  readonly loads: readonly LoadPlan[];
  readonly selectors: readonly SelectorPlan[];
  readonly driving: readonly Times[];
  readonly plugged: readonly Times[];
  /** Days on which each array's sun counts, and the vehicle that must stand. */
  readonly arrays: readonly { readonly on: Uint8Array; readonly parked: number | null }[];
}

const daysOf = (rig: RigTrip, onDays: readonly number[] | null | undefined): Uint8Array => Uint8Array.from({ length: rig.days }, (_, d) => (!onDays || onDays.includes(d) ? 1 : 0));

function timesOf(rig: RigTrip, hours: readonly Span[], onDays: readonly number[] | null | undefined): Times {
  const k = rig.stepS / 3600;
  return { share: Float64Array.from({ length: 86400 / rig.stepS }, (_, s) => shareInside(hours, s * k, (s + 1) * k)), on: daysOf(rig, onDays) };
}

const at = (list: readonly { readonly id: string }[], id: string): number => list.findIndex((x) => x.id === id);

/** The selector of what hangs on one. */
const selectorOf = (rig: RigTrip, { selector }: { readonly selector?: string | null | undefined }): number | null => (isSaid(selector) ? at(rig.selectors, selector) : null);

/** An input of the charger at `charger`; of a lead one for each bank that may give. */
function inputsOf(rig: RigTrip, i: RigInput, charger: number, outputA: number): InputPlan[] {
  const limitA = Math.min((i.maxA ?? Infinity) * i.setting, outputA);
  if ('array' in i) {
    const vmpV = i.controller === 'pwm' ? vmpAtC(i.vmpV!, i.cellC!) : 0;
    return [{ of: 'array', charger, limitA, index: at(rig.arrays, i.array), vmpV, startBelowSoc: i.startBelowSoc ?? Infinity, stopAtSoc: i.stopAtSoc }];
  }
  if ('vehicle' in i) return [{ of: 'vehicle', charger, limitA, index: at(rig.vehicles, i.vehicle), efficiency: i.efficiency }];
  if ('inlet' in i) return [{ of: 'inlet', charger, limitA, index: at(rig.inlets, i.inlet) }];
  const lead = { of: 'bank', charger, limitA, times: timesOf(rig, i.hours, i.onDays), efficiency: i.inverterEfficiency * i.chargerEfficiency, floorSoc: i.floorSoc } as const;
  const behind = 'selector' in i ? selectorOf(rig, i) : null;
  return banksBehind(rig, i).map((bank) => ({ ...lead, index: at(rig.banks, bank), behind }));
}

/** Every charger with its inputs, once for each bank that it may come to charge. */
function chargersOf(rig: RigTrip): { readonly chargers: readonly ChargerPlan[]; readonly inputs: readonly InputPlan[] } {
  const [chargers, inputs]: [ChargerPlan[], InputPlan[]] = [[], []];
  rig.chargers.forEach((c, of) => {
    const outputA = c.outputA ?? Infinity;
    for (const bank of banksBehind(rig, c)) {
      const from = inputs.length;
      inputs.push(...c.inputs.flatMap((i) => inputsOf(rig, i, chargers.length, outputA)));
      chargers.push({ from, to: inputs.length, outputA, of, bank: at(rig.banks, bank), behind: selectorOf(rig, c), rule: c.rule });
    }
  });
  return { chargers, inputs };
}

/** The constants of a bank of so many blocks in series. */
function inSeries(bank: RigBank): BankPlan {
  const one = bankPlan(bank);
  const blocks = bank.nominalV / 12;
  return {
    ...one,
    ohm: one.ohm * blocks,
    chargeOhm: one.chargeOhm * blocks,
    absorptionV: one.absorptionV * blocks,
    baseV: one.baseV.map((v) => v * blocks),
    slopeV: one.slopeV.map((v) => v * blocks),
  };
}

function loadPlans(rig: RigTrip): LoadPlan[] {
  const n = 86400 / rig.stepS;
  const plans = new Map<string, LoadPlan>();
  for (const l of rig.loads) {
    const key = JSON.stringify([l.bank, l.selector, l.onDays]);
    const made: LoadPlan = {
      selector: selectorOf(rig, l),
      bank: isSaid(l.bank) ? at(rig.banks, l.bank) : -1,
      on: daysOf(rig, l.onDays),
      watt: new Float64Array(n),
      amp: new Float64Array(n),
      critical: new Float64Array(n),
    };
    const plan = plans.get(key) ?? made;
    plans.set(key, plan);
    const { share } = timesOf(rig, l.hours, undefined);
    const into = l.kind === 'power' ? plan.watt : plan.amp;
    share.forEach((x, s) => {
      into[s]! += l.value * l.duty * x;
      if (l.critical) plan.critical[s] = Math.max(plan.critical[s]!, x);
    });
  }
  return [...plans.values()];
}

export function planRigTrip(rig: RigTrip): RigPlan {
  const { chargers, inputs } = chargersOf(rig);
  return {
    rig,
    kH: rig.stepS / 3600,
    stepsPerDay: 86400 / rig.stepS,
    banks: rig.banks.map((b, n): RigBankPlan => {
      const plan = inSeries(b);
      return {
        ...plan,
        mayCharge: b.ambientC >= plan.coldC && b.ambientC <= plan.hotC,
        openV: b.cutoff.openV,
        closeV: b.cutoff.closeV,
        reserveSoc: b.reserveSoc,
        chargers: chargers.filter((c) => c.bank === n),
        leads: inputs.flatMap((i, j) => (i.of === 'bank' && i.index === n ? [j] : [])),
      };
    }),
    order: takersFirst(rig)!.map((id) => at(rig.banks, id)),
    chargers,
    inputs,
    loads: loadPlans(rig),
    selectors: rig.selectors.map((s) => ({
      rule: s.rule,
      banks: s.banks.map((b) => at(rig.banks, b)),
      entries: s.plan.map((p) => ({ bank: at(rig.banks, p.bank), hours: p.hours ?? null, on: daysOf(rig, p.onDays) })),
    })),
    driving: rig.vehicles.map((v) => timesOf(rig, v.driveHours, v.onDays)),
    plugged: rig.inlets.map((i) => timesOf(rig, i.hours, i.onDays)),
    arrays: rig.arrays.map((a) => ({ on: daysOf(rig, a.onDays), parked: isSaid(a.parked) ? at(rig.vehicles, a.parked) : null })),
  };
}

/** Watts of an array behind its regulator before any limit, W. */
export const arrayW = (p: RigPlan, index: number, day: number, step: number, hour: number): number => {
  const { on, parked } = p.arrays[index]!;
  if (!on[day]) return 0;
  const stands = parked === null ? 1 : 1 - shareAt(p.driving[parked]!, day, step);
  return p.rig.arrays[index]!.sunWatts[hour]! * (p.rig.clearness?.[day] ?? 1) * stands;
};
