import { areaInWords, cableSeries, gaugeAreaMm2, nameOfArea, nearestGauge, operate, outsideDiameterMm, resistanceOhmPerM, sizeInWords, type CableSize, type RunPath } from '../cable/index.js';
import { trySize, type FuseType, type SizeTried, type SizingInput } from '../protection/index.js';
import { USUAL_CUSTOM } from '../design/index.js';
import { figure, rating } from '../quantity/index.js';
import { bundleMm, holeSawMm } from '../routes/index.js';
import { chips, type Assumed, type QuickAnswer } from './answer.js';
import type { Question } from './question.js';

const LAYING = ['nominalV', 'dropPercent', 'ambientC', 'insulationC', 'laid', 'series'] as const satisfies readonly (keyof Assumed)[];

/** A run of cable alone: joints are judged in millivolts, not against the copper. */
const pathOf = (metre: number, a: Assumed): RunPath => ({ outM: metre, backM: metre, insulationC: a.insulationC, ambientC: a.ambientC, grouped: 1, laid: a.laid, contactsMilliohm: 0, tinned: false });

/** Thinnest cable of a general circuit by custom, mm²: 1.5, or the gauge that stands for it. */
const LEAST_MM2 = 1.3;

/** Kinds of fuse by what has to pass, the plainest first. */
const fuseFor = (amp: number): FuseType => (amp <= 24 ? 'blade' : amp <= 64 ? 'small-bolt-in' : amp <= 240 ? 'large-bolt-in' : 'class-t');

/** Volts that a cable loses out and back at 20 °C, as tables of the trade have them. */
const coolDropV = (areaMm2: number, amp: number, metre: number): number => 2 * metre * amp * resistanceOhmPerM(areaMm2, false, 20);

/** One size under so many amps: its fuse, whether the fuse protects it, and what it loses. */
function tried(size: CableSize, amp: number, metre: number, a: Assumed): SizeTried & { readonly lostV: number } {
  const input: SizingInput = {
    ...pathOf(metre, a),
    currentA: amp,
    dropLimitPercent: a.dropPercent,
    nominalV: a.nominalV,
    series: a.series,
    fuseType: fuseFor(amp),
    minAreaMm2: LEAST_MM2,
    connectorA: null,
    fuseAirC: Math.max(25, a.ambientC),
    leastFuseA: USUAL_CUSTOM.loadFuseA,
  };
  return { ...trySize(size, input), lostV: coolDropV(size.areaMm2, amp, metre) };
}

/** The smallest stocked size that its fuse protects and that loses no more than may be lost, after all that do not. */
function smallest(
  amp: number,
  metre: number,
  a: Assumed,
): { readonly chosen: ReturnType<typeof tried> | null; readonly below: ReturnType<typeof tried> | null; readonly above: ReturnType<typeof tried> | null } {
  const all = cableSeries(a.series)
    .filter((size) => size.areaMm2 >= LEAST_MM2)
    .map((size) => tried(size, amp, metre, a));
  const at = all.findIndex((t) => t.meetsHeat && (100 * t.lostV) / a.nominalV <= a.dropPercent + 1e-9);
  return { chosen: all[at] ?? null, below: all[at - 1] ?? null, above: at < 0 ? null : (all[at + 1] ?? null) };
}

function whyNot(below: ReturnType<typeof tried>): string {
  if (!below.point.ok) return 'is too hot';
  if (below.fuseA === null) return 'has no fuse that carries it';
  if (!below.meetsHeat) return `carries ${figure(below.point.ampacityA, 0)} A, less than its ${rating(below.fuseA)} A fuse`;
  return `would lose ${figure(below.lostV, 2)} V`;
}

const bay = (amp: number, metre: number, a: Assumed): string => {
  const { chosen } = smallest(amp, metre, { ...a, ambientC: 70 });
  return chosen ? `in a 70 °C engine bay: ${sizeInWords(chosen.size.size)}, ${rating(chosen.fuseA!)} A fuse` : 'in a 70 °C engine bay no stocked cable does it';
};

