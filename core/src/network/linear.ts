import type { Circuit } from './circuit.js';
import { NodalSystem } from './system.js';

/**
 * Where the equations of the last circuit are kept, for one of the same shape with other ohms and volts: then the order
 * of elimination is known. Good for one circuit at a time.
 */
export interface Shapes {
  system: NodalSystem | null;
}

/**
 * A circuit without its loads, factored once: its open volts, and how every node moves when a current is drawn between
 * two of them. Null when a node floats.
 */
export class LinearCircuit {
  /** Volts of every unknown with nothing drawn. */
  readonly open: Float64Array;
  private readonly rhs: Float64Array;

  private constructor(readonly system: NodalSystem) {
    this.open = new Float64Array(system.size);
    this.rhs = new Float64Array(system.size);
    system.imbalance(this.open, false, this.rhs);
    system.matrix.solve(this.rhs, this.open);
    for (let n = 0; n < this.open.length; n++) this.open[n] = -this.open[n]!;
  }

  static of(circuit: Circuit, shapes?: Shapes): LinearCircuit | null {
    const bare = { ...circuit, loads: [] };
    const known = shapes?.system;
    const system = known?.sameShape(bare) ? known : new NodalSystem(bare);
    if (system === known) system.refill(bare);
    if (shapes) shapes.system = system;
    return system.slopes(new Float64Array(system.size), false) ? new LinearCircuit(system) : null;
  }

  /** Volts by which every unknown falls for one ampere drawn from `plus` to `minus`, written into `reach`. */
  draw(plus: string, minus: string, reach: Float64Array): void {
    const a = this.system.unknown(plus);
    const b = this.system.unknown(minus);
    this.rhs.fill(0);
    if (a >= 0) this.rhs[a]! += 1;
    if (b >= 0) this.rhs[b]! -= 1;
    this.system.matrix.solve(this.rhs, reach);
  }

  across(volts: Float64Array, plus: string, minus: string): number {
    const a = this.system.unknown(plus);
    const b = this.system.unknown(minus);
    return (a < 0 ? 0 : volts[a]!) - (b < 0 ? 0 : volts[b]!);
  }
}
