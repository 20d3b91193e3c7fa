import { figure } from '../../quantity/index.js';
import type { JoinedRule } from './joint.js';

export const leadRests: JoinedRule = {
  id: 'lead-rests',
  severity: 'look',
  harm: 'flat batteries',
  basis: 'the trip of both banks together',
  why: 'Whoever counts on the lead gets less than its hours say.',
  test: ({ leads }) => leads.filter((l) => l.gives && l.restsH >= 1).map((l) => ({ at: { stage: 'supply', about: l.id }, values: { other: l.other, hours: figure(l.restsH, 0) } })),
  say: (v) => `For ${v['hours']} h of the trip the lead to the ${v['other']} rests, since the battery that gives is at its floor.`,
  fix: () => 'A larger bank or more sun on the giving vehicle, fewer hours, or a smaller charger at the other end.',
};
