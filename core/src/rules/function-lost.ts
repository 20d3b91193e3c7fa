import { existingKey } from '../design/index.js';
import type { Rule } from './rule.js';

export const functionLost: Rule = {
  id: 'function-lost',
  severity: 'stop',
  harm: 'the plan',
  basis: 'each function of removed gear needs a successor or a signed omission',
  why: 'What a combined unit did besides is missed on the first night.',
  test: ({ supply: { lost } }) =>
    lost.filter((f) => !f.successor && !f.omittedBy).map((f) => ({ at: { stage: 'brief' as const, about: existingKey(f.existing) }, values: { gear: f.gear, what: f.does } })),
  say: (v) => `${v['gear']} comes out, and nothing takes over: ${v['what']}.`,
  fix: () => 'Choose a part that does it, keep other gear that does, or sign for the omission under Brief.',
};
