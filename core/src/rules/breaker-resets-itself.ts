import { press } from './press.js';
import type { Rule } from './rule.js';

export const breakerResetsItself: Rule = {
  id: 'breaker-resets-itself',
  severity: 'stop',
  harm: 'fire',
  basis: 'manual reset by default; self-resetting only where losing the circuit is worse than the fault coming back',
  why: 'It closes again on to the same fault, over and over, unseen: the wire is heated each time and nobody looks.',
  test: ({ runs, design }) =>
    runs.flatMap((r) => {
      if (r.spec.reset !== 'self') return [];
      const load = r.spec.group === 'loads' ? design.loads[r.spec.serves.id] : undefined;
      return [
        { at: { stage: 'protection' as const, about: r.spec.id }, severity: load?.critical ? ('look' as const) : ('stop' as const), values: { run: r.spec.name, critical: load?.critical ? 1 : 0 } },
      ];
    }),
  presses: ({ at }, { design }) => [press(design, 'Take a manual reset', (d) => (d.runs[at.about!] = { ...d.runs[at.about!], protect: 'breaker, manual reset' }))],
  say: (v) =>
    v['critical']
      ? `${v['run']}: its breaker closes again by itself. What it feeds is marked as not to be lost, so that can be right.`
      : `${v['run']}: its breaker closes again by itself, and a short on it would be fed again and again.`,
  fix: (v) =>
    v['critical'] ? 'Accept it with what will show that it has tripped, or take a manual reset.' : 'A manual reset or a fuse; or mark the load as one that must not be lost, if that is so.',
};
