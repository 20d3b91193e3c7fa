import { supplyOf, type Design } from '../design/index.js';
import { distributionOf } from '../supply/index.js';
import { press } from './press.js';
import type { Rule } from './rule.js';

/** The bank behind the selector becomes part of the first; both stand as one of each, which the usual supply says. */
const joinBanks = (d: Design): void => void (supplyOf(d).second!.joined = 'parallel');

export const selectorMissing: Rule = {
  id: 'selector-missing',
  severity: 'stop',
  harm: 'flat batteries',
  basis: 'two banks that are used by turns need a switch that never joins them by accident',
  why: 'Without it both banks are tied together: the fuller one pours into the emptier, of whatever kind they are.',
  test: ({ supply: { second }, design, catalogue }) =>
    second && !distributionOf(design, catalogue).mainSwitch ? [{ at: { stage: 'supply' as const, about: 'switch' }, values: { ah: second.capacityAh } }] : [],
  presses: (_, { design }) => [press(design, 'Join the banks in parallel', joinBanks)],
  say: (v) => `The second bank of ${v['ah']} Ah is to stand behind a selector, but no main switch is chosen that could be it.`,
  fix: () => 'Choose a main switch rated for the inverter’s surge, as a selector (first – off – second), or join the banks in parallel.',
};
