import { invertersOf } from '../plant/index.js';
import { takeInverter } from './press.js';
import type { Found, Rule } from './rule.js';

export const inverterTooSmall: Rule = {
  id: 'inverter-too-small',
  severity: 'stop',
  harm: 'broken gear',
  basis: 'rated output of the inverter’s data sheet',
  why: 'An overloaded inverter shuts off, and takes every mains load with it.',
  test: ({ day, design, catalogue }) => {
    const all = invertersOf(design, catalogue);
    return all.flatMap(({ ref, part, ports: { mainsOut } }): Found[] => {
      const wants = Math.round(day.inverterPeakW[ref.id] ?? 0);
      return wants > mainsOut.ratedW ? [{ at: { stage: 'supply', about: ref.id }, values: { id: ref.id, wants, gives: mainsOut.ratedW, which: all.length > 1 ? part.name : 'inverter' } }] : [];
    });
  },
  presses: ({ values: v }, { design, catalogue }) => takeInverter(design, catalogue, Number(v['wants']), String(v['id'])),
  say: (v) => `Mains loads want ${v['wants']} W at once; the ${v['which']} gives ${v['gives']} W.`,
  fix: () => 'Choose a bigger inverter, or keep the loads apart in their hours.',
};
