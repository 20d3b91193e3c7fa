/** Size of all words, px, and the height of a line of them. */
export const LABEL = { height: 13, sizePx: 12 } as const;
/** Widths of a narrow grotesque by letter, as shares of its size; what is not named is as wide as a figure. Bold is a twentieth wider. */
const WIDTHS: readonly (readonly [letters: string, share: number])[] = [
  [" \u00a0.,:;!/|'·ijlft[]\\", 0.24],
  ['r()-°²', 0.3],
  ['ACDEFGHKLNOPQRSTUVXYZBw&', 0.6],
  ['MWm%→Ω@', 0.8],
];
const BOLD = 1.05;
const FIGURE = 0.46;
const widthOf = (letter: string): number => WIDTHS.find(([letters]) => letters.includes(letter))?.[1] ?? FIGURE;
const linePx = (line: string): number => [...line].reduce((sum, letter) => sum + widthOf(letter), 0) * LABEL.sizePx * BOLD;
/** An upper bound, so that no label is set too tight. */
export const textWidth = (text: string): number => Math.ceil(Math.max(...text.split('\n').map(linePx)) + 4);

/** Words in lines of no more than so many px, where they allow it. */
export function wrapped(text: string, mostPx: number): string[] {
  const out: string[] = [];
  // A figure stays with its unit.
  const kept = text.replace(/(\d) (?=(Ah|A|W|V|L|m|mm²),?( |$))/g, '$1\u00a0');
  for (const word of kept.split(' ').filter(Boolean)) {
    const last = out.at(-1);
    if (last !== undefined && textWidth(`${last} ${word}`) <= mostPx) out[out.length - 1] = `${last} ${word}`;
    else out.push(word);
  }
  return out;
}
