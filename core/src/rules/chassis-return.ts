import { press } from './press.js';
import type { Rule } from './rule.js';

export const chassisReturn: Rule = {
  id: 'chassis-return',
  severity: 'look',
  harm: 'fire',
  basis: 'a chassis return is the body’s resistance and its joints; a coupling is no conductor',
  why: 'A return that goes through a ball or a hinge fails first under load.',
  test: ({ runs }) =>
    runs
      .filter((r) => r.spec.back === 'chassis' && r.spec.route?.ways.some((w) => w.coupling))
      .map((r) => ({ at: { stage: 'runs' as const, about: r.spec.id }, values: { run: `${r.spec.number} ${r.spec.name}` } })),
  presses: ({ at }, { design }) => [press(design, 'Give it a return cable', (d) => (d.runs[at.about!] = { ...d.runs[at.about!], back: 'cable' }))],
  say: (v) => `Run ${v['run']} returns through the body across a coupling.`,
  fix: () => 'A return cable of the feed’s size through the plug.',
};
