import type { Design } from '../design/index.js';
import { fromBranch, insideFrom, insideTo, shortsAndPorts, toBranch, type Shapes, type Short } from '../network/index.js';
import { breakingCapacityA, judgeFault } from '../protection/index.js';
import { isMainLead, type Fitted, type FuseEnd, type RunEnd, type RunFuse } from '../routes/index.js';
import { batterySource } from '../catalogue/index.js';
import { stringSource, type Bank } from '../supply/index.js';
import type { InlinePart } from './inline.js';
import { backedBy } from './backup.js';
import { usualLead } from './lead.js';
import { BATTERY_STATE, designCircuit, fusesOhm, wireOf, type Sourcing } from './wires.js';

/** Below this a current is a leak through an open contact, not a short. */
const NO_SOURCE_A = 1;

interface Judged {
  readonly run: Fitted;
  readonly end: FuseEnd;
}

/** Ends whose fuse a short on this run must open: its own, or that of the feed it is a tail of. */
const endsOf = ({ spec }: Fitted): readonly FuseEnd[] => (spec.protectedBy ? [{ at: 'from', source: spec.group === 'charging' ? 'starting battery' : 'house battery' }] : spec.ends);

/** A short just behind the fuse, or at the far end of its run, as the network is asked about it. */
function shortAt({ run, end }: Judged, far: boolean): Short {
  const { id, from, to } = run.spec;
  const atFrom = far ? end.at === 'to' : end.at === 'from';
  return {
    plus: atFrom ? insideFrom(id) : insideTo(id),
    minus: atFrom ? from.minus : to.minus,
    branch: end.at === 'from' ? fromBranch(id) : toBranch(id),
  };
}

/** What the shorts of a design are reckoned from. */
interface Bench {
  readonly design: Design;
  readonly bank: Bank;
  readonly inline: readonly InlinePart[];
  /** Runs that more hangs on than one load. */
  readonly trunk: readonly Fitted[];
  readonly fuses: readonly Judged[];
  readonly shapes: Shapes;
}

/**
 * A load's run hangs on the rest by its start alone and nothing on it feeds a fault, so its shorts follow from what it
 * meets there: sixty of them cost no more of the network than one.
 */
const isLeaf = (r: Fitted): boolean => r.spec.group === 'loads' && r.spec.role === 'load feed' && r.spec.ends.every((e) => e.at === 'from');

/** Volts of the source that feeds a short from this end, V. */
function sourceV(b: Bench, end: FuseEnd, nominalV: number, s: Sourcing): number {
  if (end.source === 'lead') return usualLead(nominalV, s.extreme).volt;
  if (end.source !== 'starting battery') return stringSource(b.bank, BATTERY_STATE[s.extreme], s.strings[0] ?? 1).volt;
  return (batterySource('flooded', b.design.supply.startingAh, BATTERY_STATE[s.extreme]).volt * b.design.brief.vehicleV) / 12;
}

/** A short's current with a link in the place of the run's own fuses, which stand in the one way that it takes. */
const withLink = (amps: number, volt: number, ohm: number): number => (amps > NO_SOURCE_A && volt > amps * ohm ? (amps * volt) / (volt - amps * ohm) : amps);

/** The current through each fuse for a short just behind it, or at the far end of its run, A. */
function currents(b: Bench, far: boolean, s: Sourcing): number[] {
  const starts = new Map<string, RunEnd>();
  for (const { run } of b.fuses) if (isLeaf(run)) starts.set(run.spec.from.plus + run.spec.from.minus, run.spec.from);
  const shorts = b.fuses.filter((f) => !isLeaf(f.run)).map((f) => shortAt(f, far));
  const { amps, ports } = shortsAndPorts(designCircuit(b.trunk, b.design, b.bank, b.inline, s), shorts, [...starts.values()], b.shapes);
  const met = new Map([...starts.keys()].map((key, i) => [key, ports[i]!]));
  let next = 0;
  return b.fuses.map(({ run, end }) => {
    if (!isLeaf(run)) return far ? withLink(amps[next++]!, sourceV(b, end, run.spec.nominalV, s), fusesOhm(run)) : amps[next++]!;
    const wire = wireOf(run, b.design, s.extreme);
    const { volt, ohm } = met.get(run.spec.from.plus + run.spec.from.minus)!;
    return Math.abs(volt) / (ohm + wire.fromEndOhm + (far ? wire.feedOhm - fusesOhm(run) + wire.backOhm : 0));
  });
}