/** “40 A 6 m”: the cable for so many amps over so many metres one way. */
export function sizeAnswer({ amp: typedA, watt, metre }: Pick<Question, 'amp' | 'metre' | 'watt'>, a: Assumed): QuickAnswer | null {
  const amp = typedA ?? (watt === null ? null : watt / a.nominalV);
  if (amp === null || metre === null || amp <= 0 || metre <= 0) return null;
  const asked = `${rating(amp)} A over ${rating(metre)} m and back`;
  const { chosen, below, above } = smallest(amp, metre, a);
  if (!chosen?.point.ok) return { asked, says: 'no stocked cable does it', more: ['Fewer amps, a shorter way, cooler air, or two cables side by side, each with its fuse.'], chips: chips(a, LAYING) };
  return {
    asked,
    says: `${sizeInWords(chosen.size.size)}, ${rating(chosen.fuseA!)} A fuse, ${figure(chosen.lostV, 2)} V lost, ${figure((100 * chosen.lostV) / a.nominalV, 1)} %`,
    more: [
      [below ? `${sizeInWords(below.size.size)} ${whyNot(below)}` : 'the smallest that is stocked', ...(above ? [`${sizeInWords(above.size.size)} would lose ${figure(above.lostV, 2)} V`] : [])].join(
        '; ',
      ),
      `carries ${figure(chosen.point.ampacityA, 0)} A here; at ${figure(chosen.point.conductorC, 0)} °C, as it then is, it loses ${figure(chosen.point.dropV, 2)} V`,
      ...(a.ambientC === 70 ? [] : [bay(amp, metre, a)]),
    ],
    chips: chips(a, LAYING),
  };
}

/** The copper that is named, by area or by gauge, mm². */
export const areaOf = (q: Question): number | null => q.areaMm2 ?? (q.gauge === null ? null : gaugeAreaMm2(q.gauge));

/** “16 mm2 6 m 25A”: the volts that arrive. */
export function arrivesAnswer(q: Question, a: Assumed): QuickAnswer | null {
  const areaMm2 = areaOf(q);
  if (areaMm2 === null || areaMm2 <= 0 || q.amp === null || q.metre === null || q.amp <= 0) return null;
  const asked = `${rating(q.amp)} A over ${rating(q.metre)} m and back in ${nameOfArea(areaMm2)}`;
  const ids = ['nominalV', 'ambientC', 'insulationC', 'laid'] as const;
  const r = operate(areaMm2, pathOf(q.metre, a), { currentA: q.amp });
  if (!r.ok) return { asked, says: 'the air is hotter than the insulation bears', more: [], chips: chips(a, ids) };
  const lostV = coolDropV(areaMm2, q.amp, q.metre);
  const percent = (100 * lostV) / a.nominalV;
  return {
    asked,
    says: `${figure(a.nominalV - lostV, 2)} V of ${a.nominalV} arrive: ${figure(lostV, 2)} V lost, ${figure(percent, 1)} %`,
    more: [
      q.amp > r.ampacityA
        ? `too much: it carries ${figure(r.ampacityA, 0)} A here`
        : `it carries ${figure(r.ampacityA, 0)} A here; at ${figure(r.conductorC, 0)} °C, as it then is, it loses ${figure(r.dropV, 2)} V`,
      percent > a.dropPercent ? `more than the ${a.dropPercent} % that may usually be lost` : `within the ${a.dropPercent} % that may usually be lost`,
    ],
    chips: chips(a, ids),
  };
}

/** “6 gauge”: its copper, its outside, what is near. */
export function gaugeAnswer(q: Question, a: Assumed): QuickAnswer | null {
  const areaMm2 = areaOf(q);
  if (areaMm2 === null || areaMm2 <= 0 || areaMm2 > 300) return null;
  const ohmPerM = resistanceOhmPerM(areaMm2, false, 20);
  const metric = q.areaMm2 === null;
  return {
    asked: metric ? `${q.gauge} B&S` : nameOfArea(areaMm2),
    says: metric
      ? `${figure(areaMm2, 1)} mm², about ${figure(outsideDiameterMm(areaMm2), 1)} mm outside`
      : `${nearestGauge(areaMm2)} B&S is nearest, about ${figure(outsideDiameterMm(areaMm2), 1)} mm outside`,
    more: [`in a list: ${areaInWords(areaMm2)}`, `${figure(1000 * ohmPerM, 2)} mΩ each metre at 20 °C: 10 A lose ${figure(10 * ohmPerM, 3)} V a metre, one way`],
    chips: chips(a, []),
  };
}

/** “hole 3x16mm2”: saw, and what the bundle measures. */
export function holeAnswer(q: Question, a: Assumed): QuickAnswer | null {
  const areaMm2 = areaOf(q);
  if (!['hole', 'gland', 'grommet'].some((w) => q.words.has(w)) || areaMm2 === null || areaMm2 <= 0) return null;
  const bundle = bundleMm(Array.from({ length: q.times }, () => outsideDiameterMm(areaMm2)));
  const saw = holeSawMm(bundle);
  return {
    asked: `a hole for ${q.times} × ${nameOfArea(areaMm2)}`,
    says: saw === null ? `no saw: the bundle is ${figure(bundle, 0)} mm; two holes` : `${saw} mm saw, gland or grommet for ${figure(bundle, 0)} mm`,
    more: [`each cable about ${figure(outsideDiameterMm(areaMm2), 1)} mm outside`, 'Check behind before drilling; deburr, paint the edge, seal both faces.'],
    chips: chips(a, []),
  };
}
