import type { Assessment } from '../assess/index.js';
import { type Catalogue, CHEMISTRY } from '../catalogue/index.js';
import { CUTS_BACK } from '../places/index.js';
import { figure, sentence } from '../quantity/index.js';
import { besideKey } from './beside.js';
import type { TestGroup, TestRow } from './rows.js';

/** When the thermometer is read, minutes from the start. */
const AT_MIN = [30, 60, 90, 120] as const;
/** The air no longer rises when it gained no more than this from one reading to the next, K. */
const SETTLED_K = 1;
/** A compartment that is planned to warm up less than this needs no soak, K. */
const LEAST_K = 2;
/** Air in which nothing of the rig is left on, where no part of it says less, °C. */
const MOST_C = 60;
/** What a thermometer in moving air may be off by, K. */
const THERMOMETER_K = 1;
/** Air in the shade on a hot day, °C: a default, by which a test on a cool one is carried over. */
const HOT_DAY_C = 40;
/** How far the warmth of a real compartment may lie from the reckoned one: a share, and K. */
const MODEL = { share: 0.35, absoluteK: 2 } as const;

export const SOAK = 'soak';

/** A compartment that is run warm until its air settles. */
export interface SoakPlace {
  readonly zone: string;
  readonly name: string;
  /** Its readings in order, and when they are taken, minutes. */
  readonly rows: readonly string[];
  /** Planned with everything at full output, K over the air outside it. */
  readonly riseK: number;
  /** Air in which the first of its gear cuts back or may not be charged, °C, and which that is. */
  readonly mostC: number;
  readonly first: string;
}

/** Compartments that warm up, with the hottest air that what is in them bears. */
export function soakPlaces({ gear, layout }: Pick<Assessment, 'gear' | 'layout'>, catalogue: Catalogue): readonly SoakPlace[] {
  return layout.heat
    .filter((h) => h.heatW > 0 && (h.riseK >= LEAST_K || h.air !== null))
    .map((h): SoakPlace => {
      const bears = gear
        .filter((g) => g.zone === h.zone && g.when === 'now')
        .flatMap((g): readonly (readonly [c: number, name: string])[] => {
          const battery = g.sort === 'battery' ? catalogue.find('battery', g.part) : null;
          if (battery) return [[CHEMISTRY[battery.chemistry].chargeRangeC[1], `the ${g.name} may not be charged`]];
          return g.role === 'charger' || g.role === 'mains' ? [[CUTS_BACK.fromC, `the ${g.name} cuts back`]] : [];
        })
        .sort(([a], [b]) => a - b);
      const [mostC, first] = bears[0] ?? [MOST_C, 'nothing is left on'];
      return { zone: h.zone, name: h.name, rows: AT_MIN.map((min) => `${SOAK}.${min}:${h.zone}`), riseK: h.riseK, mostC, first };
    });
}

/** The readings of a soak test; null: nothing warms up. */
export function soakTest(places: readonly SoakPlace[]): TestGroup | null {
  const rows = places.flatMap((p) =>
    p.rows.map((id, i): TestRow => ({
      id,
      where: `Air in the ${p.name} after ${AT_MIN[i]} min`,
      state: `beside its warmest box; stop at ${figure(p.mostC, 0)} °C`,
      meter: { kind: 'volt', share: 0, absolute: THERMOMETER_K },
      unit: '°C',
      expected: p.mostC,
      tolerance: THERMOMETER_K,
      atMost: true,
      dropV: 0,
      mostV: null,
      run: null,
      currentA: 0,
      minutes: 1,
      about: p.zone,
      look: `from there ${p.first}: stop the test, open up and let it cool; then air, a fan, or less heat in there`,
    })),
  );
  const words = 'all that makes heat at full output: engine up or on mains, bank well below full, inverter loaded; lids and doors shut, fans on their thermostat';
  return rows.length ? { id: SOAK, words, minutes: 5, also: ['outside'], rows } : null;
}

