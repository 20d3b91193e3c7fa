import type { Elsewhere, JoinedRule } from './joint.js';

/** Its own text is another rule's; the index writes it in. */
export const withAnotherVehicle = (inWords: (e: Elsewhere) => { readonly say: string; readonly fix: string }): JoinedRule => ({
  id: 'with-another-vehicle',
  severity: 'look',
  harm: 'broken gear',
  basis: 'the same assessment with each vehicle that it may be plugged into',
  why: 'What moves between vehicles must suit each of them.',
  test: ({ elsewhere }) =>
    elsewhere.map((e) => ({
      at: { ...e.finding.at, about: `${e.finding.at.about ?? e.finding.rule}:${e.finding.rule}` },
      severity: e.finding.severity,
      values: { what: e.other, ...inWords(e) },
    })),
  say: (v) => `Plugged into the ${v['what']}: ${v['say']}`,
  fix: (v) => String(v['fix']),
});
