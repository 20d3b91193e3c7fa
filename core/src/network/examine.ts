import type { Circuit, SolveResult, Source } from './circuit.js';
import { floatingNodes } from './connectivity.js';
import { Groups } from './groups.js';

/** What is odd about a circuit, named by its own elements and nodes. */
export interface CircuitRemark {
  readonly kind: 'short across source' | 'reversed source' | 'unlike volts tied' | 'loop of conductors' | 'no return' | 'both ends together' | 'ill-conditioned' | 'unbalanced';
  /** Elements and nodes it is about, the first one first. */
  readonly at: readonly string[];
  readonly say: string;
}

/** Conductors below this join two nodes as good as directly, ohm. */
const METAL_OHM = 0.5;
/** Batteries further apart than this are not of one kind of system, V. */
const UNLIKE_V = 3;
/** Pivots further apart than this leave fewer than four sure digits of sixteen. */
const WORST_RATIO = 1e12;
/** Above this what does not balance at a node is said, A. */
const SAID_A = 1e-6;
const MOST_LOOPS = 20;

/** Groups of nodes that metal joins, and the conductors that join what was joined already. */
class Metal extends Groups {
  readonly closing: { readonly id: string; readonly a: string; readonly b: string }[] = [];
  private readonly near = new Map<string, { readonly id: string; readonly to: string }[]>();

  constructor(circuit: Circuit) {
    super();
    for (const r of circuit.resistors) {
      if (r.ohm > METAL_OHM) continue;
      if (!this.join(r.a, r.b)) {
        this.closing.push(r);
        continue;
      }
      this.list(r.a).push({ id: r.id, to: r.b });
      this.list(r.b).push({ id: r.id, to: r.a });
    }
  }

  private list(n: string): { readonly id: string; readonly to: string }[] {
    return this.near.get(n) ?? this.near.set(n, []).get(n)!;
  }

  /** Conductors from one node to another, in their order; empty where metal does not join them. */
  path(from: string, to: string): string[] {
    const came = new Map<string, { readonly id: string; readonly from: string } | null>([[from, null]]);
    const queue = [from];
    for (let i = 0; i < queue.length && !came.has(to); i++)
      for (const { id, to: next } of this.near.get(queue[i]!) ?? [])
        if (!came.has(next)) {
          came.set(next, { id, from: queue[i]! });
          queue.push(next);
        }
    const out: string[] = [];
    for (let step = came.get(to); step; step = came.get(step.from)) out.unshift(step.id);
    return out;
  }
}

const list = (names: readonly string[]): string => (names.length > 6 ? `${names.slice(0, 5).join(', ')} and ${names.length - 5} more` : names.join(', '));

function ofSource(s: Source, metal: Metal): CircuitRemark[] {
  if (!metal.joined(s.plus, s.minus)) return [];
  const way = metal.path(s.plus, s.minus);
  const amps = Math.abs(s.volt) / s.ohm;
  return [{ kind: 'short across source', at: [s.id, ...way], say: `${s.id} is shorted from ${s.plus} to ${s.minus} by ${way.length ? list(way) : 'its own node'}: up to ${amps.toFixed(0)} A` }];
}

/** Batteries whose posts are tied together, each told against the first of them: wrongly round, or of other volts. */
function tied(sources: readonly Source[], metal: Metal): CircuitRemark[] {
  const first = new Map<string, Source>();
  return sources.flatMap((t): CircuitRemark[] => {
    const [plus, minus] = [metal.root(t.plus), metal.root(t.minus)];
    if (plus === minus || t.volt <= 0) return [];
    const [same, turned] = [first.get(`${plus} ${minus}`), first.get(`${minus} ${plus}`)];
    if (turned)
      return [
        {
          kind: 'reversed source',
          at: [t.id, turned.id],
          say: `${t.id} is reversed against ${turned.id}: its ${t.plus} is joined to ${turned.minus}, so ${(turned.volt + t.volt).toFixed(1)} V drive a short through both`,
        },
      ];
    if (!same) first.set(`${plus} ${minus}`, t);
    else if (Math.abs(same.volt - t.volt) > UNLIKE_V)
      return [{ kind: 'unlike volts tied', at: [same.id, t.id], say: `${same.id} of ${same.volt} V and ${t.id} of ${t.volt} V are tied together, plus to plus and minus to minus` }];
    return [];
  });
}

function ofLoads(circuit: Circuit): CircuitRemark[] {
  const loose = new Set(floatingNodes(circuit));
  return circuit.loads.flatMap((l): CircuitRemark[] => {
    if (l.plus === l.minus) return [{ kind: 'both ends together', at: [l.id, l.plus], say: `${l.id} has both ends on ${l.plus}: nothing drives it` }];
    const gone = [l.plus, l.minus].filter((n) => loose.has(n));
    const what = gone.length === 2 ? 'neither end' : gone[0] === l.minus ? 'no return' : 'no feed';
    return gone.length ? [{ kind: 'no return', at: [l.id, ...gone], say: `${l.id} has ${what}: nothing joins ${gone.join(' and ')} to ${circuit.ground}` }] : [];
  });
}

/** What is odd about a solution: digits lost, amps that do not balance. */
export function ofSolution(solved: SolveResult): CircuitRemark[] {
  if (!solved.ok) return [];
  const out: CircuitRemark[] = [];
  if (solved.pivotRatio > WORST_RATIO)
    out.push({
      kind: 'ill-conditioned',
      at: [solved.weakestAt],
      say: `resistances ${solved.pivotRatio.toExponential(0)} apart stand in one circuit, the weakest joint at ${solved.weakestAt}: small differences of volts are not to be trusted`,
    });
  if (solved.residualA > SAID_A) out.push({ kind: 'unbalanced', at: [solved.residualAt], say: `${solved.residualA.toExponential(1)} A do not balance at ${solved.residualAt}` });
  return out;
}

/**
 * What a person should know about a circuit beside its volts: a source that is shorted or reversed, 12 V tied to 24 V,
 * a load without a return, conductors that close a loop round a switch or each other, digits that are lost.
 * @example examine(circuit, solveCircuit(circuit)) // [{ kind: 'reversed source', at: ['b2', 'b1'], say: 'b2 is reversed against b1: …' }]
 */
export function examine(circuit: Circuit, solved: SolveResult): CircuitRemark[] {
  const metal = new Metal(circuit);
  const { sources } = circuit;
  return [
    ...sources.flatMap((s) => ofSource(s, metal)),
    ...tied(sources, metal),
    ...ofLoads(circuit),
    ...metal.closing.slice(0, MOST_LOOPS).map((r): CircuitRemark => {
      const round = metal.path(r.a, r.b);
      return { kind: 'loop of conductors', at: [r.id, ...round], say: `${r.id} and ${list(round)} form a loop: opening one of them parts nothing` };
    }),
    ...ofSolution(solved),
  ];
}
