import type { RigTrip } from './input.js';
import { planRigTrip, type RigPlan } from './plan.js';
import { RigRun } from './run.js';

/** What one bank goes through on a trip. */
export interface RigBankResult {
  readonly finalSoc: number;
  readonly minSoc: number;
  readonly minSocAtH: number;
  readonly endOfDaySoc: readonly number[];
  readonly loadAh: readonly number[];
  /** By what it came from: array, vehicle, inlet or bank, Ah a day. */
  readonly sourceAh: Readonly<Record<string, readonly number[]>>;
  /** Of a bank that gives to others by leads, Ah a day. */
  readonly givenAh?: readonly number[];
  readonly belowReserveH: number;
  readonly criticalOffH: number;
  readonly disconnectOperations: number;
}

export interface RigTripResult {
  readonly banks: Readonly<Record<string, RigBankResult>>;
  readonly chargers: Readonly<Record<string, { readonly outAh: readonly number[] }>>;
  readonly arrays: Readonly<Record<string, { readonly usedAh: readonly number[]; readonly clippedAh: readonly number[] }>>;
  readonly vehicles: Readonly<Record<string, { readonly inputWh: readonly number[] }>>;
}

/** Energies of a bank over the whole trip, Wh: given by its chargers, used by loads and leads, stored, lost; given = used + stored + lost. */
export interface RigEnergy {
  readonly givenWh: number;
  readonly usedWh: number;
  readonly storedWh: number;
  readonly lostWh: number;
}

const sum = (rows: readonly Float64Array[], days: number): number[] => Array.from({ length: days }, (_, d) => rows.reduce((s, r) => s + r[d]!, 0));

/** Ah of each input that meets a condition, by day. */
function byDay(p: RigPlan, rows: readonly Float64Array[], meets: (input: RigPlan['inputs'][number], j: number) => boolean): number[] {
  return sum(
    rows.filter((_, j) => meets(p.inputs[j]!, j)),
    p.rig.days,
  );
}

function sourcesOf(p: RigPlan, run: RigRun, bank: number): Record<string, readonly number[]> {
  const out: Record<string, number[]> = {};
  p.inputs.forEach((i, j) => {
    if (p.chargers[i.charger]!.bank !== bank) return;
    const lists = { array: p.rig.arrays, vehicle: p.rig.vehicles, inlet: p.rig.inlets, bank: p.rig.banks };
    const { id } = lists[i.of][i.index]!;
    out[id] = run.inputAh[j]!.reduce<number[]>((all, ah, d) => [...all, ah + (out[id]?.[d] ?? 0)], []);
  });
  return out;
}

/** A rig's trip, the energies of its banks, the hours in which the leads of a charger rest though they are plugged in, and how often selectors are turned. */
export interface WholeRigTrip {
  readonly result: RigTripResult;
  readonly energy: Readonly<Record<string, RigEnergy>>;
  readonly restsH: Readonly<Record<string, number>>;
  /** How often each selector is turned by its rule. */
  readonly turns: Readonly<Record<string, number>>;
}

/** The same trip with what its answer leaves out. */
export function wholeRigTrip(rig: RigTrip): WholeRigTrip {
  const p = planRigTrip(rig);
  const run = new RigRun(p).run();
  const named = <T extends { readonly id: string }, R>(list: readonly T[], of: (x: T, n: number) => R): Record<string, R> => Object.fromEntries(list.map((x, n) => [x.id, of(x, n)]));
  const result: RigTripResult = {
    banks: named(rig.banks, (_, n): RigBankResult => {
      const log = run.banks[n]!;
      return {
        finalSoc: log.endOfDaySoc.at(-1)!,
        minSoc: log.minSoc,
        minSocAtH: log.minSocAtH,
        endOfDaySoc: log.endOfDaySoc,
        loadAh: [...log.loadAh],
        sourceAh: sourcesOf(p, run, n),
        ...(p.banks[n]!.leads.length ? { givenAh: [...log.givenAh] } : {}),
        belowReserveH: log.belowReserveH,
        criticalOffH: log.criticalOffH,
        disconnectOperations: log.operations,
      };
    }),
    chargers: named(rig.chargers, (_, n) => ({ outAh: byDay(p, run.inputAh, (i) => p.chargers[i.charger]!.of === n) })),
    arrays: named(rig.arrays, (_, n) => {
      const own = (i: RigPlan['inputs'][number]): boolean => i.of === 'array' && i.index === n;
      return { usedAh: byDay(p, run.inputAh, own), clippedAh: byDay(p, run.clippedAh, own) };
    }),
    vehicles: named(rig.vehicles, (_, n) => ({ inputWh: byDay(p, run.inputWh, (i) => i.of === 'vehicle' && i.index === n) })),
  };
  const restsH = named(rig.chargers, (_, n) => p.inputs.reduce((h, i, j) => (p.chargers[i.charger]!.of === n && i.of === 'bank' ? h + run.restsH[j]! : h), 0));
  return { result, energy: named(rig.banks, (_, n) => run.banks[n]!), restsH, turns: named(rig.selectors, (_, n) => run.selectors.turns[n]!) };
}

/**
 * A trip of a whole rig: n banks, arrays, chargers, vehicles, inlets, selectors and leads from bank to bank, in steps in
 * which each bank settles where all its chargers, loads and leads meet.
 */
export const simulateRigTrip = (rig: RigTrip): RigTripResult => wholeRigTrip(rig).result;

/** The energies of the same trip, by bank. */
export const rigTripEnergy = (rig: RigTrip): Readonly<Record<string, RigEnergy>> => wholeRigTrip(rig).energy;
