import type { Found, Rule } from './rule.js';

export const oneSourceAtATime: Rule = {
  id: 'one-source-at-a-time',
  severity: 'look',
  harm: 'flat batteries',
  basis: 'a charger with two inputs and one output',
  why: 'Sun and vehicle are not to be counted twice: while one is taken the other brings nothing.',
  test: ({ design, supply: { arrays }, trip }) =>
    design.brief.trip.drivingH > 0 && trip
      ? arrays.flatMap((a): Found[] =>
          a.regulator && a.sunInput && a.sunInput.beside !== 'sun first'
            ? [{ at: { stage: 'supply', about: a.regulator.id }, values: { way: a.sunInput.beside, hours: design.brief.trip.drivingH } }]
            : [],
        )
      : [],
  say: (v) =>
    v['way'] === 'vehicle first'
      ? `This charger takes one source at a time: the sun brings nothing in the ${v['hours']} h of driving, and the trip counts it so.`
      : `This charger takes the sun alone whenever there is any: in a dull hour it shuts out the alternator, and the trip counts it so.`,
  fix: () => 'A charger that takes the sun first and tops up from the vehicle, or a controller of its own for the panels.',
};
