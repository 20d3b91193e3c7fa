import { cableSeries, sizeInWords, type CableSize } from '../cable/index.js';
import type { Below, JointVolts, RunFigures } from '../routes/index.js';
import { cableStep, type CableStep } from '../tree/index.js';
import { hotCableOhm, jointsOf, jointsOhm, lossV, pathsOf, type Picked } from './copper.js';
import { triedOf, type Fused, type RunChoice } from './fusing.js';

const SLACK = 1e-9;

/** What is lost on the way to the end of each run. */
interface Path {
  readonly dropPercent: number;
  readonly jointsV: number;
  readonly lossV: number;
  readonly worst: JointVolts;
}

/** Volts of the run's joints at its usual current, the worst of them first. */
function jointVolts({ fused, step }: Picked): readonly JointVolts[] {
  return jointsOf(fused, step.size.areaMm2)
    .map((j) => ({ what: `${j.what}, ${fused.spec.name}`, kind: j.kind, volt: j.ohm * fused.spec.usualA }))
    .sort((a, b) => b.volt - a.volt);
}

/** Sums along the way from the source to each run. */
function pathSums(picked: ReadonlyMap<string, Picked>, paths: ReadonlyMap<string, readonly string[]>): ReadonlyMap<string, Path> {
  const own = new Map(
    [...picked].map(([id, p]): [string, Path] => {
      const joints = jointVolts(p);
      return [id, { dropPercent: p.step.dropPercent, jointsV: joints.reduce((s, j) => s + j.volt, 0), lossV: lossV(p.fused, p.step), worst: joints[0] ?? { what: 'none', kind: 'lugs', volt: 0 } }];
    }),
  );
  const add = (a: Path, b: Path): Path => ({
    dropPercent: a.dropPercent + b.dropPercent,
    jointsV: a.jointsV + b.jointsV,
    lossV: a.lossV + b.lossV,
    worst: b.worst.volt > a.worst.volt ? b.worst : a.worst,
  });
  return new Map([...paths].map(([id, path]) => [id, path.map((p) => own.get(p)!).reduce(add)]));
}

/** An end whose path has a limit, with what is lost up to it. */
interface End {
  readonly name: string;
  readonly limit: number;
  readonly percent: number;
}

/** The ends with a limit that each run is on the way to. */
function endsThrough(picked: ReadonlyMap<string, Picked>, paths: ReadonlyMap<string, readonly string[]>, sums: ReadonlyMap<string, Path>): ReadonlyMap<string, readonly End[]> {
  const out = new Map<string, End[]>([...picked.keys()].map((id) => [id, []]));
  for (const [end, path] of paths) {
    const { to, pathLimitPercent: limit } = picked.get(end)!.fused.spec;
    if (limit === null) continue;
    const reached = { name: to.name, limit, percent: sums.get(end)!.dropPercent };
    for (const id of path) out.get(id)!.push(reached);
  }
  return out;
}

/** The path through a run that a loss of so much more would put furthest beyond its limit, as drafted; null: none. */
function worstBeyond(ends: readonly End[], morePercent: number): Below['path'] {
  let worst: Below['path'] = null;
  let most = SLACK;
  for (const e of ends) {
    const percent = e.percent + morePercent;
    if (percent - e.limit <= most) continue;
    most = percent - e.limit;
    worst = { name: e.name, percent, limit: e.limit };
  }
  return worst;
}

/** The next size down of what was taken, and why it was not. */
function belowOf(p: Picked, choice: RunChoice, ends: readonly End[]): Below | null {
  const { fused, step } = p;
  let lower: CableSize | null = null;
  for (const s of cableSeries(fused.asked.series)) if (s.areaMm2 < step.size.areaMm2 - 0.005) lower = s;
  if (!lower) return null;
  const down = cableStep(lower, fused.asked, fused.perPole);
  const path = worstBeyond(ends, down.dropPercent - step.dropPercent);
  return { ...triedOf(down), by: whyNot(fused, p, choice, down, path), path };
}

function whyNot({ spec, fuseA }: Fused, p: Picked, choice: RunChoice, down: CableStep, path: Below['path']): Below['by'] {
  const { areaMm2 } = down.size;
  if (p.fused.typed) return 'typed';
  if (down.ampacityA < fuseA - SLACK) return 'heat';
  if (areaMm2 < spec.minAreaMm2 - SLACK) return 'custom';
  if (areaMm2 < choice.faultAreaMm2 - SLACK) return 'fault';
  if (p.aloneMm2 !== null) return 'multi-core';
  if (path) return 'drop';
  return p.byJoints ? 'joints' : 'copper';
}

