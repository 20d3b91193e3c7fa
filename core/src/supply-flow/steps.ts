import { suppliesV, type ConverterThing, type Step } from '../plant/index.js';
import { figure } from '../quantity/index.js';
import { nameOf, ribbon, type Look, type Part } from './look.js';
import type { Flow, FlowKind } from './picture.js';

/** Boxes that bring a feed to other volts for the chargers behind them. */
export const stepBoxes = (l: Look, fed: readonly ConverterThing[]): Part['things'] =>
  fed.flatMap((c) => {
    const { dcIn } = c.ports;
    if (!c.feeds.length || !dcIn) return [];
    return [
      {
        id: c.ref.id,
        column: 'brings' as const,
        title: nameOf(l, c.ref.id, c.part.name),
        says: [`holds ${figure(suppliesV(dcIn), 1)} V, ${figure(dcIn.outputA * c.share, 0)} A`, `loses ${figure(100 * (1 - dcIn.efficiency), 0)} % as heat`],
        looks: l.waits.has(c.ref.id) ? ['for later'] : [],
      },
    ];
  });

/** What a charger takes in, from what feeds it or over the box between; that passes as much more as it loses. */
export const fedOver = (from: string, step: Step | null, charger: string, kind: FlowKind, ahIn: number): readonly Flow[] =>
  step ? [ribbon(from, step.ref.id, kind, ahIn / step.ports.dcIn.efficiency, null), ribbon(step.ref.id, charger, kind, ahIn, null)] : [ribbon(from, charger, kind, ahIn, null)];
