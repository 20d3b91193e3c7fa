import { type Assessment, catalogueOf, convertersOfKind, type Design, figure, plant, type PartKind } from '@meridex/core';

/** Where a thing may hang, with words for it. */
export interface Hook {
  readonly id: string;
  readonly words: string;
}

/** A thing of the rig beyond the usual ones, which have forms of their own. */
export interface RigRow {
  readonly id: string;
  readonly kind: PartKind;
  readonly name: string;
  readonly part: string | null;
  /** Of panels: how many, and how many of them in series; of batteries how many. */
  readonly count: number | null;
  readonly inSeries: number | null;
  /** Where it hangs; empty: nowhere yet. */
  readonly on: string;
  readonly hooks: readonly Hook[];
  /** What it brings, in figures. */
  readonly says: string;
}

/** Ids of the things that the forms above show. */
const USUAL: ReadonlySet<string> = new Set(['house', 'second', 'panel', 'portable', 'charger', 'charger2', 'controller', 'mains', 'inverter']);

const KIND_WORDS: Partial<Record<PartKind, string>> = {
  panel: 'panels',
  dcdc: 'charger',
  'solar-controller': 'solar controller',
  'mains-charger': 'mains charger',
  inverter: 'inverter',
  isolator: 'isolator',
};

const NTH = ['first', 'second', 'third', 'fourth'];

/** Everything of a rig that has no form of its own, in the order in which it was added. */
export function rigRows(design: Design, a: Assessment): readonly RigRow[] {
  const catalogue = catalogueOf(design);
  const p = plant(design, catalogue);
  const gearName = (id: string, otherwise: string): string => a.gear.find((g) => g.id === id)?.name ?? otherwise;
  const bankHooks = p.banks.map((b): Hook => ({ id: b.ref.id, words: `straight to the ${gearName(b.ref.id, 'bank')}` }));
  const sunny = p.converters.filter((c) => c.part.kind === 'dcdc' && c.part.sunInput);
  const idle = Object.entries(design.converters).filter(([, c]) => catalogue.find('solar-controller', c.part));
  const sunHooks = [
    ...sunny.map((c): Hook => ({ id: c.ref.id, words: gearName(c.ref.id, c.part.name) })),
    ...idle.map(([id, c]): Hook => ({ id, words: gearName(id, catalogue.find('solar-controller', c.part)!.name) })),
  ];
  const arrays = p.arrays.map((x, nth): RigRow => {
    const sun = a.supply.arrays.find((s) => [...s.fixed, ...s.portables].some((o) => o.ref.id === x.ref.id));
    const watts = x.part.ratedW * x.quantity;
    const held = sun?.maxA === null || sun === undefined ? '' : `, its regulator passes ${figure(sun.maxA, 0)} A`;
    return {
      id: x.ref.id,
      kind: 'panel',
      name: x.portable ? gearName(x.ref.id, 'portable panel') : `${NTH[nth] ?? `${nth + 1}th`} array, ${figure(watts, 0)} W`,
      part: x.part.id,
      count: x.quantity,
      inSeries: x.portable ? null : x.inSeries,
      on: x.into?.id ?? '',
      hooks: x.portable ? [...sunHooks, ...bankHooks] : sunHooks,
      says: x.into ? `${figure(watts, 0)} W${held}` : 'hangs on nothing yet',
    };
  });
  const amps = (id: string): string => {
    const run = a.runs.find((r) => r.spec.role === 'charger output' && r.spec.serves.id === id);
    return run ? `${figure(run.spec.lastingA, 0)} A into the bank` : 'wired to nothing yet';
  };
  const converters = Object.entries(design.converters).map(([id, c]): RigRow => {
    const part = c.part === null ? undefined : catalogue.parts.find((x) => x.id === c.part);
    const kind = part?.kind ?? 'dcdc';
    const inside = p.converters.some((x) => x.ref.id === id && x.inside);
    const takes = convertersOfKind(p, 'inverter').some((i) => i.ref.id === id) ? '230 V for what is plugged in' : inside ? 'inside the power unit' : amps(id);
    return {
      id,
      kind,
      name: gearName(id, inside && part ? part.name : (KIND_WORDS[kind] ?? kind)),
      part: c.part,
      count: null,
      inSeries: null,
      on: c.bank ?? '',
      hooks: p.banks.map((b) => ({ id: b.ref.id, words: gearName(b.ref.id, 'bank') })),
      says: takes,
    };
  });
  const links = p.links.map((l): RigRow => ({
    id: l.ref.id,
    kind: 'isolator',
    name: gearName(l.ref.id, 'isolator'),
    part: l.part.id,
    count: null,
    inSeries: null,
    on: '',
    hooks: [],
    says: `up to ${l.part.ratedA} A`,
  }));
  return [...arrays, ...converters, ...links].filter((r) => !USUAL.has(r.id));
}