function boundBy(p: Picked, below: Below | null, choice: RunChoice): RunFigures['boundBy'] {
  if (p.fused.typed) return 'typed';
  if (p.aloneMm2 !== null) return 'multi-core';
  if (p.pick > 0) return p.byJoints && below?.by === 'joints' ? 'joints' : 'drop';
  const { spec, steps } = p.fused;
  const least = steps[0].size.areaMm2;
  const allowed = cableSeries(p.fused.asked.series).find((s) => s.areaMm2 >= spec.minAreaMm2 - SLACK);
  if (allowed && least <= allowed.areaMm2 + SLACK) return 'minimum';
  return least <= choice.faultAreaMm2 + SLACK && below?.by === 'fault' ? 'fault' : 'heat';
}

/** The cheapest single run of a path to make thicker so that the path comes within its limit; null: none does it alone. */
function cureOf(id: string, picked: ReadonlyMap<string, Picked>, path: readonly string[], lostPercent: number): RunFigures['cure'] {
  const limit = picked.get(id)!.fused.spec.pathLimitPercent;
  if (limit === null || lostPercent <= limit + SLACK) return null;
  let best: (NonNullable<RunFigures['cure']> & { readonly copper: number }) | null = null;
  for (const p of path) {
    const { fused, step } = picked.get(p)!;
    const next = fused.steps.find((s) => s.size.areaMm2 > step.size.areaMm2 && lostPercent - step.dropPercent + s.dropPercent <= limit + SLACK);
    if (!next || fused.spec.existing) continue;
    const copper = next.copper - step.copper;
    if (!best || copper < best.copper)
      best = { run: p, name: fused.spec.name, size: sizeInWords(next.size.size), areaMm2: next.size.areaMm2, percent: lostPercent - step.dropPercent + next.dropPercent, copper };
  }
  return best && { run: best.run, name: best.name, size: best.size, areaMm2: best.areaMm2, percent: best.percent };
}

/** Figures of every run that has a size. */
export function figuresOf(picked: ReadonlyMap<string, Picked>, choices: ReadonlyMap<string, RunChoice>): ReadonlyMap<string, RunFigures> {
  const paths = pathsOf(new Map([...picked].map(([id, p]) => [id, p.fused])));
  const sums = pathSums(picked, paths);
  const ends = endsThrough(picked, paths, sums);
  return new Map(
    [...picked].map(([id, p]): [string, RunFigures] => {
      const { fused, step } = p;
      const { spec, perPole } = fused;
      const size = sizeInWords(step.size.size);
      const sum = sums.get(id)!;
      const joints = jointsOhm(fused, step.size.areaMm2);
      const cable = hotCableOhm(fused, step, spec.usualA / perPole, perPole);
      // Leads of one bank take one size: what asks for it hangs on the first of them.
      const below = belowOf(p, choices.get(id)!, ends.get(spec.equalTo ?? id) ?? ends.get(id)!);
      const parts = [{ what: 'cable', ratingA: step.ampacityA }, ...spec.limitingParts.map((w) => ({ ...w, ratingA: w.ratingA / perPole }))];
      const weakest = parts.reduce((w, x) => (x.ratingA < w.ratingA ? x : w));
      return [
        id,
        {
          size,
          perPole,
          cable: perPole > 1 ? `${perPole} × ${size}` : size,
          areaMm2: step.size.areaMm2,
          fuseType: fused.type,
          fuseA: fused.fuseA,
          currentA: spec.lastingA / perPole,
          usualA: spec.usualA / perPole,
          ampacityA: step.ampacityA,
          conductorC: step.conductorC,
          cableOhm: cable,
          jointsOhm: joints,
          ohm: cable + joints,
          dropV: spec.usualA * cable,
          dropPercent: step.dropPercent,
          pathDropPercent: sum.dropPercent,
          jointsV: joints * spec.usualA,
          pathJointsV: sum.jointsV,
          worstJoint: sum.worst,
          lossV: lossV(fused, step),
          arrivesV: Math.max(0, spec.sourceV - sum.lossV),
          boundBy: boundBy(p, below, choices.get(id)!),
          below,
          aloneMm2: p.aloneMm2,
          cure: cureOf(id, picked, paths.get(id)!, sum.dropPercent),
          window: { ...fused.window, to: weakest, fitsA: fused.window.fitsA.filter((a) => a <= weakest.ratingA + SLACK) },
          fuses: [],
        },
      ];
    }),
  );
}
