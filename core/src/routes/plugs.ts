import { type Design, type PlugEdit } from '../design/index.js';
import type { SizedRun } from './sized.js';

export type Carries = 'trailer feed' | 'panels' | 'house battery' | 'fridge socket' | 'outlet';
export type PlugKind = '50 A' | '175 A' | 'trailer socket';

/** Cable that a plug's contacts take, mm². */
export const PLUG_WIRE_MM2: Readonly<Record<PlugKind, readonly [number, number]>> = { '50 A': [4, 16], '175 A': [16, 50], 'trailer socket': [1, 2.5] };

/** From this rating on what a load is put on by is a heavy two-pole plug, A. */
const HEAVY_PLUG_A = 50;

/** A pair of plugs that belong together. */
export interface PlugPair {
  readonly id: string;
  readonly name: string;
  readonly run: string | null;
  readonly kind: PlugKind;
  readonly ratingA: number;
  readonly carries: Carries;
  readonly colour: string;
  readonly nominalV: number;
  /** Something regulates what comes out of it. */
  readonly regulated: boolean;
  /** Feed and return are swapped on one side. */
  readonly swapped: boolean;
  /** Halves that stay live once they are apart. */
  readonly live: { readonly source: boolean; readonly sink: boolean };
  readonly areaMm2: number | null;
  readonly mount: NonNullable<PlugEdit['mount']>;
  readonly cover: boolean;
  readonly isolator: boolean;
  /** What it reaches, in words. */
  readonly reaches: string;
}

function pair(design: Design, p: Omit<PlugPair, 'colour' | 'swapped' | 'mount' | 'cover' | 'isolator'>, mount: PlugPair['mount'], isolator: boolean): PlugPair {
  const edit = design.plugs[p.id] ?? {};
  return {
    ...p,
    colour: edit.colour ?? design.settings.plugColours[p.carries] ?? (p.carries === 'outlet' ? 'yellow' : 'grey'),
    swapped: edit.swapped ?? false,
    mount: edit.mount ?? mount,
    cover: edit.cover ?? true,
    isolator: edit.isolator ?? isolator,
  };
}

function ofRun(design: Design, run: SizedRun): PlugPair | null {
  const plug = run.spec.plugA;
  if (plug === null) return null;
  const bySun = run.spec.group === 'sun';
  const feed = run.spec.group === 'charging' && run.spec.from.gear === 'starting';
  const sinkLive = run.spec.ends.some((e) => e.at === 'to' && e.source === 'house battery');
  return pair(
    design,
    {
      id: `plug-${run.spec.id}`,
      name: `${run.spec.name}, at the coupling`,
      run: run.spec.id,
      kind: plug > 50 ? '175 A' : '50 A',
      ratingA: plug,
      carries: bySun ? 'panels' : feed ? 'trailer feed' : 'house battery',
      nominalV: feed ? design.brief.vehicleV : run.spec.nominalV,
      regulated: !bySun,
      live: { source: true, sink: sinkLive },
      areaMm2: run.ok ? run.figures.areaMm2 : null,
      reaches: `from the ${run.spec.from.name} to the ${run.spec.to.name}`,
    },
    'bracket',
    feed,
  );
}

/** Where leads from other banks come in. */
function ofInlets(design: Design, runs: readonly SizedRun[]): PlugPair[] {
  return Object.entries(design.inlets).flatMap(([id, { name, dc }]): PlugPair[] => {
    const run = runs.find((r) => r.spec.from.ref.in === 'inlets' && r.spec.from.ref.id === id);
    if (!dc || !run) return [];
    return [
      pair(
        design,
        {
          id: `plug-${id}`,
          name: name || 'inlet of the lead',
          run: run.spec.id,
          kind: dc.mostA > HEAVY_PLUG_A ? '175 A' : '50 A',
          ratingA: dc.mostA,
          carries: 'outlet',
          nominalV: dc.nominalV,
          regulated: true,
          live: { source: true, sink: false },
          areaMm2: run.ok ? run.figures.areaMm2 : null,
          reaches: `the ${run.spec.to.name}, from another battery`,
        },
        'flush',
        false,
      ),
    ];
  });
}

