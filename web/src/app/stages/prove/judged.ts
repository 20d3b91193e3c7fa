import { type Beside, impossiblePairs, judgeReading, judgeRow, type Judged, type ProveRow, soakSays, type SoakSays, type TestPlan, type Verdict } from '@meridex/core';
import type { MarkKind } from '../../pictures/mark';
import type { Reading } from '../../data/record.service';

const MARKS: Readonly<Record<Verdict, MarkKind>> = { agrees: 'holds', near: 'look', 'not-yet': 'look', unit: 'look', off: 'stop', reversed: 'stop', impossible: 'stop' };

/** A reading to take, with what was read and whether that is right. */
export interface JudgedRow {
  readonly row: ProveRow;
  readonly reading: Reading | undefined;
  readonly judged: Judged | null;
  readonly mark: MarkKind | null;
}

/** Readings that are taken while things stand one way. */
export interface JudgedGroup {
  readonly id: string;
  readonly name: string;
  readonly words: string;
  readonly also: readonly Beside[];
  readonly rows: readonly JudgedRow[];
  readonly read: number;
}

const judgedAs = (row: ProveRow, reading: Reading | undefined, judged: Judged | null): JudgedRow => ({ row, reading, judged, mark: judged ? MARKS[judged.verdict] : null });

export const judgedRows = (rows: readonly ProveRow[], readings: ReadonlyMap<string, Reading>): readonly JudgedRow[] =>
  rows.map((row) => {
    const reading = readings.get(row.id);
    return judgedAs(row, reading, reading ? judgeReading(row, reading.value) : null);
  });

const NAMES: Readonly<Record<string, string>> = {
  rest: 'At rest',
  loads: 'Everything on',
  idle: 'Engine idling',
  engine: 'Engine up',
  sun: 'By the sun',
  mains: 'On mains',
  second: 'On the second bank',
  apart: 'One bank charged, the other in use',
  full: 'Nearly full',
  kept: 'Starting battery kept',
  'set points': 'At its set points',
  soak: 'Run warm',
  residual: '230 V devices',
};
export const ALONE = 'alone';

const valuesOf = (readings: ReadonlyMap<string, Reading>): Readonly<Record<string, number>> => Object.fromEntries([...readings].map(([row, r]) => [row, r.value]));
const group = (id: string, name: string, words: string, also: readonly Beside[], rows: readonly JudgedRow[]): JudgedGroup => ({
  id,
  name,
  words,
  also,
  rows,
  read: rows.filter((r) => r.reading).length,
});

/** All that is to be read, in the order in which a rig is brought up: at rest, each circuit alone, then together and by each source. */
export function judgedGroups(alone: readonly ProveRow[], plan: TestPlan | null, readings: ReadonlyMap<string, Reading>): readonly JudgedGroup[] {
  const values = valuesOf(readings);
  const groups = (plan?.groups ?? []).map((g) =>
    group(
      g.id,
      NAMES[g.id] ?? g.id,
      g.words,
      g.also,
      g.rows.map((row) => judgedAs(row, readings.get(row.id), judgeRow(row, g, values))),
    ),
  );
  const each = alone.length ? [group(ALONE, 'Each circuit alone', 'engine off, one circuit on at a time', [], judgedRows(alone, readings))] : [];
  return [...each, ...groups];
}

/** What cannot be true together among what was read. */
export const impossible = (plan: TestPlan | null, readings: ReadonlyMap<string, Reading>): ReturnType<typeof impossiblePairs> => (plan ? impossiblePairs(plan, valuesOf(readings)) : []);

/** What the compartments that were run warm came to. */
export const soaked = (plan: TestPlan | null, readings: ReadonlyMap<string, Reading>): readonly SoakSays[] => (plan ? soakSays(plan.soak, valuesOf(readings)) : []);
