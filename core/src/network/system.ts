import type { Circuit } from './circuit.js';
import { SparseSymmetric } from './sparse.js';

/**
 * The nodal equations of a circuit: what flows out of each node for given node volts, and their slopes.
 * Elements lie in flat arrays: resistors, sources, resistance loads, then power loads; −1 as an end is ground.
 */
export class NodalSystem {
  readonly size: number;
  readonly matrix: SparseSymmetric;
  private readonly index = new Map<string, number>();
  /** Elements that conduct; those behind them are power loads. */
  private readonly conductors: number;
  private readonly count: number;
  private readonly a: Int32Array;
  private readonly b: Int32Array;
  /** Slots of (a,a), (b,b) and (a,b) for each element. */
  private readonly slots: Int32Array;
  private readonly siemens: Float64Array;
  private readonly volt: Float64Array;
  private readonly watt: Float64Array;
  private readonly powerIds: string[] = [];
  private readonly injected: Float64Array;

  constructor(public circuit: Circuit) {
    for (const n of circuit.nodes) if (n !== circuit.ground && !this.index.has(n)) this.index.set(n, this.index.size);
    this.size = this.index.size;
    const { resistors, sources, loads } = circuit;
    const most = resistors.length + sources.length + loads.length;
    this.a = new Int32Array(most);
    this.b = new Int32Array(most);
    this.siemens = new Float64Array(most);
    this.volt = new Float64Array(most);
    this.watt = new Float64Array(most);
    this.injected = new Float64Array(this.size);
    let n = 0;
    for (const r of resistors) n = this.place(n, r.a, r.b, 1 / r.ohm, 0, 0);
    for (const s of sources) n = this.place(n, s.plus, s.minus, 1 / s.ohm, s.volt, 0);
    for (const l of loads) if (l.kind === 'resistance') n = this.place(n, l.plus, l.minus, 1 / l.value, 0, 0);
    this.conductors = n;
    for (const l of loads) {
      if (l.kind === 'power') {
        n = this.place(n, l.plus, l.minus, 0, 0, l.value);
        this.powerIds.push(l.id);
      } else if (l.kind === 'current') this.draw(this.injected, this.unknown(l.plus), this.unknown(l.minus), l.value);
    }
    this.count = n;
    this.matrix = new SparseSymmetric(this.size, this.a.subarray(0, n), this.b.subarray(0, n));
    this.slots = new Int32Array(3 * n);
    for (let i = 0; i < n; i++) {
      const [a, b] = [this.a[i]!, this.b[i]!];
      this.slots[3 * i] = this.matrix.slot(a, a);
      this.slots[3 * i + 1] = this.matrix.slot(b, b);
      this.slots[3 * i + 2] = a === b ? -1 : this.matrix.slot(a, b);
    }
  }

  /** The same nodes joined by as many elements in the same order; only ohms and volts may differ. */
  sameShape(other: Circuit): boolean {
    const alike = (p: readonly { a: string; b: string }[], q: readonly { a: string; b: string }[]): boolean => p.length === q.length && p.every((e, i) => e.a === q[i]!.a && e.b === q[i]!.b);
    const ends = (s: Circuit['sources']): { a: string; b: string }[] => s.map(({ plus, minus }) => ({ a: plus, b: minus }));
    const { circuit } = this;
    return !other.loads.length && !circuit.loads.length && circuit.ground === other.ground && alike(circuit.resistors, other.resistors) && alike(ends(circuit.sources), ends(other.sources));
  }

  /** Takes on the ohms and volts of a circuit of the same shape. */
  refill(circuit: Circuit): void {
    this.circuit = circuit;
    const { resistors, sources } = circuit;
    for (let i = 0; i < resistors.length; i++) this.siemens[i] = 1 / resistors[i]!.ohm;
    for (let i = 0; i < sources.length; i++) {
      this.siemens[resistors.length + i] = 1 / sources[i]!.ohm;
      this.volt[resistors.length + i] = sources[i]!.volt;
    }
  }

  private place(n: number, from: string, to: string, siemens: number, volt: number, watt: number): number {
    this.a[n] = this.unknown(from);
    this.b[n] = this.unknown(to);
    this.siemens[n] = siemens;
    this.volt[n] = volt;
    this.watt[n] = watt;
    return n + 1;
  }

  /** Number of a node among the unknowns; −1 for ground. */
  unknown(node: string): number {
    return this.index.get(node) ?? -1;
  }

  get hasPower(): boolean {
    return this.count > this.conductors;
  }

  private draw(into: Float64Array, a: number, b: number, amp: number): void {
    if (a >= 0) into[a]! += amp;
    if (b >= 0) into[b]! -= amp;
  }

  private across(volts: Float64Array, i: number): number {
    const a = this.a[i]!;
    const b = this.b[i]!;
    return (a < 0 ? 0 : volts[a]!) - (b < 0 ? 0 : volts[b]!);
  }

  /** Volts across each power load with its id. */
  powerVolts(volts: Float64Array): { readonly id: string; readonly volt: number }[] {
    return this.powerIds.map((id, k) => ({ id, volt: this.across(volts, this.conductors + k) }));
  }

  /** Current through element `i` from its first to its second end. */
  elementAmp(volts: Float64Array, i: number): number {
    return (this.across(volts, i) - this.volt[i]!) * this.siemens[i]!;
  }

  /** Current that leaves each node and is not balanced, A; power loads only when `withPower`. Returns the largest. */
  imbalance(volts: Float64Array, withPower: boolean, out: Float64Array): number {
    out.set(this.injected);
    for (let i = 0; i < this.conductors; i++) this.draw(out, this.a[i]!, this.b[i]!, this.elementAmp(volts, i));
    if (withPower) {
      for (let i = this.conductors; i < this.count; i++) this.draw(out, this.a[i]!, this.b[i]!, this.watt[i]! / this.across(volts, i));
    }
    let worst = 0;
    for (let n = 0; n < this.size; n++) worst = Math.max(worst, Math.abs(out[n]!));
    return worst;
  }

  /**
   * Fills and factors the slopes at these volts. False when a power load has no volts left or the matrix is not
   * positive definite: then the point is not on the stable branch.
   */
  slopes(volts: Float64Array, withPower: boolean): boolean {
    const { matrix, slots } = this;
    matrix.clear();
    const to = withPower ? this.count : this.conductors;
    for (let i = 0; i < to; i++) {
      let g = this.siemens[i]!;
      if (i >= this.conductors) {
        const v = this.across(volts, i);
        if (!(v > 0)) return false;
        g = -this.watt[i]! / (v * v);
      }
      matrix.add(slots[3 * i]!, g);
      matrix.add(slots[3 * i + 1]!, g);
      matrix.add(slots[3 * i + 2]!, -g);
    }
    return matrix.factor();
  }
}
