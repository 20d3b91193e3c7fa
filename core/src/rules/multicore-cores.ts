import { multicoresOf, STOCK_CORES } from '../routes/index.js';
import { press } from './press.js';
import type { Found, Rule } from './rule.js';

const MOST = STOCK_CORES[STOCK_CORES.length - 1]!;

export const multicoreCores: Rule = {
  id: 'multicore-cores',
  severity: 'stop',
  harm: 'the plan',
  basis: 'every feed and every return needs a core of its own, unless returns are in common',
  why: 'What has no core is not wired by this plan.',
  test: ({ runs }) =>
    multicoresOf(runs)
      .filter((m) => !m.stocked)
      .map((m): Found => ({ at: { stage: 'runs', about: m.runs[0]!.spec.id }, values: { what: m.id, name: m.name, used: m.used, bought: m.bought } })),
  presses: ({ values: v }, { design }) => {
    const [id, used] = [String(v['what']), Number(v['used'])];
    if (design.multicores[id]?.cores === null || used > MOST) return [];
    return [press(design, 'Take the next stocked cable', (d) => void (d.multicores[id]!.cores = null))];
  },
  say: (v) => `${v['name']} needs ${v['used']} cores${Number(v['bought']) < Number(v['used']) ? `, and has ${v['bought']}` : ''}; sheathed cable is stocked with up to ${MOST}.`,
  fix: () => 'Take a cable with enough cores, let returns go back in common, or part its runs into two cables.',
};
