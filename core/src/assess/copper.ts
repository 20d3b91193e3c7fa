import { conductorC, lugOhm, resistanceOhmPerM } from '../cable/index.js';
import { fuseOhm } from '../protection/index.js';
import { dropM, type JointKind } from '../routes/index.js';
import { sensibleCopper, type CableStep, type TreeRun } from '../tree/index.js';
import { mostFor, type Fused } from './fusing.js';

/** A run with the size that was taken for it. */
export interface Picked {
  readonly fused: Fused;
  /** Place among its steps that the draft takes. */
  readonly pick: number;
  /** The size that it gets: the draft's, or the one a person typed. */
  readonly step: CableStep;
  /** Joints asked for a thicker one than the cables' own drop. */
  readonly byJoints: boolean;
  /** Size that it would have if no other run of its multi-core asked for a thicker one, mm²; null: it lies in none, or none does. */
  readonly aloneMm2: number | null;
}

/** A joint of a run, by what it is. */
export interface Joint {
  readonly what: string;
  readonly kind: JointKind;
  readonly ohm: number;
}

/** What a run meets beside its cable: lugs, fuses, plugs, the body, parts in line; of all its conductors together. */
export function jointsOf({ spec, type, fuseA, perPole }: Fused, areaMm2: number): readonly Joint[] {
  return [
    { what: 'lugs', kind: 'lugs' as const, ohm: (4 * lugOhm(areaMm2)) / perPole },
    ...(spec.ends.length ? [{ what: `${spec.ends.length > 1 ? 'fuses' : 'fuse'} with holder`, kind: 'fuse' as const, ohm: (spec.ends.length * fuseOhm(type, fuseA)) / perPole }] : []),
    ...(spec.plugOhm > 0 ? [{ what: 'plug', kind: 'plug' as const, ohm: spec.plugOhm }] : []),
    ...(spec.chassisOhm > 0 ? [{ what: 'return through the body', kind: 'body' as const, ohm: spec.chassisOhm }] : []),
    ...spec.inline.map((p) => ({ what: p.what, kind: 'in line' as const, ohm: p.ohm })),
  ];
}

export const jointsOhm = (fused: Fused, areaMm2: number): number => jointsOf(fused, areaMm2).reduce((sum, j) => sum + j.ohm, 0);

/** Cable of all conductors at a current of so many amps in one of them, ohm. */
export function hotCableOhm({ spec, asked }: Fused, step: CableStep, amps: number, perPole: number): number {
  const atC = conductorC(amps, step.ampacityA, asked);
  return (dropM(spec) * resistanceOhmPerM(step.size.areaMm2, asked.tinned, atC)) / perPole;
}

/** Volts lost at the largest steady current, hot, joints and all. */
export function lossV(fused: Fused, step: CableStep): number {
  const { spec, perPole } = fused;
  return spec.wholeA * (hotCableOhm(fused, step, spec.wholeA / perPole, perPole) + jointsOhm(fused, step.size.areaMm2));
}

/** Runs that the sizes of others hang on; a wire that is there already is neither changed nor counted behind. */
export function parentOf(fused: Fused, all: ReadonlyMap<string, Fused>): string | null {
  const { parent, existing } = fused.spec;
  const before = parent === null || existing ? undefined : all.get(parent);
  return before && !before.spec.existing ? parent : null;
}

/** Runs from the source to each run, itself included. */
export function pathsOf(all: ReadonlyMap<string, Fused>): ReadonlyMap<string, readonly string[]> {
  const out = new Map<string, readonly string[]>();
  const of = (id: string): readonly string[] => {
    const known = out.get(id);
    if (known) return known;
    const parent = parentOf(all.get(id)!, all);
    const path = [...(parent === null ? [] : of(parent)), id];
    out.set(id, path);
    return path;
  };
  for (const id of all.keys()) of(id);
  return out;
}

/** The trees of all runs, with strings of one bank as one run of so much more copper. */
function treesOf(all: ReadonlyMap<string, Fused>): TreeRun<CableStep>[] {
  const like = new Map<string, number>();
  for (const { spec } of all.values()) if (spec.equalTo) like.set(spec.equalTo, (like.get(spec.equalTo) ?? 0) + 1);
  const out: TreeRun<CableStep>[] = [];
  for (const [id, fused] of all) {
    const { spec } = fused;
    if (spec.existing || (spec.equalTo && all.has(spec.equalTo))) continue;
    const times = 1 + (like.get(id) ?? 0);
    const steps = times === 1 ? fused.steps : (fused.steps.map((s) => ({ ...s, copper: s.copper * times, price: s.price * times })) as unknown as Fused['steps']);
    out.push({ id, parent: parentOf(fused, all), limitPercent: spec.pathLimitPercent, steps, most: mostFor(fused) });
  }
  return out;
}

