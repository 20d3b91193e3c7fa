import { type Assessment } from '../assess/index.js';
import { type Catalogue, catalogueOf, KIND_WORDS, type PartKind, portsIn, sunOnly } from '../catalogue/index.js';
import { controllersOf, plant, type Plant, withPort } from '../plant/index.js';
import { type Design, OWN, type RigConverter, vehicleIds, vehicleIn } from '../design/index.js';
import { figure } from '../quantity/index.js';
import { leadsIn, vehicleName } from '../couplings/index.js';

/** Where a thing may hang, with words for it. */
export interface Hook {
  readonly id: string;
  readonly words: string;
  /** Of what feeds a charger: the rig whose bank it is, from which a lead is still to be laid. */
  readonly rig?: string;
}

/** The job that a rig stands in, and which of its vehicles it is. */
export interface InJob {
  readonly job: Design;
  readonly vehicle: string;
}

/** A thing of the rig as a row of fields. */
export interface RigRow {
  readonly id: string;
  readonly kind: PartKind;
  readonly name: string;
  readonly part: string | null;
  /** Of panels: how many, how many of them in series, and their shade; of batteries how many. */
  readonly count: number | null;
  readonly inSeries: number | null;
  readonly shade: number | null;
  /** Of a charger from the vehicle. */
  readonly trigger: RigConverter['trigger'] | null;
  /** Where it hangs; empty: nowhere yet. */
  readonly on: string;
  readonly hooks: readonly Hook[];
  /** Of a charger with a DC input: what feeds it, and what may; empty: nothing else could. */
  readonly fed: string;
  readonly feeds: readonly Hook[];
  /** What it was called by a person; empty: as drafted; null: it has no name of its own. */
  readonly called: string | null;
  /** What it brings, in figures. */
  readonly says: string;
}

/** Ids of the things that have forms of their own. */
const USUAL: ReadonlySet<string> = new Set(['house', 'second', 'panel', 'portable', 'charger', 'charger2', 'controller', 'mains', 'inverter', 'block']);

const NTH = ['first', 'second', 'third', 'fourth'];

/** What rows are made of. */
interface Look {
  readonly design: Design;
  readonly a: Assessment;
  readonly p: Plant;
  readonly catalogue: Catalogue;
  readonly gearName: (id: string, otherwise: string) => string;
  readonly within: InJob | null;
}

type Said = Pick<RigRow, 'id' | 'kind' | 'name' | 'part' | 'says'> & Partial<RigRow>;
const row = (said: Said): RigRow => ({ count: null, inSeries: null, shade: null, trigger: null, on: '', hooks: [], fed: '', feeds: [], called: null, ...said });

function arrayRows({ design, a, p, catalogue, gearName }: Look): RigRow[] {
  const bankHooks = p.banks.map((b): Hook => ({ id: b.ref.id, words: `straight to the ${gearName(b.ref.id, 'bank')}` }));
  const sunny = withPort(p, 'sunIn').filter((c) => !sunOnly(c.ports));
  const sunHooks = [
    ...sunny.map((c): Hook => ({ id: c.ref.id, words: gearName(c.ref.id, c.part.name) })),
    ...controllersOf(design, catalogue).map(({ id, part }): Hook => ({ id, words: gearName(id, part.name) })),
  ];
  return p.arrays.map((x, nth): RigRow => {
    const sun = a.supply.arrays.find((s) => [...s.fixed, ...s.portables].some((o) => o.ref.id === x.ref.id));
    const watts = x.part.ratedW * x.quantity;
    const held = sun?.maxA === null || sun === undefined ? '' : `, its regulator passes ${figure(sun.maxA, 0)} A`;
    return row({
      id: x.ref.id,
      kind: 'panel',
      name: x.portable ? gearName(x.ref.id, 'portable panel') : `${NTH[nth] ?? `${nth + 1}th`} array, ${figure(watts, 0)} W`,
      part: x.part.id,
      count: x.quantity,
      inSeries: x.portable ? null : x.inSeries,
      shade: x.shade,
      on: x.into?.id ?? '',
      hooks: x.portable ? [...sunHooks, ...bankHooks] : sunHooks,
      says: x.into ? `${figure(watts, 0)} W${held}` : 'hangs on nothing yet',
    });
  });
}

