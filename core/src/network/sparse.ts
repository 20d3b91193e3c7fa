import { eliminate } from './elimination.js';

/**
 * Sparse symmetric matrix with an LDLᵀ factorisation whose pattern is worked out once; values may then be refilled
 * and factored again without allocating. Rows are given by unknown; −1 stands for ground and is left out.
 */
export class SparseSymmetric {
  private readonly order: Int32Array;
  private readonly place: Int32Array;
  private readonly start: Int32Array;
  private readonly row: Int32Array;
  /** Where each product of a column's pair lands: below `size` a diagonal, else an entry. */
  private readonly target: Int32Array;
  /** Diagonals first, then entries column by column. */
  private readonly value: Float64Array;
  private readonly work: Float64Array;

  constructor(
    readonly size: number,
    from: Int32Array,
    to: Int32Array,
  ) {
    const { order, place, below } = eliminate(size, from, to);
    this.order = order;
    this.place = place;
    this.start = new Int32Array(size + 1);
    for (let k = 0; k < size; k++) this.start[k + 1] = this.start[k]! + below[k]!.length;
    this.row = new Int32Array(this.start[size]!);
    for (let k = 0; k < size; k++) this.row.set(below[k]!, this.start[k]);
    this.value = new Float64Array(size + this.row.length);
    this.work = new Float64Array(size);
    this.target = this.targets(below);
  }

  private targets(below: readonly Int32Array[]): Int32Array {
    const target = new Int32Array(below.reduce((sum, rows) => sum + (rows.length * (rows.length + 1)) / 2, 0));
    let t = 0;
    for (const rows of below) {
      for (let a = 0; a < rows.length; a++) {
        target[t++] = rows[a]!;
        for (let b = a + 1; b < rows.length; b++) target[t++] = this.entry(rows[a]!, rows[b]!);
      }
    }
    return target;
  }

  /** Slot of the entry in column `col`, row `row` (positions, row below col). */
  private entry(col: number, row: number): number {
    let low = this.start[col]!;
    let high = this.start[col + 1]! - 1;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (this.row[middle]! < row) low = middle + 1;
      else high = middle;
    }
    return this.size + low;
  }

  /** Slot of the diagonal (a = b) or of the pair, for `add`; −1 when an end is ground. */
  slot(a: number, b: number): number {
    if (a < 0 || b < 0) return -1;
    const [p, q] = [this.place[a]!, this.place[b]!];
    return p === q ? p : this.entry(Math.min(p, q), Math.max(p, q));
  }

  clear(): void {
    this.value.fill(0);
  }

  add(slot: number, amount: number): void {
    if (slot >= 0) this.value[slot]! += amount;
  }

  /** Factors in place; false when the matrix is not positive definite. */
  factor(): boolean {
    const { size, start, value, target } = this;
    let t = 0;
    for (let k = 0; k < size; k++) {
      const pivot = value[k]!;
      if (!(pivot > 0)) return false;
      const from = size + start[k]!;
      const to = size + start[k + 1]!;
      for (let a = from; a < to; a++) {
        const l = value[a]! / pivot;
        value[target[t++]!]! -= l * value[a]!;
        for (let b = a + 1; b < to; b++) value[target[t++]!]! -= l * value[b]!;
      }
      for (let a = from; a < to; a++) value[a]! /= pivot;
    }
    return true;
  }

  /** Largest over smallest pivot of the last factorisation, about as many digits of sixteen as are lost, and the unknown with the smallest; 1: none. */
  pivots(): { readonly ratio: number; readonly weakest: number } {
    const { size, value, order } = this;
    let [least, most, at] = [Infinity, 0, -1];
    for (let k = 0; k < size; k++) {
      if (value[k]! < least) [least, at] = [value[k]!, order[k]!];
      most = Math.max(most, value[k]!);
    }
    return size ? { ratio: most / least, weakest: at } : { ratio: 1, weakest: -1 };
  }

  /** Solves for the right-hand side by unknown, writing into `out` (may be the same array). */
  solve(rhs: Float64Array, out: Float64Array): void {
    const { size, start, row, value, work, order } = this;
    for (let k = 0; k < size; k++) work[k] = rhs[order[k]!]!;
    for (let k = 0; k < size; k++) {
      const y = work[k]!;
      for (let e = start[k]!; e < start[k + 1]!; e++) work[row[e]!]! -= value[size + e]! * y;
    }
    for (let k = size - 1; k >= 0; k--) {
      let y = work[k]! / value[k]!;
      for (let e = start[k]!; e < start[k + 1]!; e++) y -= value[size + e]! * work[row[e]!]!;
      work[k] = y;
    }
    for (let k = 0; k < size; k++) out[order[k]!] = work[k]!;
  }
}
