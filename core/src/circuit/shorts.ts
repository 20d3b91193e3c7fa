import type { Design } from '../design/index.js';
import { fromBranch, insideFrom, insideTo, shortCurrents, toBranch, type Shapes, type Short } from '../network/index.js';
import { breakingCapacityA, judgeFault } from '../protection/index.js';
import type { FuseEnd, RunFuse } from '../routes/index.js';
import type { Bank } from '../supply/index.js';
import type { InlinePart } from './inline.js';
import { designCircuit, type Fitted, type Sourcing } from './wires.js';

/** Below this a current is a leak through an open contact, not a short. */
const NO_SOURCE_A = 1;

interface Judged {
  readonly run: Fitted;
  readonly end: FuseEnd;
}

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

function smallest(runs: readonly Fitted[], design: Design, bank: Bank, inline: readonly InlinePart[], fuses: readonly Judged[], starting: boolean, shapes: Shapes): number[] {
  const least = fuses.map(() => Infinity);
  const shorts = fuses.map((f) => shortAt(f, true));
  for (let k = 1; k <= bank.strings; k++) {
    const alone: Sourcing = { extreme: 'smallest', strings: [k], startingBattery: starting, alternatorV: null, isolatorClosed: false };
    shortCurrents(designCircuit(runs, design, bank, inline, alone), shorts, shapes).forEach((a, i) => {
      const own = /^house(\d+)-bus$/.exec(fuses[i]!.run.spec.id);
      if (!own || Number(own[1]) === k) least[i] = Math.min(least[i]!, a);
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
  const fuses = runs.flatMap((run) => run.spec.ends.map((end): Judged => ({ run, end })));
  const inCircuit = fuses.filter((f) => f.run.spec.id !== 'panel-regulator');
  const starting = runs.some((r) => r.spec.from.gear === 'starting');
  const all: Sourcing = {
    extreme: 'largest',
    strings: Array.from({ length: bank.strings }, (_, i) => i + 1),
    startingBattery: starting,
    alternatorV: design.brief.vehicleV * 1.2,
    isolatorClosed: true,
  };
  const most = shortCurrents(
    designCircuit(runs, design, bank, inline, all),
    inCircuit.map((f) => shortAt(f, false)),
    shapes,
  );
  const least = smallest(runs, design, bank, inline, inCircuit, starting, shapes);
  const out = new Map<string, RunFuse[]>(runs.map((r) => [r.spec.id, []]));
  for (const f of fuses) {
    const i = inCircuit.indexOf(f);
    out.get(f.run.spec.id)!.push(judge(f, design, bank, i < 0 ? 0 : most[i]!, i < 0 ? 0 : least[i]!));
  }
  return out;
}

function judge({ run, end }: Judged, design: Design, bank: Bank, mostA: number, leastA: number): RunFuse {
  const { fuseType, fuseA, areaMm2, perPole } = run.figures;
  const maxA = mostA > NO_SOURCE_A ? mostA : 0;
  // At the far end equal conductors share the short; just behind one fuse nearly all of it comes through that one.
  const minA = maxA > 0 && leastA > NO_SOURCE_A ? Math.min(leastA / perPole, maxA) : 0;
  const highestV = Math.max(bank.absorptionV, run.spec.nominalV * 1.2);
  return {
    end,
    type: fuseType,
    ratingA: fuseA,
    maxA,
    minA,
    breakingA: breakingCapacityA(fuseType, highestV),
    fault: minA > 0 ? judgeFault({ fuseType, ratingA: fuseA, faultMinA: minA, faultMaxA: maxA, areaMm2, insulationC: design.settings.insulationC }) : null,
  };
}
