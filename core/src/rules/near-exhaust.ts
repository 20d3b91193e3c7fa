import { tooNearExhaust } from '../routes/index.js';
import type { Rule } from './rule.js';

export const nearExhaust: Rule = {
  id: 'near-exhaust',
  severity: 'stop',
  harm: 'fire',
  basis: '150 mm from an exhaust',
  why: 'Insulation melts, and the loom burns.',
  test: ({ runs }) =>
    runs.flatMap((r) =>
      [...new Set(r.spec.route?.ways)].filter(tooNearExhaust).map((w) => ({
        at: { stage: 'runs' as const, about: r.spec.id },
        values: { run: `${r.spec.number} ${r.spec.name}`, along: w.along, what: w.id, mm: Math.min(...w.hazards.filter((h) => h.kind === 'exhaust').map((h) => h.nearMm)) },
      })),
    ),
  say: (v) => `Run ${v['run']} passes an exhaust at ${v['mm']} mm (${v['along']}); 150 mm are wanted.`,
  fix: () => 'Let it go another way, or move the stretch in the vehicle’s file.',
};
