import { takeInverter } from './press.js';
import type { Rule } from './rule.js';

export const inverterTooSmall: Rule = {
  id: 'inverter-too-small',
  severity: 'stop',
  basis: 'rated output of the inverter’s data sheet',
  why: 'An overloaded inverter shuts off, and takes every mains load with it.',
  test: ({ day, supply }) =>
    supply.inverter && day.mainsPeakW > supply.inverter.ratedW ? [{ at: { stage: 'supply', about: 'inverter' }, values: { wants: Math.round(day.mainsPeakW), gives: supply.inverter.ratedW } }] : [],
  presses: ({ values: v }, { design, catalogue }) => takeInverter(design, catalogue, Number(v['wants'])),
  say: (v) => `Mains loads want ${v['wants']} W at once; the inverter gives ${v['gives']} W.`,
  fix: () => 'Choose a bigger inverter, or keep the loads apart in their hours.',
};
