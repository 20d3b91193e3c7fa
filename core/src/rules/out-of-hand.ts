import { hardToUse, USE_MM, type UseTrouble } from '../places/index.js';
import { placeAnew } from './press.js';
import type { Rule } from './rule.js';

const SAYS: Readonly<Record<UseTrouble, string>> = {
  'too low': 'where one kneels for it',
  'too high': 'where one climbs for it',
  'cannot be read': 'where nobody reads it at a glance',
  'gets stepped on': 'on a floor, where feet and freight find it',
  'gets knocked': 'where it gets knocked',
};

export const outOfHand: Rule = {
  id: 'out-of-hand',
  severity: 'look',
  harm: 'people',
  basis: `outlets and controls between ${USE_MM.low} and ${USE_MM.high} mm over the ground, displays between ${USE_MM.readLow} and ${USE_MM.readHigh}, ${USE_MM.knock} mm clear of what moves; planning figures`,
  why: 'What is used every day is reached without climbing, read without kneeling, and not knocked by what slides.',
  test: ({ design, vehicle, gear }) =>
    hardToUse(design, vehicle, gear).map((h) => ({ at: { stage: 'places' as const, about: h.gear }, values: { name: h.name, mm: h.mm, says: SAYS[h.why], by: h.with ? ` by the ${h.with}` : '' } })),
  presses: ({ at }, { design }) => placeAnew(design, at.about!),
  say: (v) => `${v['name']}: ${v['mm']} mm over the ground, ${v['says']}${v['by']}.`,
  fix: () => `On a wall between ${USE_MM.low} and ${USE_MM.high} mm, where the person stands who uses it, clear of knees and of what slides.`,
};
