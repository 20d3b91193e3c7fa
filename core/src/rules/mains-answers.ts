import { mainsSide } from '../mains/index.js';
import type { Rule } from './rule.js';

export const mainsAnswers: Rule = {
  id: 'mains-answers',
  severity: 'stop',
  harm: 'people',
  basis:
    'both poles parted and a residual-current device behind the inlet of what moves from site to site; a residual-current device that suits the inverter’s output: practice, check the rules in force',
  why: 'Mains kills, and what was answered would let it.',
  test: ({ design, catalogue }) => mainsSide(design, catalogue).troubles.map((t) => ({ at: { stage: 'checks' as const, about: `mains.${t.id}` }, values: { of: t.of, say: t.say } })),
  say: (v) => `230 V, ${v['of']}: ${v['say']}.`,
  fix: () => 'Ask the licensed electrician, and put down what they say under Checks, 230 V.',
};
