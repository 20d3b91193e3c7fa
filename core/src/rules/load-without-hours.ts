import { loadSpans, spanHours } from '../loads/index.js';
import type { Rule } from './rule.js';

export const loadWithoutHours: Rule = {
  id: 'load-without-hours',
  severity: 'look',
  harm: 'the plan',
  basis: 'completeness of the load list',
  why: 'A load without hours costs no charge in the plan but does in the vehicle.',
  test: ({ design }) =>
    Object.entries(design.loads).flatMap(([id, l]) => {
      const within = spanHours(loadSpans(l, design.brief.trip.drivingH));
      const none = within === 0 || (l.draw.by === 'plate' && (l.use.by === 'hours' ? l.use.hours === 0 : l.use.by === 'duty' ? l.use.duty === 0 : l.use.duty25 === 0));
      const tooLong = l.draw.by === 'plate' && l.use.by === 'hours' && l.use.hours > within + 1e-9;
      if (!none && !tooLong) return [];
      const hours = l.use.by === 'hours' ? l.use.hours : 0;
      return [{ at: { stage: 'loads' as const, about: `load:${id}` }, values: { load: l.name || 'unnamed load', within, hours, when: l.when.at, none: none ? 1 : 0 } }];
    }),
  say: (v) => (v['none'] ? `${v['load']} never runs: no hours in “${v['when']}”.` : `${v['load']} is to run ${v['hours']} h, but “${v['when']}” has only ${v['within']} h.`),
  fix: (v) => (v['none'] ? 'Give it a duty or hours a day, and hours of the day.' : 'Shorten the hours a day, or widen when it runs.'),
};