function smallest(b: Bench, starting: boolean): number[] {
  const least = b.fuses.map(() => Infinity);
  for (let k = 1; k <= b.bank.strings; k++) {
    const alone: Sourcing = { extreme: 'smallest', strings: [k], startingBattery: starting, alternatorV: null, isolatorClosed: false };
    currents(b, true, alone).forEach((a, i) => {
      const { run } = b.fuses[i]!;
      const own = isMainLead(run) ? run.spec.from.string : null;
      if (own === null || own === k) least[i] = Math.min(least[i]!, a);
    });
  }
  return least;
}

/**
 * Every fuse of every fitted run with its prospective currents and what a short does: the largest with all sources at
 * their stiffest and cold cable, the smallest at the far end with the weakest source alone and hot cable. `shapes` keeps
 * the equations from one round to the next.
 */
export function judgeRuns(runs: readonly Fitted[], design: Design, bank: Bank, inline: readonly InlinePart[], shapes: Shapes): ReadonlyMap<string, readonly RunFuse[]> {
  const fuses = runs.flatMap((run) => endsOf(run).map((end): Judged => ({ run, end })));
  const bench: Bench = { design, bank, inline, shapes, trunk: runs.filter((r) => !isLeaf(r)), fuses: fuses.filter((f) => f.run.spec.role !== 'panel lead') };
  const starting = runs.some((r) => r.spec.from.ref.in === 'vehicles');
  const all: Sourcing = {
    extreme: 'largest',
    strings: Array.from({ length: bank.strings }, (_, i) => i + 1),
    startingBattery: starting,
    alternatorV: design.brief.vehicleV * 1.2,
    isolatorClosed: true,
  };
  const most = currents(bench, false, all);
  const least = smallest(bench, starting);
  const at = new Map(bench.fuses.map((f, i) => [f, i]));
  const out = new Map<string, RunFuse[]>(runs.map((r) => [r.spec.id, []]));
  for (const f of fuses) {
    const i = at.get(f);
    out.get(f.run.spec.id)!.push(judge(f, design, i === undefined ? 0 : most[i]!, i === undefined ? 0 : least[i]!));
  }
  const byId = new Map(runs.map((r) => [r.spec.id, r]));
  for (const run of runs)
    out.set(
      run.spec.id,
      out.get(run.spec.id)!.map((f) => (f.maxA > f.breakingA ? { ...f, backedBy: backedBy(run, f, byId, out) } : f)),
    );
  return out;
}

function judge({ run, end }: Judged, design: Design, mostA: number, leastA: number): RunFuse {
  const { fuseType, fuseA, areaMm2, perPole } = run.figures;
  const maxA = mostA > NO_SOURCE_A ? mostA : 0;
  // At the far end equal conductors share the short; just behind one fuse nearly all of it comes through that one.
  const minA = maxA > 0 && leastA > NO_SOURCE_A ? Math.min(leastA / perPole, maxA) : 0;
  return {
    end,
    of: run.spec.protectedBy,
    type: fuseType,
    ratingA: fuseA,
    maxA,
    minA,
    breakingA: breakingCapacityA(fuseType, run.spec.highestV),
    backedBy: null,
    fault: minA > 0 ? judgeFault({ fuseType, ratingA: fuseA, faultMinA: minA, faultMaxA: maxA, areaMm2, insulationC: design.settings.insulationC }) : null,
  };
}
