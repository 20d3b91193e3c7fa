import type { PanelPart } from '../catalogue/index.js';

/**
 * Share of its power that a series string keeps when so much of its face is in shade, all on one panel: the string
 * either runs at the shaded panel's current, or that panel's diodes let the others pass it by; the better of the two.
 * @example seriesShadeYield(0.25, 2) // 0.5
 */
export function seriesShadeYield(shade: number, inSeries: number): number {
  if (shade <= 0) return 1;
  const weakest = 1 - Math.min(1, shade * inSeries);
  return Math.max(weakest, (inSeries - 1) / inSeries);
}

/** A panel's current at a voltage, A: flat to its best point, then straight down to nothing at open circuit. */
function currentAt(panel: PanelPart, v: number): number {
  if (v <= panel.vmpV) return panel.impA;
  return Math.max(0, (panel.impA * (panel.vocV - v)) / (panel.vocV - panel.vmpV));
}

const STEP_V = 0.05;

/**
 * Share of their separate best that panels in parallel give on one regulator, which must hold them all at one voltage:
 * below 1 where their volts differ, since the weaker drags the other.
 */
export function sharedRegulatorYield(panels: readonly PanelPart[]): number {
  const apart = panels.reduce((s, p) => s + p.vmpV * p.impA, 0);
  const most = Math.max(...panels.map((p) => p.vocV));
  let best = 0;
  for (let v = STEP_V; v < most; v += STEP_V) best = Math.max(best, v * panels.reduce((s, p) => s + currentAt(p, v), 0));
  return apart > 0 ? Math.min(1, best / apart) : 1;
}
