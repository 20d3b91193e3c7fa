import { supplyOf, type Design } from '../design/index.js';
import { distributionOf, selectorsOf } from '../supply/index.js';
import { asUsual, press, takeRated, type Press } from './press.js';
import type { Rule } from './rule.js';

/** The bank behind the selector becomes part of the first; both stand as one of each, which the usual supply says. */
const joinBanks = (d: Design): void => void (supplyOf(d).second!.joined = 'parallel');

/** A selector in the place of what is there, rated no less. */
const takeSelector = (design: Design, catalogue: Parameters<Rule['test']>[0]['catalogue']): readonly Press[] => {
  const { hub, mainSwitch } = distributionOf(design, catalogue);
  if (hub?.mainSwitch) return [];
  const all = takeRated(
    design,
    selectorsOf(catalogue),
    (p) => p.ratedA,
    mainSwitch?.ratedA ?? 0,
    (s, id) => (s.mainSwitch = id),
  );
  return all.map(asUsual);
};

export const selectorMissing: Rule = {
  id: 'selector-missing',
  severity: 'stop',
  harm: 'flat batteries',
  basis: 'two banks that are used by turns need a switch with a position for each',
  why: 'Without it both banks are tied together, or one is never used: the fuller one pours into the emptier, of whatever kind they are.',
  test: ({ supply: { second }, design, catalogue }) => {
    const { mainSwitch } = distributionOf(design, catalogue);
    if (!second || mainSwitch?.selects) return [];
    return [{ at: { stage: 'supply' as const, about: 'switch' }, values: { ah: second.capacityAh, has: mainSwitch ? (mainSwitch.onHub ? 'the hub board’s main switch' : 'the main switch') : '' } }];
  },
  presses: (_, { design, catalogue }) => [...takeSelector(design, catalogue), ...(supplyOf(design).second ? [press(design, 'Join the banks in parallel', joinBanks)] : [])],
  say: (v) => `The second bank of ${v['ah']} Ah is to stand behind a selector, ${v['has'] ? `but ${v['has']} has one position, for one bank.` : 'but no main switch is chosen that could be it.'}`,
  fix: (v) =>
    v['has'] === 'the hub board’s main switch'
      ? 'A board without a main switch and a selector beside it, or one bank.'
      : 'A battery selector (first – off – second) as the main switch, rated for the inverter’s surge; or the banks joined in parallel.',
};
