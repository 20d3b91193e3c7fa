import { clearingTimes } from '../protection/index.js';
import { figure, rating } from '../quantity/index.js';
import { isMainLead } from '../routes/index.js';
import { distributionOf, stringSource } from '../supply/index.js';
import type { Rule } from './rule.js';

/** Volts of a 12 V starting battery while the engine is cranked: what a sound one still has after 15 s at half its cold-cranking amps (SAE J537). */
const CRANKING_V = 9.6;
/** Longest usual start, s. */
const START_S = 3;

export const crankingThroughLink: Rule = {
  id: 'cranking-through-link',
  severity: 'look',
  harm: 'broken gear',
  basis: 'the house bank against a starting battery pulled to 9.6 V (for each 12 V), through the closed isolator, by the ohms of bank and runs',
  why: 'While the isolator is closed a start takes part of its current from the house bank: fuses of the link may open, and a switch that is turned or rated too small welds.',
  test: ({ runs, design, catalogue, supply: { bank } }) => {
    const link = runs.flatMap((r) => (r.ok && (r.spec.role === 'link feed' || r.spec.role === 'link') ? [r] : []));
    const main = runs.find(isMainLead);
    if (!bank || link.length < 2 || !main?.ok) return [];
    const { volt, ohm } = stringSource(bank, 'typical', 1);
    const all = ohm / bank.strings + main.figures.ohm / bank.strings + link.reduce((sum, r) => sum + r.figures.ohm, 0);
    const amps = Math.max(0, (volt - (CRANKING_V * design.brief.vehicleV) / 12) / all);
    const weakest = link.reduce((a, b) => (b.figures.fuseA < a.figures.fuseA ? b : a));
    const opensS = clearingTimes(weakest.figures.fuseType, weakest.figures.fuseA, amps).fastS;
    const { mainSwitch, chargingSelector } = distributionOf(design, catalogue);
    // A link ends where the chargers give: behind their own selector, where there is one.
    const part = chargingSelector ?? mainSwitch;
    const over = part !== null && amps > part.peakA;
    if (!over && opensS > START_S) return [];
    return [
      {
        at: { stage: 'protection' as const, about: weakest.spec.id },
        severity: over ? ('stop' as const) : ('look' as const),
        values: {
          amps: figure(amps, 0),
          run: weakest.spec.name,
          fuse: rating(weakest.figures.fuseA),
          seconds: figure(opensS, 1),
          peak: over ? part.peakA : 0,
          part: chargingSelector ? 'charging selector' : 'main switch',
        },
      },
    ];
  },
  say: (v) =>
    `Started with the isolator closed, ${v['amps']} A come from the house bank: the ${v['fuse']} A fuse of ${v['run']} may open within ${v['seconds']} s${Number(v['peak']) > 0 ? `, and the ${v['part']} bears ${v['peak']} A for a start` : ''}.`,
  fix: () => 'An isolator that lets go while starting, or a wait of half a minute after switching off; a switch in the house bank’s lead rated for the start.',
};
