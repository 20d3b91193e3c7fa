import { figure, rating } from '../quantity/index.js';
import { multicoresOf } from '../routes/index.js';
import { press } from './press.js';
import type { Found, Rule } from './rule.js';

export const multicoreReturn: Rule = {
  id: 'multicore-return',
  severity: 'stop',
  harm: 'fire',
  basis: 'a conductor bears what the fuses before it let through together',
  why: 'No fuse stands in a common return: it carries whatever all feeds let through.',
  test: ({ runs }) =>
    multicoresOf(runs).flatMap((m): Found[] => {
      const together = m.runs.filter((r) => r.spec.multicore!.common);
      const [first] = together;
      if (!first) return [];
      const fusesA = together.reduce((sum, r) => sum + r.figures.fuseA * r.figures.perPole, 0);
      const bearsA = Math.min(...together.map((r) => r.figures.ampacityA)) * first.spec.multicore!.common!.cores;
      return fusesA > bearsA + 1e-9 ? [{ at: { stage: 'runs', about: first.spec.id }, values: { what: m.id, name: m.name, fusesA, bearsA } }] : [];
    }),
  presses: ({ values: v }, { design }) => [press(design, 'Give each run a return of its own', (d) => void (d.multicores[String(v['what'])]!.back = 'own'))],
  say: (v) => `The common return of ${v['name']} bears ${figure(Number(v['bearsA']), 0)} A; the fuses of its runs let ${rating(Number(v['fusesA']))} A through together.`,
  fix: () => 'Give each run a return core of its own, or take runs out of it.',
};
