import { judgeReading, type Judged, type ReadIn } from '../prove/index.js';
import { figure } from '../quantity/index.js';
import { asOwned, judgeConverter } from '../verdicts/index.js';
import { type Converts, FULL_FROM_PERCENT, type TestPlan } from './plan.js';
import { besideKey } from './beside.js';
import type { TestGroup, TestRow } from './rows.js';

type Readings = Readonly<Record<string, number>>;

/** How things stood while a group was read, as far as it was written down. */
export function standOf(group: TestGroup, readings: Readings): ReadIn {
  const charge = readings[besideKey(group.id, 'charge')];
  return { batteryFull: charge === undefined ? null : charge >= FULL_FROM_PERCENT, sunWm2: readings[besideKey(group.id, 'sun')] ?? null };
}

const BECAUSE = { full: 'the bank is nearly full and takes less', sun: 'the light is too weak to prove panels by' };

/** A reading of the plan judged, with what stood beside it. */
export function judgeRow(row: TestRow, group: TestGroup, readings: Readings): Judged | null {
  const read = readings[row.id];
  if (read === undefined) return null;
  const state = standOf(group, readings);
  const judged = judgeReading(row, read, state);
  // With little flowing volts stand higher than planned: what the state explains low it explains high as well.
  const explained = judged.verdict === 'off' && row.excuses?.batteryFull === true && state.batteryFull === true && (row.unit === 'A' ? read < row.expected : true);
  if (explained) return { ...judged, verdict: 'not-yet', say: `No fault by it: ${BECAUSE.full}. Read it again well below full.` };
  if (judged.verdict !== 'not-yet') return judged;
  const why = state.batteryFull ? BECAUSE.full : BECAUSE.sun;
  return { ...judged, say: `Low, and no fault by it: ${why}. Read it again when that is over.` };
}

const SIDE = { inV: 'volts in', inA: 'amps in', outV: 'volts out', outA: 'amps out' };

/** What cannot be true together: more out of a charger than goes in, or most of it lost. One sentence each. */
export function impossiblePairs(plan: TestPlan, readings: Readings): readonly { readonly name: string; readonly say: string; readonly rows: Converts['rows'] }[] {
  return plan.converters.flatMap((c) => {
    const [inV, inA, outV, outA] = c.rows.map((r) => readings[r]);
    if (inV === undefined || inA === undefined || outV === undefined || outA === undefined) return [];
    const volt = (value: number) => ({ value, meter: asOwned({ kind: 'volt' }, plan.meters) });
    const amp = (value: number) => ({ value, meter: asOwned({ kind: 'clamp' }, plan.meters) });
    const v = judgeConverter({ kind: 'converter', inV: volt(inV), inA: amp(inA), outV: volt(outV), outA: amp(outA), ratedW: c.ratedW, efficiency: c.efficiency, steady: true });
    if (v.verdict !== 'impossible') return [];
    const liar = v.liar ? ` Of the four the ${SIDE[v.liar]} would need the least error: read that again first.` : '';
    const ratio = v.ratio === null ? '' : `, ${figure(v.ratio, 2)} of it`;
    return [{ name: c.name, rows: c.rows, say: `${figure(inV * inA, 0)} W in and ${figure(outV * outA, 0)} W out${ratio}: the four cannot be true together.${liar}` }];
  });
}
