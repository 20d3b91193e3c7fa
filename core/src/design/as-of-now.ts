import { loadNamed } from './refs.js';
import type { Design } from './schema.js';

/** Id under which places know a panel of an array, the first of them 0. @example panelId(1) // 'panel:2' */
export const panelId = (i: number, array = 'panel'): string => (i === 0 ? array : `${array}:${i + 1}`);

type Waiting = ReadonlySet<string>;
type Keyed<T> = Readonly<Record<string, T>>;

/** The things of a collection that do not wait. */
const those = <T>(all: Keyed<T>, waiting: Waiting): Record<string, T> => Object.fromEntries(Object.entries(all).filter(([id]) => !waiting.has(id)));

/** Banks with the batteries that do not wait; one whose batteries all wait is not there yet. */
function banksNow({ banks }: Design, waiting: Waiting): Design['banks'] {
  const left = Object.entries(banks).map(([id, bank]) => [id, { ...bank, batteries: those(bank.batteries, waiting) }] as const);
  return Object.fromEntries(left.filter(([, bank]) => Object.keys(bank.batteries).length));
}

/** Arrays with the panels that do not wait; what they feed may wait itself. */
function arraysNow({ arrays }: Design, waiting: Waiting): Design['arrays'] {
  const left = Object.entries(arrays).map(([id, a]) => {
    const panels = Array.from({ length: a.count }, (_, i) => panelId(i, id)).filter((panel) => !waiting.has(panel)).length;
    return [id, { ...a, part: panels ? a.part : null, count: Math.max(1, panels), into: a.into && waiting.has(a.into.id) ? null : a.into }] as const;
  });
  return Object.fromEntries(left);
}

/** Ids of gear that is a provision or for later: it neither gives nor draws power now, and is not bought now. */
export const waitingIds = ({ places }: Pick<Design, 'places'>): readonly string[] => Object.entries(places).flatMap(([id, p]) => (p.when === 'now' ? [] : [id]));

/** The design as it works once what is for now is fitted; the same object where nothing waits. */
export function asOfNow(design: Design): Design {
  const ids = waitingIds(design);
  if (!ids.length) return design;
  const waiting = new Set(ids);
  // Without its display a shunt tells nobody anything.
  const unseen = waiting.has('display') ? new Set([...waiting, 'shunt']) : waiting;
  const off = new Set(ids.flatMap((id) => loadNamed(id) ?? []));
  return {
    ...design,
    banks: banksNow(design, waiting),
    arrays: arraysNow(design, waiting),
    converters: those(design.converters, waiting),
    links: those(design.links, waiting),
    switchgear: design.switchgear,
    monitors: those(design.monitors, unseen),
    loads: off.size ? those(design.loads, off) : design.loads,
  };
}
