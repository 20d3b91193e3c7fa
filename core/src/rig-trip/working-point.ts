/** A charger as a bank meets it: its inputs, by their places from one to before the other, and its largest output, A. */
export interface Giving {
  readonly from: number;
  readonly to: number;
  readonly outputA: number;
}

/** What the inputs can give at this moment: no more than `a` amps each, nor than `p` watts. */
export interface Offers {
  readonly a: Float64Array;
  readonly p: Float64Array;
}

/** Current of an input at so many volts, A. */
export const inputA = ({ a, p }: Offers, j: number, volt: number): number => Math.min(a[j]!, p[j]! / volt);

/** Current of all inputs of a charger, not held down by its output, A. */
export function sumA(c: Giving, o: Offers, volt: number): number {
  let sum = 0;
  for (let j = c.from; j < c.to; j++) sum += inputA(o, j, volt);
  return sum;
}

/** Current that a charger gives at so many volts, A; it never rises with them. */
export const chargerA = (c: Giving, o: Offers, volt: number): number => Math.min(c.outputA, sumA(c, o, volt));

/** A charger that gives its whole output, to the last digit. */
const WHOLE = 1 - 1e-12;

/** One charger below a voltage, down to where it changes: a constant current and a constant power. */
interface Piece {
  k: number;
  g: number;
  downToV: number;
}

/** Adds a charger to a piece that reaches up to `highV`. */
function addCharger(c: Giving, { a, p }: Offers, highV: number, piece: Piece): void {
  let [k, g, down] = [0, 0, 0];
  for (let j = c.from; j < c.to; j++) {
    // Above these volts it gives its watts, below them its amps.
    const turnV = a[j]! > 0 ? p[j]! / a[j]! : Infinity;
    if (turnV >= highV) k += a[j]!;
    else {
      g += p[j]!;
      if (turnV > down) down = turnV;
    }
  }
  if (k + g / highV >= c.outputA * WHOLE) {
    piece.k += c.outputA;
    return;
  }
  const limitedV = g > 0 && c.outputA < Infinity ? g / (c.outputA - k) : 0;
  piece.k += k;
  piece.g += g;
  piece.downToV = Math.max(piece.downToV, down, limitedV);
}

/**
 * Volts at which a bank of open-circuit `vocV` behind `ohm` stands under loads (A and W) and its chargers: the largest
 * root of V = Voc + r·(ΣI(V) − I_L − P_L/V), found piece by piece from the highest volts down; on each piece the chargers
 * are one constant current and one constant power. NaN where there is none: the loads ask for more than there is.
 * @example workingPoint([], { a: new Float64Array(), p: new Float64Array() }, 12.8, 0.01, 20, 0) // 12.6
 */
export function workingPoint(chargers: readonly Giving[], offers: Offers, vocV: number, ohm: number, loadA: number, loadW: number): number {
  let highV = Infinity;
  for (;;) {
    const piece: Piece = { k: 0, g: 0, downToV: 0 };
    for (const c of chargers) addCharger(c, offers, highV, piece);
    const a = vocV + ohm * (piece.k - loadA);
    const inside = a * a - 4 * ohm * (loadW - piece.g);
    if (inside >= 0) {
      const v = (a + Math.sqrt(inside)) / 2;
      if (v > 0 && v >= piece.downToV - 1e-12 && v <= highV + 1e-9) return v;
    }
    if (piece.downToV <= 0 || piece.downToV >= highV) return NaN;
    highV = piece.downToV;
  }
}
