import { loadNamed } from '../design/index.js';
import { ownWay } from './press.js';
import type { Rule } from './rule.js';

export const feedMissing: Rule = {
  id: 'feed-missing',
  severity: 'stop',
  harm: 'the plan',
  basis: 'every load hangs on a feed that is there',
  why: 'A load whose feed is gone has no run, no fuse and no cable on the list.',
  test: ({ design }) =>
    Object.entries(design.loads).flatMap(([id, l]) => {
      const gone = (l.feed.by === 'group' && !design.groups[l.feed.group]) || (l.feed.by === 'wire' && !design.brief.traces[l.feed.wire]);
      return gone && l.supply === 'dc' ? [{ at: { stage: 'loads' as const, about: `load:${id}` }, values: { load: l.name || 'an unnamed load' } }] : [];
    }),
  presses: ({ at }, { design }) => ownWay(design, [loadNamed(at.about)!]),
  say: (v) => `${v['load']}: the switch bank, strip or wire that it hung on is gone.`,
  fix: () => 'Give it another feed under Loads.',
};
