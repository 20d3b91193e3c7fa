import { emptyBoxes, unboxGear } from '../places/index.js';
import { asUsual, press } from './press.js';
import type { Rule } from './rule.js';

export const boxEmpty: Rule = {
  id: 'box-empty',
  severity: 'look',
  harm: 'the plan',
  basis: 'what stands in the space of the box',
  why: 'A box that holds nothing is cut, drilled and paid for all the same, and keeps its room from other gear.',
  test: ({ design, catalogue }) => emptyBoxes(design, catalogue).map((z) => ({ at: { stage: 'places' as const, about: z.id }, values: { box: z.name } })),
  presses: ({ at, values: v }, { design }) => [asUsual(press(design, `Take the ${v['box']} away`, (d) => void Object.assign(d, unboxGear(d, at.about!))))],
  say: (v) => `Nothing is in the ${v['box']} any more.`,
  fix: () => 'Take it away, or put what it was built for back into it.',
};
