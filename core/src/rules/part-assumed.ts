import { plant, partsOf } from '../plant/index.js';
import type { Found, Rule } from './rule.js';

export const partAssumed: Rule = {
  id: 'part-assumed',
  severity: 'look',
  harm: 'the plan',
  basis: 'the data sheet of a part of one’s own',
  why: 'A default is right for most of its size; the maker’s figure is right for this one.',
  test: ({ design, catalogue }) => {
    const parts = new Map(partsOf(plant(design, catalogue)).map((t) => [t.part.id, t.part]));
    return [...parts.values()].flatMap((p): Found[] =>
      p.assumed?.length
        ? [{ at: { stage: 'supply', about: p.id }, values: { name: p.name, many: p.assumed.length, which: p.assumed.slice(0, 4).join(', ') + (p.assumed.length > 4 ? ' …' : '') } }]
        : [],
    );
  },
  say: (v) => `${v['name']}: ${v['many']} figures are defaults for its size (${v['which']}).`,
  fix: () => 'Type what its data sheet says, or accept it with the sheet’s name.',
};