/** Cable and joints together may lose so much more than the cable alone, per cent of nominal volts. */
const JOINTS_PERCENT = 2;
const SLACK = 1e-9;

/**
 * The guard over the cables' own limits: hot, at the largest steady current and with every joint, no path loses more than
 * its limit and two per cent, and nothing stops for want of volts; where it would, the run of the path that gains most
 * for its copper goes up a size, as far as sense allows.
 */
function guarded(all: ReadonlyMap<string, Fused>, picks: Map<string, number>): ReadonlySet<string> {
  const raised = new Set<string>();
  const paths = pathsOf(all);
  // As drafted: a size that a person typed is judged on its own, and fattens no other.
  const stepOf = (id: string): CableStep => all.get(id)!.steps[picks.get(id)!]!;
  for (const [id, { spec }] of all) {
    const limitV = spec.pathLimitPercent === null ? Infinity : ((spec.pathLimitPercent + JOINTS_PERCENT) / 100) * spec.refV;
    const mostV = Math.min(limitV, spec.leastEndV === null ? Infinity : spec.sourceV - spec.leastEndV);
    const path = paths.get(id)!.filter((p) => !all.get(p)!.spec.existing);
    while (mostV < Infinity && path.reduce((sum, p) => sum + lossV(all.get(p)!, stepOf(p)), 0) > mostV + SLACK) {
      let best: { readonly run: string; readonly worth: number } | null = null;
      for (const p of path) {
        const f = all.get(p)!;
        const [now, next] = [f.steps[picks.get(p)!]!, f.steps[picks.get(p)! + 1]];
        if (!next || picks.get(p)! >= mostFor(f)) continue;
        const worth = (lossV(f, now) - lossV(f, next)) / (next.copper - now.copper);
        if (!best || worth > best.worth) best = { run: p, worth };
      }
      if (!best) break;
      picks.set(best.run, picks.get(best.run)! + 1);
      raised.add(best.run);
    }
  }
  return raised;
}

/** All cores of a multi-core are as thick as the run of it that wants most; the runs that this made thicker, with what they had. */
function alikeInMulticores(all: ReadonlyMap<string, Fused>, picks: Map<string, number>): ReadonlyMap<string, number> {
  const members = new Map<string, Fused[]>();
  for (const fused of all.values()) if (fused.spec.multicore) members.set(fused.spec.multicore.id, [...(members.get(fused.spec.multicore.id) ?? []), fused]);
  const thicker = new Map<string, number>();
  for (const together of members.values()) {
    const areaMm2 = Math.max(...together.map((f) => f.steps[picks.get(f.spec.id)!]!.size.areaMm2));
    for (const { spec, steps } of together) {
      const at = steps.findIndex((s) => s.size.areaMm2 >= areaMm2 - SLACK);
      const before = picks.get(spec.id)!;
      if (at <= before) continue;
      picks.set(spec.id, at);
      thicker.set(spec.id, steps[before]!.size.areaMm2);
    }
  }
  return thicker;
}

/** A size for every run that has a fuse: least copper with sense, then the guard, then what people typed. */
export function pickSizes(all: ReadonlyMap<string, Fused>): ReadonlyMap<string, Picked> {
  const chosen = sensibleCopper(treesOf(all));
  const picks = new Map<string, number>();
  for (const [id, { spec, steps }] of all) picks.set(id, Math.min(steps.length - 1, chosen.get(id) ?? chosen.get(spec.equalTo ?? '') ?? 0));
  const raised = guarded(all, picks);
  const alike = alikeInMulticores(all, picks);
  return new Map(
    [...all].map(([id, fused]): [string, Picked] => {
      const leader = fused.spec.equalTo && all.has(fused.spec.equalTo) ? fused.spec.equalTo : id;
      const pick = Math.min(fused.steps.length - 1, picks.get(leader)!);
      return [id, { fused, pick, step: fused.typed ?? fused.steps[pick]!, byJoints: raised.has(leader), aloneMm2: alike.get(id) ?? null }];
    }),
  );
}