/** What may feed a charger’s DC input: the engine, the leads that come in, another box, the banks of the job’s other rigs. */
function feedsOf({ design, catalogue, gearName, within }: Look): Hook[] {
  const inlets = Object.entries(design.inlets).flatMap(([id, i]): Hook[] => (i.dc ? [{ id, words: gearName(id, i.name || 'lead from the other battery') }] : []));
  const { job, vehicle } = within ?? { job: design, vehicle: OWN };
  const others = vehicleIds(job).filter((v) => v !== vehicle && Object.keys(vehicleIn(job, v).banks).length > 0 && !leadsIn(job).some(([, c]) => c.from === v && c.to === vehicle));
  const boxes = Object.entries(design.converters).flatMap(([id, c]): Hook[] => {
    const ports = portsIn(catalogue, c.part);
    const more = Object.values(design.arrays).some((a) => a.into?.id === id) || (ports?.mainsIn && c.inlet !== null);
    return ports?.dcIn && !ports.mainsOut && !more && c.from !== null && c.from.in !== 'converters' ? [{ id, words: `the ${gearName(id, 'other charger')}, for it alone` }] : [];
  });
  return [{ id: 'starting', words: 'the engine’s side' }, ...inlets, ...boxes, ...others.map((v): Hook => ({ id: `bank:${v}`, words: `the bank of the ${vehicleName(job, v)}, by a lead`, rig: v }))];
}

function converterRows(look: Look): RigRow[] {
  const { design, a, p, catalogue, gearName } = look;
  const all = feedsOf(look);
  const amps = (id: string): string => {
    const run = a.runs.find((r) => (r.spec.role === 'charger output' || r.spec.role === 'maintainer output') && r.spec.serves.id === id);
    return run ? `${figure(run.spec.lastingA, 0)} A into the ${run.spec.role === 'charger output' ? 'bank' : 'starting battery'}` : 'wired to nothing yet';
  };
  return Object.entries(design.converters).map(([id, c]): RigRow => {
    const part = c.part === null ? undefined : catalogue.parts.find((x) => x.id === c.part);
    const kind = part?.kind ?? 'dcdc';
    const isStep = p.converters.some((x) => x.ref.id === id && x.feeds.length > 0);
    // What feeds others is fed by none of them.
    const feeds = all.filter((f) => f.id !== id && !(isStep && f.id in design.converters));
    const inside = p.converters.some((x) => x.ref.id === id && x.inside);
    const fed = p.converters.find((x) => x.ref.id === id)?.feeds.map((f) => gearName(f.id, 'charger')) ?? [];
    const takes = fed.length
      ? `feeds the ${fed.join(' and the ')}`
      : withPort(p, 'mainsOut').some((i) => i.ref.id === id)
        ? '230 V for what is plugged in'
        : inside
          ? 'inside the power unit'
          : amps(id);
    return row({
      id,
      kind,
      name: gearName(id, inside && part ? part.name : (KIND_WORDS[kind] ?? kind)),
      part: c.part,
      trigger: portsIn(catalogue, c.part)?.dcIn && c.from?.in === 'vehicles' ? c.trigger : null,
      on: c.bank ?? '',
      hooks: !isStep && (p.banks.length > 1 || c.bank === null) ? p.banks.map((b) => ({ id: b.ref.id, words: gearName(b.ref.id, 'bank') })) : [],
      ...(portsIn(catalogue, c.part)?.dcIn && !inside && feeds.length > 1 ? { fed: c.from?.id ?? '', feeds } : {}),
      called: inside ? null : c.name,
      says: takes,
    });
  });
}

/** Every thing of a rig, in the order in which it was added. */
export function rigRows(design: Design, a: Assessment, within: InJob | null = null): readonly RigRow[] {
  const catalogue = catalogueOf(design);
  const p = plant(design, catalogue);
  const look: Look = { design, a, p, catalogue, within, gearName: (id, otherwise) => a.gear.find((g) => g.id === id)?.name ?? otherwise };
  const links = p.links.map((l) =>
    row({ id: l.ref.id, kind: 'isolator', name: look.gearName(l.ref.id, 'isolator'), part: l.part.id, called: design.links[l.ref.id]?.name ?? null, says: `up to ${l.part.ratedA} A` }),
  );
  const batteries = Object.values(design.banks).flatMap((b) =>
    Object.entries(b.batteries).map(([id, lot]) => row({ id, kind: 'battery', name: look.gearName(id, 'batteries'), part: lot.part, count: lot.count, says: '' })),
  );
  const boards = p.distribution.flatMap((d) =>
    d.part?.kind === 'fuse-block'
      ? [row({ id: d.ref.id, kind: 'fuse-block', name: look.gearName(d.ref.id, 'fuse block'), part: d.part.id, called: design.distribution[d.ref.id]?.name ?? null, says: `${d.part.ways} ways` })]
      : [],
  );
  return [...batteries, ...arrayRows(look), ...converterRows(look), ...links, ...boards];
}

/** Those that have no form of their own. */
export const furtherRows = (design: Design, a: Assessment, within: InJob | null = null): readonly RigRow[] => rigRows(design, a, within).filter((r) => !USUAL.has(r.id) && r.kind !== 'battery');
