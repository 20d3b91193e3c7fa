import { loadNamed } from '../design/index.js';
import { ownWay } from './press.js';
import type { Rule } from './rule.js';

export const tapNotLive: Rule = {
  id: 'tap-not-live',
  severity: 'look',
  harm: 'broken gear',
  basis: 'when the traced wire is live against when its load runs',
  why: 'A load on a wire that is dead when it should run does nothing.',
  test: ({ design }) =>
    Object.entries(design.loads).flatMap(([id, l]) => {
      const wire = l.feed.by === 'wire' ? design.brief.traces[l.feed.wire] : undefined;
      if (!wire || l.supply !== 'dc' || wire.live === 'always') return [];
      const fine = l.when.at === 'driving' && (wire.live === 'ignition on' || wire.live === 'accessory');
      return fine
        ? []
        : [
            {
              at: { stage: 'loads' as const, about: `load:${id}` },
              severity: wire.live === 'never' ? ('stop' as const) : ('look' as const),
              values: { load: l.name, wire: wire.colour || 'traced', live: wire.live, when: l.when.at === 'hours' ? 'at its hours' : l.when.at },
            },
          ];
    }),
  presses: ({ at }, { design }) => ownWay(design, [loadNamed(at.about)!]),
  say: (v) =>
    v['live'] === 'not tested' ? `${v['load']}: nobody has tested when the ${v['wire']} wire is live.` : `${v['load']} is to run ${v['when']}, but the ${v['wire']} wire is live: ${v['live']}.`,
  fix: (v) => (v['live'] === 'not tested' ? 'Test it with ignition on, in accessory and off.' : 'A wire that is live when it runs, or a way of its own.'),
};
