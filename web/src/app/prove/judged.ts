import { judgeReading, type Judged, type ProveRow, type Verdict } from '@meridex/core';
import type { MarkKind } from '../pictures/mark';
import type { Reading } from '../services/record.service';

const MARKS: Readonly<Record<Verdict, MarkKind>> = { agrees: 'holds', near: 'look', 'not-yet': 'look', unit: 'look', off: 'stop', reversed: 'stop', impossible: 'stop' };

/** A reading to take, with what was read and whether that is right. */
export interface JudgedRow {
  readonly row: ProveRow;
  readonly reading: Reading | undefined;
  readonly judged: Judged | null;
  readonly mark: MarkKind | null;
}

export const judgedRows = (rows: readonly ProveRow[], readings: ReadonlyMap<string, Reading>): readonly JudgedRow[] =>
  rows.map((row) => {
    const reading = readings.get(row.id);
    const judged = reading ? judgeReading(row, reading.value) : null;
    return { row, reading, judged, mark: judged ? MARKS[judged.verdict] : null };
  });
