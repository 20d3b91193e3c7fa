/** One step's balance at the battery, reused from step to step. */
export interface Balance {
  /** Constant-power loads W and constant-current loads A. */
  loadW: number;
  loadA: number;
  sunW: number;
  /** Most the sun's controller can pass, A. */
  sunMaxA: number;
  /** Alternator and mains together, A. */
  chargeA: number;
}

/**
 * Terminal volts of a battery of open-circuit `vocV` behind `ohm` under loads and offers: the upper root of
 * V = Voc − r·(I_L − I_charge) − r·(P_L − P_sun)/V. NaN when there is no real positive root (the loads ask for more
 * than the battery can give).
 */
export function terminalV(vocV: number, ohm: number, b: Balance): number {
  const v = root(vocV - ohm * (b.loadA - b.chargeA), ohm * (b.loadW - b.sunW));
  if (b.sunW > 0 && b.sunW / v > b.sunMaxA) return root(vocV - ohm * (b.loadA - b.chargeA - b.sunMaxA), ohm * b.loadW);
  return v;
}

function root(a: number, rp: number): number {
  const inside = a * a - 4 * rp;
  if (inside < 0) return NaN;
  const v = (a + Math.sqrt(inside)) / 2;
  return v > 0 ? v : NaN;
}
