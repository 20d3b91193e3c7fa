/** A sheet of labels on A4: how many across and down, each label’s size, the first one’s corner, and what lies between, mm. */
export interface LabelSheet {
  readonly name: string;
  readonly across: number;
  readonly down: number;
  readonly wMm: number;
  readonly hMm: number;
  readonly leftMm: number;
  readonly topMm: number;
  readonly gapMm: number;
}

/** A4 upright, mm. */
export const A4_MM = { w: 210, h: 297 } as const;

const sheet = (across: number, down: number, wMm: number, hMm: number, gapMm = 0): LabelSheet => ({
  name: `${across * down} of ${wMm} × ${hMm} mm`,
  across,
  down,
  wMm,
  hMm,
  gapMm,
  leftMm: (A4_MM.w - across * wMm - (across - 1) * gapMm) / 2,
  topMm: (A4_MM.h - down * hMm) / 2,
});

/** Sheets as stationers sell them. */
export const LABEL_SHEETS = { large: sheet(3, 8, 70, 37), middle: sheet(4, 10, 52.5, 29.7), small: sheet(5, 13, 38.1, 21.2, 2.5) } as const;
export type LabelSheetId = keyof typeof LABEL_SHEETS;
export const LABEL_SHEET_IDS = Object.keys(LABEL_SHEETS) as LabelSheetId[];

/** Where a label lies. */
export interface LabelPlace {
  /** From 0. */
  readonly page: number;
  readonly xMm: number;
  readonly yMm: number;
}

/**
 * Places of so many labels, row by row; `first`: the first label that is left on a sheet that was begun, from 1.
 * @example placesOn(LABEL_SHEETS.large, 2, 24).map((p) => p.page) // [0, 1]
 */
export function placesOn(s: LabelSheet, count: number, first = 1): readonly LabelPlace[] {
  const aPage = s.across * s.down;
  return Array.from({ length: count }, (_, i): LabelPlace => {
    const at = i + first - 1;
    const [column, row] = [at % s.across, Math.floor((at % aPage) / s.across)];
    return { page: Math.floor(at / aPage), xMm: s.leftMm + column * (s.wMm + s.gapMm), yMm: s.topMm + row * s.hMm };
  });
}
