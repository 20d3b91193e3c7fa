import { chargerInputW, type Catalogue, type DcIn } from '../catalogue/index.js';
import { plant, withPort, type Plant, type Ported, type Rig } from './plant.js';
import type { ConverterThing } from './thing.js';

/** A box between what feeds a charger and the charger: it charges no bank, but brings the feed to other volts. */
export type Step = Ported<'dcIn'>;

/** Volts that such a box holds for each 12 V of its output, V, and those at which the charger behind it fills a bank. */
const SUPPLIES_V = 13.8;
const CHARGE_V = 14.4;

/** Volts that a box holds at its output while it feeds another box, V. @example suppliesV({ outputV: 24 }) // 27.6 */
export const suppliesV = ({ outputV }: Pick<DcIn, 'outputV'>): number => (SUPPLIES_V * outputV) / 12;

/** The box between a charger and what feeds it; null: it hangs on its feed itself. */
export function stepOf(p: Plant, c: ConverterThing): Step | null {
  const before = c.inputs.find((i) => i.through)?.through;
  return (before && withPort(p, 'dcIn').find((x) => x.ref.id === before.id)) ?? null;
}

/** The box whose trigger says whether a charger is fed: its own, or the one before it. */
export const switchedBy = (p: Plant, c: ConverterThing): string => (stepOf(p, c) ?? c).ref.id;

/** Watts taken of the feed for each watt that a charger takes in: more by what a box before it loses. */
export const takenBefore = (step: Step | null): number => (step ? 1 / step.ports.dcIn.efficiency : 1);

/** What a box can bring to those that it feeds, and what they take of it at their full output, W. */
export interface StepLoad {
  readonly bringsW: number;
  readonly takenW: number;
}

export function stepLoad(p: Plant, step: Step): StepLoad {
  const fed = withPort(p, 'dcIn').filter((c) => step.feeds.some((f) => f.id === c.ref.id));
  const { dcIn } = step.ports;
  const takenW = fed.reduce((w, c) => w + chargerInputW(c.ports.dcIn, (CHARGE_V * c.ports.dcIn.outputV) / 12) * c.share, 0);
  return { bringsW: suppliesV(dcIn) * dcIn.outputA * step.share, takenW };
}

/** Share of its output that a charger can give with what a box before it brings, 0–1; `air`: the share of its own that the box gives where it stands. */
export function broughtShare(p: Plant, step: Step | null, air = 1): number {
  const { bringsW, takenW } = step ? stepLoad(p, step) : { bringsW: 1, takenW: 0 };
  return takenW > bringsW * air ? (bringsW * air) / takenW : 1;
}

/** What the chargers at an inlet of a DC lead draw from it all together at an output voltage, W: what they give over their efficiency. */
export function dcInletTakesW(rig: Rig, catalogue: Catalogue, inlet: string, chargeV: number): number {
  const p = plant(rig, catalogue);
  return withPort(p, 'dcIn')
    .filter((c) => !c.feeds.length && c.inputs.some((i) => i.by === 'lead' && i.ref.id === inlet))
    .reduce((sum, c) => sum + chargerInputW(c.ports.dcIn, chargeV) * c.share * takenBefore(stepOf(p, c)), 0);
}
