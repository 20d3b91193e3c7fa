/** Standard symbols that a diagram is drawn with. */
export type SymbolKind =
  | 'battery'
  | 'generator'
  | 'panel'
  | 'converter'
  | 'regulator'
  | 'rectifier'
  | 'inverter'
  | 'contact'
  | 'switch'
  | 'selector'
  | 'charging selector'
  | 'shunt'
  | 'bars'
  | 'fuse'
  | 'breaker'
  | 'plug'
  | 'earth'
  | 'key'
  | 'inlet'
  | 'meter'
  | 'lamp'
  | 'motor'
  | 'socket'
  | 'load';

/** What a line is, from battery to load and back, whatever it passes: feed, return, signal, or 230 V. */
export type LineKind = 'feed' | 'return' | 'signal' | 'mains';
export type Pole = 'plus' | 'minus' | 'signal';

/** An element of the circuit as the diagram shows it: once, whatever hangs on it. */
export interface DiagramNode {
  readonly id: string;
  readonly symbol: SymbolKind;
  readonly title: string;
  readonly detail: string;
  /** Of a run's first fuse, breaker or plug: the run's label, under the symbol; empty: none. */
  readonly label: string;
  /** Gear, or the run whose fuse or plug it is. */
  readonly gear: string | null;
  readonly run: string | null;
  /** A load: its words stand beside it. */
  readonly last: boolean;
  /** Vehicle that it stands in, where a rig lies in several; null: in the one with the bars, or between two. */
  readonly frame: string | null;
}

export interface DiagramEnd {
  readonly node: string;
  readonly side: 'west' | 'east';
  readonly pole: Pole;
  /** Of a selector the contact that it ends at; none: the common one, or there is but one. */
  readonly contact?: 1 | 2 | undefined;
}

/** A line from one element to the next; a run's feed is several of them where a fuse or plug stands in it. */
export interface DiagramLine {
  readonly id: string;
  readonly kind: LineKind;
  readonly run: string | null;
  readonly from: DiagramEnd;
  readonly to: DiagramEnd;
  /** Its label, on one piece of each line only; a run with something in it has it there instead. */
  readonly label: string;
}

/** Everything to be drawn, before it has a place. */
export interface Diagram {
  /** Vehicles beside the one with the bars, and that one itself; none where the rig lies in one. */
  readonly frames: readonly { readonly id: string; readonly name: string }[];
  readonly nodes: readonly DiagramNode[];
  readonly lines: readonly DiagramLine[];
}
