import { figure } from '../../quantity/index.js';
import type { JoinedRule } from './joint.js';

export const twoSourcesOneInlet: JoinedRule = {
  id: 'two-sources-one-inlet',
  severity: 'look',
  harm: 'people',
  basis: 'never two sources on one inlet',
  why: 'An inlet takes one lead; a second one, made up with an adapter, joins two 230 V sources and can kill.',
  test: ({ leads }) => leads.filter((l) => !l.gives && l.siteH > 0).map((l) => ({ at: { stage: 'supply', about: l.id }, values: { other: l.other, hours: figure(l.siteH, 0) } })),
  say: (v) => `For ${v['hours']} h of the trip the site’s lead and that from the ${v['other']} want the same inlet.`,
  fix: () => 'Other hours for the lead, or an inlet of its own with a transfer switch by a licensed electrician.',
};
