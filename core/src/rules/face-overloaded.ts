import type { Rule } from './rule.js';

export const faceOverloaded: Rule = {
  id: 'face-overloaded',
  severity: 'look',
  harm: 'people',
  basis: 'load limits of faces, from the vehicle’s file',
  why: 'A panel that carries too much tears out on a bad road.',
  test: ({ layout }) =>
    layout.faceLoads.filter((f) => f.kg > f.limitKg + 1e-9).map((f) => ({ at: { stage: 'places' as const, about: f.face }, values: { face: f.name, kg: Math.round(f.kg), limit: f.limitKg } })),
  say: (v) => `${v['face']} would carry ${v['kg']} kg; ${v['limit']} kg is its limit.`,
  fix: () => 'Spread the gear, or bring a frame down to the floor.',
};