export interface SoakSays {
  readonly zone: string;
  readonly mark: 'holds' | 'look' | 'stop';
  readonly say: string;
}

/**
 * Where evenly spaced temperatures of something that warms up are going, °C: each rise a fixed share of the one before (Aitken's
 * Δ² process). Null while they do not slow down.
 * @example settlesAtC(20, 30, 35) // 40
 */
export function settlesAtC(a: number, b: number, c: number): number | null {
  const [first, then] = [b - a, c - b];
  return then < 0 || then >= first ? null : c + (then * then) / (first - then);
}

/** From the start, the air in there is the air outside. */
function lastThree(outsideC: number, read: readonly number[]): readonly [number, number, number] {
  const all = [outsideC, ...read];
  return [all[all.length - 3]!, all[all.length - 2]!, all[all.length - 1]!];
}

/** Readings up to the first that is missing. */
function inOrder(rows: readonly string[], readings: Readonly<Record<string, number>>): number[] {
  const missing = rows.findIndex((id) => readings[id] === undefined);
  return rows.slice(0, missing < 0 ? rows.length : missing).map((id) => readings[id]!);
}

function judge(p: SoakPlace, outsideC: number, read: readonly number[]): SoakSays {
  const [before, last] = [read.length > 1 ? read[read.length - 2]! : outsideC, read[read.length - 1]!];
  const name = sentence(p.name);
  const stop = (say: string): SoakSays => ({ zone: p.zone, mark: 'stop', say });
  if (last >= p.mostC) return stop(`${name} came to ${figure(last, 0)} °C: stop the test. From ${figure(p.mostC, 0)} °C ${p.first}.`);
  const settled = read.length > 1 && last - before <= SETTLED_K;
  const goesTo = settled ? last : settlesAtC(...lastThree(outsideC, read));
  if (goesTo === null || read.length < 2) return { zone: p.zone, mark: 'look', say: `${name} is at ${figure(last, 0)} °C after ${AT_MIN[read.length - 1]} min and still rises: go on.` };
  const [riseK, hotC] = [goesTo - outsideC, goesTo - outsideC + HOT_DAY_C];
  const slackK = MODEL.absoluteK + MODEL.share * p.riseK;
  const planned =
    riseK > p.riseK + slackK
      ? ` That is more than the ${figure(p.riseK, 0)} K planned: is a vent covered, does the fan run, is something warm in there that the plan does not know?`
      : riseK < p.riseK - slackK
        ? ` That is less than the ${figure(p.riseK, 0)} K planned: was everything at full output, and the lid shut?`
        : ` As planned (${figure(p.riseK, 0)} K).`;
  const come = settled ? `settled at ${figure(goesTo, 0)} °C` : `goes to ${figure(goesTo, 0)} °C`;
  const say = `${name} ${come}, ${figure(riseK, 0)} K over the air outside; on a day of ${HOT_DAY_C} °C that is ${figure(hotC, 0)} °C.${planned}`;
  if (hotC >= p.mostC) return { zone: p.zone, mark: 'look', say: `${say} From ${figure(p.mostC, 0)} °C ${p.first}.` };
  return { zone: p.zone, mark: settled && riseK <= p.riseK + slackK ? 'holds' : 'look', say };
}

/**
 * What a soak test says of each compartment that was read: whether it settled and where, what that comes to on a hot day, and whether
 * the plan said so. Nothing is said without the air outside. Readings taken in one half hour each.
 */
export function soakSays(places: readonly SoakPlace[], readings: Readonly<Record<string, number>>): readonly SoakSays[] {
  const outsideC = readings[besideKey(SOAK, 'outside')];
  if (outsideC === undefined) return [];
  return places.flatMap((p) => {
    const read = inOrder(p.rows, readings);
    return read.length ? [judge(p, outsideC, read)] : [];
  });
}
