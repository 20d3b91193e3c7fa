import { boxMiddle } from '../vehicle/index.js';
import type { Rule } from './rule.js';

/** Height over the ground at which a socket, switch or display is seen and reached without bending or climbing, mm. */
const HANDY_MM = { low: 350, high: 1700 } as const;

export const outOfHand: Rule = {
  id: 'out-of-hand',
  severity: 'look',
  basis: 'outlets and controls between 350 and 1700 mm over the ground where they are used; planning figures',
  why: 'What is used every day is reached without climbing, and seen without kneeling.',
  test: ({ design, gear }) =>
    gear
      .filter((g) => g.role === 'load' && design.loads[g.id.slice('load:'.length)]?.purpose === 'sockets')
      .map((g) => ({ g, mm: Math.round(boxMiddle(g.box).z) }))
      .filter(({ mm }) => mm < HANDY_MM.low || mm > HANDY_MM.high)
      .map(({ g, mm }) => ({ at: { stage: 'places' as const, about: g.id }, values: { name: g.name, mm } })),
  say: (v) => `${v['name']}: ${v['mm']} mm over the ground, where it is hard to reach or to see.`,
  fix: () => `Between ${HANDY_MM.low} and ${HANDY_MM.high} mm, clear of knees and of what slides.`,
};
