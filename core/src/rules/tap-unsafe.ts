import { wiresTapped } from '../places/index.js';
import { ownWay } from './press.js';
import type { Rule } from './rule.js';

export const tapUnsafe: Rule = {
  id: 'tap-unsafe',
  severity: 'stop',
  harm: 'fire',
  basis: 'circuits of airbags, brakes, steering and stability are never tapped',
  why: 'A joint that fails there takes the brakes or the airbags with it.',
  test: ({ design }) =>
    wiresTapped(design).flatMap(([id, w]) => (w.safety ? [{ at: { stage: 'brief' as const, about: `wire:${id}` }, values: { wire: w.colour || 'unnamed', to: w.to || 'an unnamed place' } }] : [])),
  presses: ({ at }, { design }) =>
    ownWay(
      design,
      Object.keys(design.loads).filter((id) => {
        const { feed } = design.loads[id]!;
        return feed.by === 'wire' && `wire:${feed.wire}` === at.about;
      }),
    ),
  say: (v) => `The ${v['wire']} wire to ${v['to']} belongs to a safety circuit, and something is to hang on it.`,
  fix: () => 'Another circuit, or a way of its own.',
};
