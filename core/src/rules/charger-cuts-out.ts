import { figure } from '../quantity/index.js';
import type { Rule } from './rule.js';

/** Nearer to the cut-out than this, V, is too near. */
const CLOSE_V = 0.4;

export const chargerCutsOut: Rule = {
  id: 'charger-cuts-out',
  severity: 'look',
  harm: 'flat batteries',
  basis: 'the charger’s input as a constant power behind its own sized feed',
  why: 'A charger at its cut-out switches off and on, and charges nothing.',
  test: ({ chargerInputs }) =>
    chargerInputs
      .filter((c) => !c.runs || (c.aboveCutOutV < CLOSE_V && !c.atCutOut))
      .map((c) => ({
        at: { stage: 'supply' as const, about: c.unit },
        values: { state: c.state, charger: c.name, what: c.state, arrives: figure(c.arrivesV, 2), above: figure(c.aboveCutOutV, 2), runs: c.runs ? 1 : 0 },
      })),
  say: (v) =>
    v['runs'] ? `${v['state']}: ${v['arrives']} V arrive at the ${v['charger']}, only ${v['above']} V above its cut-out.` : `${v['state']}: the ${v['charger']} is cut out, ${v['arrives']} V arrive.`,
  fix: () => 'A thicker or shorter feed, half power, or measure the alternator’s volts on a drive.',
};
