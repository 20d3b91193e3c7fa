import type { Rule } from './rule.js';

export const perPole: Rule = {
  id: 'per-pole',
  severity: 'look',
  basis: 'no single stocked cable loses little enough over this length; equal conductors share the current by their resistance',
  why: 'Conductors side by side share only while they are equal: a longer one or a poor joint loads the others above what their fuses expect.',
  test: ({ runs }) =>
    runs.flatMap((r) =>
      r.ok && r.figures.perPole > 1
        ? [{ at: { stage: 'runs' as const, about: r.spec.id }, values: { run: r.spec.name, cable: r.figures.cable, fuse: r.figures.fuseA, many: r.figures.perPole, length: r.spec.outM } }]
        : [],
    ),
  say: (v) => `${v['run']}: no single cable will do over ${v['length']} m, so ${v['cable']} in each pole, each with its own ${v['fuse']} A fuse.`,
  fix: (v) => `Cut all ${v['many']} from one roll to the same length, with the same lugs, and join them at both ends; or move the gear nearer.`,
};
