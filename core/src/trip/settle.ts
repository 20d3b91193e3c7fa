/**
 * Terminal volts of a battery of open-circuit `vocV` behind `ohm` under loads (W and A) and offers (sun W, charge A):
 * the upper root of V = Voc − r·(I_L − I_charge) − r·(P_L − P_sun)/V. Sun above `sunMaxA` counts as that current. NaN
 * when there is no real positive root (the loads ask for more than the battery can give).
 * @example terminalV(12.8, 0.01, 0, 20, 0, Infinity, 0) // 12.6
 */
export function terminalV(vocV: number, ohm: number, loadW: number, loadA: number, sunW: number, sunMaxA: number, chargeA: number): number {
  const a = vocV - ohm * (loadA - chargeA);
  const v = root(a, ohm * (loadW - sunW));
  if (sunW > 0 && sunW / v > sunMaxA) return root(a + ohm * sunMaxA, ohm * loadW);
  return v;
}

function root(a: number, rp: number): number {
  const inside = a * a - 4 * rp;
  if (inside < 0) return NaN;
  const v = (a + Math.sqrt(inside)) / 2;
  return v > 0 ? v : NaN;
}
