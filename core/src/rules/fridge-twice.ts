import { loadNamed } from '../design/index.js';
import { press } from './press.js';
import type { Rule } from './rule.js';

export const fridgeTwice: Rule = {
  id: 'fridge-twice',
  severity: 'look',
  harm: 'broken gear',
  basis: 'one appliance, one supply at a time',
  why: 'Counted at 230 V and at 12 V both, its draw is in the plan twice.',
  test: ({ design }) => {
    const fridges = Object.entries(design.loads).filter(([, l]) => l.purpose === 'fridge');
    const plain = (name: string): string => name.toLowerCase().replace(/\b(12|24|230|240)\s*v\b|\b(mains|dc|ac)\b|[^a-z]/g, '');
    return fridges
      .filter(([, l]) => l.supply === 'mains')
      .filter(([, l]) => fridges.some(([id, o]) => o.supply === 'dc' && plain(o.name) === plain(l.name) && !l.neverWith[id]))
      .map(([id, l]) => ({ at: { stage: 'loads' as const, about: `load:${id}` }, values: { load: l.name || 'unnamed fridge' } }));
  },
  presses: ({ at }, { design }) => {
    const id = loadNamed(at.about)!;
    const fridges = Object.keys(design.loads).filter((other) => other !== id && design.loads[other]!.purpose === 'fridge' && design.loads[other]!.supply === 'dc');
    return [press(design, 'They never run together', (d) => fridges.forEach((other) => (d.loads[id]!.neverWith[other] = true)))];
  },
  say: (v) => `${v['load']} stands in the list at 230 V and at house volts both.`,
  fix: () => 'Keep one, and mark mains as its other supply; or say that the two never run together.',
};
