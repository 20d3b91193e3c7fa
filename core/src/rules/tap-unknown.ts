import { wiresTapped } from '../places/index.js';
import { plant } from '../plant/index.js';
import { ownWay } from './press.js';
import type { Rule } from './rule.js';

export const tapUnknown: Rule = {
  id: 'tap-unknown',
  severity: 'stop',
  harm: 'the plan',
  basis: 'size, fuse and present load of a wire before anything is added to it',
  why: 'Nobody can say whether an unknown wire carries one thing more.',
  test: ({ design, catalogue }) => {
    const joined = plant(design, catalogue).vehicles.some((v) => v.joined);
    return wiresTapped(design).flatMap(([id, w]) => {
      const open = [
        ...(w.areaMm2 === null ? ['its size'] : []),
        ...(w.fuseA === null ? ['its fuse'] : []),
        ...(w.presentA === null ? ['what it carries now, with a clamp meter and everything on'] : []),
      ];
      const apart = w.fedFrom === 'vehicle' && !joined;
      if (apart) return [{ at: { stage: 'brief' as const, about: `wire:${id}` }, values: { wire: w.colour || 'unnamed', to: w.to || 'an unnamed place', open: '', apart: 1 } }];
      return open.length ? [{ at: { stage: 'brief' as const, about: `wire:${id}` }, values: { wire: w.colour || 'unnamed', to: w.to || 'an unnamed place', open: open.join('; '), apart: 0 } }] : [];
    });
  },
  presses: ({ at }, { design }) =>
    ownWay(
      design,
      Object.keys(design.loads).filter((id) => {
        const { feed } = design.loads[id]!;
        return feed.by === 'wire' && `wire:${feed.wire}` === at.about;
      }),
    ),
  say: (v) =>
    v['apart']
      ? `The ${v['wire']} wire to ${v['to']} hangs on the vehicle’s battery, which nothing in this plan joins to the house side.`
      : `Something is to hang on the ${v['wire']} wire to ${v['to']}, but not known: ${v['open']}.`,
  fix: (v) => (v['apart'] ? 'Give the load a way of its own on the house side, or plan the link to the vehicle.' : 'Trace and measure it under Brief, or give the load a way of its own.'),
};
