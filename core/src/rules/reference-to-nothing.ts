import { rigOf, type Design } from '../design/index.js';
import { OWN_VEHICLE } from '../plant/index.js';
import { press } from './press.js';
import type { Found, Rule } from './rule.js';

/** What a thing hangs on, field by field. */
type Hung = readonly [id: string, field: string, collection: string, target: string | null];

/** True of what a monitor may measure. */
const isMeasured = (d: Design, id: string | null): boolean => id !== null && (['banks', 'converters', 'arrays', 'loads'] as const).some((c) => id in d[c]);

function hungOf(d: Design): readonly Hung[] {
  return [
    ...Object.entries(d.arrays).map(([id, a]): Hung => [id, 'into', a.into?.in ?? '', a.into?.id ?? null]),
    ...Object.entries(d.converters).flatMap(([id, c]): Hung[] => [
      [id, 'bank', 'banks', c.bank],
      [id, 'from', c.from?.in ?? '', c.from?.id ?? null],
      [id, 'inlet', 'inlets', c.inlet],
    ]),
    ...Object.entries(d.links).flatMap(([id, l]): Hung[] => [
      [id, 'bank', 'banks', l.bank],
      [id, 'vehicle', 'vehicles', l.vehicle],
    ]),
    ...Object.entries(d.banks).map(([id, b]): Hung => [id, 'selector', 'switchgear', b.selector]),
    ...Object.entries(d.loads).flatMap(([id, l]): Hung[] => [
      [id, 'block', 'distribution', l.feed.by === 'own' ? (l.feed.on ?? null) : null],
      [id, 'inverter', 'converters', l.inverter ?? null],
    ]),
    ...Object.entries(d.monitors).map(([id, m]): Hung => [id, 'measures', 'banks', isMeasured(d, m.measures) ? null : m.measures]),
  ];
}

const isThere = (d: Design, collection: string, id: string): boolean => (collection === 'vehicles' ? id === OWN_VEHICLE.id : id in (rigOf(d) as Record<string, object>)[collection]!);

/** Converters that are fed, over others, by themselves. */
const inCircle = (d: Design): readonly string[] =>
  Object.keys(d.converters).filter((id) => {
    const seen = new Set<string>();
    for (let at = d.converters[id]!.from; at?.in === 'converters' && !seen.has(at.id); at = d.converters[at.id]?.from ?? null) {
      if (at.id === id) return true;
      seen.add(at.id);
    }
    return false;
  });

/** What feeds another box needs no bank of its own. */
const feedsAnother = (d: Design, id: string): boolean => Object.values(d.converters).some((c) => c.from?.in === 'converters' && c.from.id === id);

export const referenceToNothing: Rule = {
  id: 'reference-to-nothing',
  severity: 'stop',
  harm: 'the plan',
  basis: 'completeness of the supply',
  why: 'What hangs on nothing is neither wired nor reckoned with; two boxes that feed each other feed nobody.',
  test: ({ design }) => [
    // The selector itself is looked for by a rule of its own.
    ...hungOf(design).flatMap(([id, field, collection, target]): Found[] =>
      target === null || field === 'selector' || isThere(design, collection, target) ? [] : [{ at: { stage: 'supply', about: `${id}:${field}` }, values: { id, field, target } }],
    ),
    ...inCircle(design).map((id): Found => ({ at: { stage: 'supply', about: id }, values: { id, field: 'from', target: 'itself, over others' } })),
    ...Object.entries(design.converters).flatMap(([id, c]): Found[] =>
      c.part !== null && c.bank === null && !feedsAnother(design, id) ? [{ at: { stage: 'supply', about: `${id}:bank` }, values: { id, field: 'bank', target: 'none' } }] : [],
    ),
  ],
  presses: ({ values: v }, { design }) => {
    const [first] = Object.keys(design.banks);
    const id = String(v['id']);
    return v['field'] === 'bank' && first !== undefined && design.converters[id] ? [press(design, 'Hang it on the bank that is there', (d) => (d.converters[id]!.bank = first))] : [];
  },
  say: (v) => (v['target'] === 'none' ? `${v['id']} has no ${v['field']}.` : `${v['id']}: its ${v['field']} is ${v['target']}, which is not there.`),
  fix: () => 'Hang it on a thing that is there, or take it out.',
};
