import type { Catalogue } from '../catalogue/index.js';
import type { Design } from '../design/index.js';
import { hasMains, mainsQuestions, mainsSources, RCD } from '../mains/index.js';
import type { TestGroup, TestRow } from './rows.js';

/** Longest break time of a general residual-current device at its rated residual current and at five times that, ms (IEC 61008-1, table of standard values). */
export const BREAK_TIME_MS = { 1: 300, 5: 40 } as const;
/** What a tester of such devices may be off by, ms. */
const TESTER_MS = 2;
const RATED: Readonly<Record<string, string>> = { [RCD.ten]: '10 mA', [RCD.thirty]: '30 mA', [RCD.old]: '30 mA' };

/** Times that the licensed electrician reads at each residual-current device that they named; null: there is none of ours. */
export function residualTests(design: Design, catalogue: Catalogue): TestGroup | null {
  if (!hasMains(design, catalogue)) return null;
  const answers = new Map(mainsQuestions(design, catalogue).map((q) => [q.id, q.answer]));
  const rows = mainsSources(design, catalogue).flatMap(({ id, name }): TestRow[] => {
    const rated = RATED[answers.get(`${id}.rcd`) ?? ''];
    if (rated === undefined) return [];
    return ([1, 5] as const).map((times) => ({
      id: `residual.x${times}:${id}`,
      where: `Residual-current device of the ${name}: time to open at ${times === 1 ? rated : `five times ${rated}`}`,
      state: 'each half-wave and each pole tried, the slowest typed',
      meter: { kind: 'volt', share: 0, absolute: TESTER_MS },
      unit: 'ms',
      expected: BREAK_TIME_MS[times],
      tolerance: TESTER_MS,
      atMost: true,
      dropV: 0,
      mostV: null,
      run: null,
      currentA: 0,
      minutes: 3,
      about: id,
      look: 'replace the device, or find why the source does not let it trip: a floating output never does',
    }));
  });
  return rows.length ? { id: 'residual', words: '230 V on, by the licensed electrician with their own tester', minutes: 5, also: [], rows } : null;
}