/** Every pair of plugs in a job: at couplings, for a portable panel, and the factory's own trailer socket. */
export function plugPairs(design: Design, runs: readonly SizedRun[], trailerSocket: string | null): PlugPair[] {
  const out = runs.flatMap((r) => ofRun(design, r) ?? []);
  for (const [id, array] of Object.entries(design.arrays)) {
    if (!array.portable || array.part === null) continue;
    const toBank = array.into?.in === 'banks';
    out.push(
      pair(
        design,
        {
          id: `plug-${id}`,
          name: array.name || 'portable panel, outside socket',
          run: null,
          kind: '50 A',
          ratingA: 50,
          carries: toBank ? 'house battery' : 'panels',
          nominalV: design.supply.houseV,
          regulated: array.portable.regulated,
          live: { source: true, sink: toBank },
          areaMm2: null,
          reaches: toBank ? 'the house battery’s bus bars' : 'the panels’ input of the regulator',
        },
        'flush',
        false,
      ),
    );
  }
  out.push(...ofInlets(design, runs));
  for (const [id, load] of Object.entries(design.loads)) {
    if (load.supply !== 'dc' || load.plugA === null || load.plugA < HEAVY_PLUG_A) continue;
    const run = runs.find((r) => r.spec.id === `load-${id}`);
    out.push(
      pair(
        design,
        {
          id: `plug-load-${id}`,
          name: `${load.name || 'unnamed load'}, outlet; its other half comes with what is plugged in`,
          run: run?.spec.id ?? null,
          kind: load.plugA > HEAVY_PLUG_A ? '175 A' : '50 A',
          ratingA: load.plugA,
          carries: 'outlet',
          nominalV: design.supply.houseV,
          regulated: true,
          live: { source: true, sink: false },
          areaMm2: null,
          reaches: 'the house side, by its own fuse',
        },
        'flush',
        false,
      ),
    );
  }
  if (trailerSocket)
    out.push(
      pair(
        design,
        {
          id: 'plug-trailer-socket',
          name: trailerSocket,
          run: null,
          kind: 'trailer socket',
          ratingA: 15,
          carries: 'fridge socket',
          nominalV: design.brief.vehicleV,
          regulated: true,
          live: { source: true, sink: false },
          areaMm2: null,
          reaches: 'a fridge while the ignition is on; no battery',
        },
        'bracket',
        false,
      ),
    );
  return out;
}

export type Mismatch = 'volts' | 'polarity' | 'regulation' | 'back-feed' | 'size';

/** Two halves that go into one another although they do not belong together, and what that would do. */
export interface Mating {
  readonly source: PlugPair;
  readonly sink: PlugPair;
  readonly wrong: readonly Mismatch[];
}

function wrongWith(source: PlugPair, sink: PlugPair): Mismatch[] {
  const out: Mismatch[] = [];
  if (source.nominalV !== sink.nominalV) out.push('volts');
  if (source.id === sink.id ? source.swapped : source.swapped !== sink.swapped) out.push('polarity');
  if (source.id !== sink.id && !source.regulated && sink.regulated) out.push('regulation');
  if (source.id !== sink.id && source.live.source && sink.live.sink && sink.carries !== source.carries) out.push('back-feed');
  if (source.id !== sink.id && sink.ratingA > 0 && sink.carries === 'trailer feed' && source.carries === 'panels' && !out.includes('regulation')) out.push('regulation');
  return out;
}

/** Every source half against every sink half of the same kind and colour, its own included. */
export function matings(pairs: readonly PlugPair[]): Mating[] {
  return pairs.flatMap((source) => pairs.filter((sink) => sink.kind === source.kind && sink.colour === source.colour).map((sink) => ({ source, sink, wrong: wrongWith(source, sink) })));
}
