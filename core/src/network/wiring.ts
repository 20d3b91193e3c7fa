import { memoize } from '../quantity/index.js';
import type { Circuit, CircuitLoad, Source } from './circuit.js';

/** A run as the network sees it: feed and return between two pieces of gear, with what sits at its ends. */
export interface Wire {
  readonly id: string;
  /** Names of the feed and return nodes at each end. */
  readonly from: { readonly plus: string; readonly minus: string };
  readonly to: { readonly plus: string; readonly minus: string };
  readonly feedOhm: number;
  readonly backOhm: number;
  /** Lug and fuse at each end of the feed. */
  readonly fromEndOhm: number;
  readonly toEndOhm: number;
}

/** A closed contact between two nodes, such as an isolator. */
export interface Contact {
  readonly id: string;
  readonly a: string;
  readonly b: string;
  readonly ohm: number;
}

export interface Wiring {
  readonly ground: string;
  readonly wires: readonly Wire[];
  readonly sources: readonly Source[];
  readonly contacts?: readonly Contact[];
  readonly loads?: readonly CircuitLoad[];
}

/** Node of a wire's feed just inside the fuse at its near and far end. */
export const insideFrom = (id: string): string => namesOf(id).a;
export const insideTo = (id: string): string => namesOf(id).b;
/** Branches of a wire's ends, whose current a fuse there sees. */
export const fromBranch = (id: string): string => namesOf(id).from;
export const toBranch = (id: string): string => namesOf(id).to;

/** Names are made once: a circuit is written many times while someone drags. */
const namesOf = memoize(1000, String, (id: string) => ({ a: `${id}.a`, b: `${id}.b`, from: `${id}.from`, to: `${id}.to`, feed: `${id}.feed`, back: `${id}.back` }));

/** The circuit of a wiring: each wire is end, feed, end and return. Sources' own ohms are inside the source. */
export function wiringCircuit(w: Wiring): Circuit {
  const resistors = w.wires.flatMap((r) => {
    const n = namesOf(r.id);
    return [
      { id: n.from, a: r.from.plus, b: n.a, ohm: r.fromEndOhm },
      { id: n.feed, a: n.a, b: n.b, ohm: r.feedOhm },
      { id: n.to, a: n.b, b: r.to.plus, ohm: r.toEndOhm },
      { id: n.back, a: r.to.minus, b: r.from.minus, ohm: r.backOhm },
    ];
  });
  const nodes = new Set<string>([w.ground]);
  for (const r of resistors) nodes.add(r.a).add(r.b);
  for (const s of w.sources) nodes.add(s.plus).add(s.minus);
  for (const c of w.contacts ?? []) nodes.add(c.a).add(c.b);
  return { ground: w.ground, nodes: [...nodes], resistors: [...resistors, ...(w.contacts ?? [])], sources: [...w.sources], loads: [...(w.loads ?? [])] };
}
