import { figure } from '../quantity/index.js';
import type { Found, Rule } from './rule.js';

export const panelFuse: Rule = {
  id: 'panel-fuse',
  severity: 'look',
  harm: 'fire',
  basis: 'each panel of a parallel group has its own fuse: 1.56 times its short-circuit current, not above the panel’s largest (IEC 62548)',
  why: 'A shaded or faulty panel can be fed by all the others.',
  test: ({ supply: { arrays } }) =>
    arrays.flatMap((a): Found[] =>
      a.panelFuseFromA && a.panelFuseFromA > a.panel.maxFuseA ? [{ at: { stage: 'supply', about: a.ref.id }, values: { from: figure(a.panelFuseFromA, 1), to: a.panel.maxFuseA } }] : [],
    ),
  say: (v) => `Each panel needs a fuse of ${v['from']} A or more, but allows ${v['to']} A at most.`,
  fix: () => 'Other panels, or panels in series on a controller that takes the volts.',
};
