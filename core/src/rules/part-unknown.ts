import { rigOf } from '../design/index.js';
import { takeOut } from '../commands/index.js';
import { press } from './press.js';
import type { Found, Rule } from './rule.js';

export const partUnknown: Rule = {
  id: 'part-unknown',
  severity: 'stop',
  harm: 'the plan',
  basis: 'completeness of the supply',
  why: 'What the catalogue does not know is not reckoned with: neither its amps nor its weight.',
  test: ({ design, catalogue }) => {
    const known = new Set(catalogue.parts.map((p) => p.id));
    const { banks, ...others } = rigOf(design);
    const things = [...Object.values(others).flatMap((all) => Object.entries(all)), ...Object.values(banks).flatMap((b) => Object.entries(b.batteries))];
    return things.flatMap(([id, thing]): Found[] => {
      const part = 'part' in thing ? thing.part : null;
      return part === null || known.has(part) ? [] : [{ at: { stage: 'supply', about: id }, values: { id, part } }];
    });
  },
  presses: ({ at }, { design, catalogue }) => (design.banks[at.about!] ? [] : [press(design, 'Take it out', (d) => takeOut(d, at.about!, catalogue))]),
  say: (v) => `${v['id']} is the part ${v['part']}, which is neither in the catalogue nor among this job’s own parts.`,
  fix: () => 'Type its data sheet as a part of one’s own, or choose another.',
};
