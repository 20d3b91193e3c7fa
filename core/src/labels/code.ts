import qrcode from 'qrcode-generator';

/** Smallest square of a code that a phone reads off a label at arm’s length, mm. */
const LEAST_CELL_MM = 0.3;
/** White that a code needs around it, in its squares. */
const QUIET = 2;

/**
 * A text as a code to point a phone at (ISO/IEC 18004, level L), within a square of so many mm; the path of its dark
 * squares, or null where they would be too small to be read.
 * Eight bytes take 21 squares a side, the address of a circuit about 41.
 */
export function codePath(text: string, xMm: number, yMm: number, sizeMm: number): string | null {
  const code = qrcode(0, 'L');
  code.addData(text);
  code.make();
  const n = code.getModuleCount();
  const cell = sizeMm / (n + 2 * QUIET);
  if (cell < LEAST_CELL_MM) return null;
  const at = (mm: number): string => mm.toFixed(2);
  const bars: string[] = [];
  for (let row = 0; row < n; row++)
    for (let from = 0; from < n; from++) {
      let to = from;
      while (to < n && code.isDark(row, to)) to++;
      if (to > from) bars.push(`M${at(xMm + (QUIET + from) * cell)} ${at(yMm + (QUIET + row) * cell)}h${at((to - from) * cell)}v${at(cell)}h${at((from - to) * cell)}z`);
      from = Math.max(from, to);
    }
  return bars.join('');
}
