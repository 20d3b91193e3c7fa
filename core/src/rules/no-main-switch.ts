import { distributionOf, switchesFor } from '../supply/index.js';
import { takeRated } from './press.js';
import type { Rule } from './rule.js';

export const noMainSwitch: Rule = {
  id: 'no-main-switch',
  severity: 'look',
  harm: 'fire',
  basis: 'a house battery that can be parted from everything by hand, without tools',
  why: 'In a fire or a fault nobody looks for a spanner; and it is the first thing that is switched before work.',
  test: ({ design, supply, catalogue }) => (supply.bank && !distributionOf(design, catalogue).mainSwitch ? [{ at: { stage: 'supply' as const, about: 'switch' }, values: {} }] : []),
  presses: (_, { design, catalogue, runs }) => {
    const fuseA = Math.max(0, ...runs.map((r) => (r.spec.group === 'house' && r.ok && r.spec.from.gear === 'house' ? r.figures.fuseA * r.figures.perPole : 0)));
    return takeRated(
      design,
      switchesFor(design, catalogue),
      (p) => p.ratedA,
      fuseA,
      (s, id) => (s.mainSwitch = id),
    );
  },
  say: () => 'No switch parts the house battery from its bus bars.',
  fix: () => 'Choose a main switch under Supply, rated for the main fuse, within reach; or accept it with what takes its place.',
};
