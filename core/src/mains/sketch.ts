import type { MainsSource } from './questions.js';
import { OUTPUT, RCD, TRANSFER } from './questions.js';
import type { MainsSide } from './side.js';

/** A box of the one-line sketch; `open`: something of it is not answered. */
export interface SketchBox {
  readonly id: string;
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
  readonly lines: readonly string[];
  readonly open: boolean;
}

/** The 230 V side as one line: boxes from left to right, and the lines between them. */
export interface MainsSketch {
  readonly w: number;
  readonly h: number;
  readonly boxes: readonly SketchBox[];
  readonly wires: readonly (readonly [x: number, y: number])[][];
}

const BOX = { w: 168, h: 58, acrossMm: 44, downMm: 22 } as const;
const ROW = BOX.h + BOX.downMm;
/** Letters that fit one line of a box, and lines that fit a box. */
const LETTERS = 26;
const LINES = 3;

/** Words broken where they may be; what does not fit ends in an ellipsis. @example brokenInto('2 double outlets, 10 A, in the galley', 26) // ['2 double outlets, 10 A, in', 'the galley'] */
export function brokenInto(text: string, letters: number, most: number = LINES): string[] {
  const lines: string[] = [];
  for (const word of text.split(/\s+/).filter(Boolean)) {
    const last = lines.at(-1);
    if (last !== undefined && last.length + 1 + word.length <= letters) lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word.slice(0, letters));
  }
  return lines.length <= most ? lines : [...lines.slice(0, most - 1), `${lines[most - 1]!.slice(0, letters - 1)}…`];
}

class Drawing {
  readonly boxes: SketchBox[] = [];
  readonly wires: (readonly [number, number])[][] = [];

  box(id: string, column: number, row: number, words: readonly string[], open: boolean): SketchBox {
    const made = { id, x: column * (BOX.w + BOX.acrossMm), y: row * ROW, w: BOX.w, h: BOX.h, lines: words.flatMap((w) => brokenInto(w, LETTERS)).slice(0, LINES), open };
    this.boxes.push(made);
    return made;
  }

  /** The n-th of so many wires into a box: each enters and bends at a place of its own, so that two sources never look joined. */
  wire(from: SketchBox, to: SketchBox, n = 0, of = 1): void {
    const [x1, y1, x2, y2] = [from.x + from.w, from.y + from.h / 2, to.x, to.y + (to.h * (n + 1)) / (of + 1)];
    const bend = x2 - (BOX.acrossMm * (n + 1)) / (of + 1);
    this.wires.push(
      y1 === y2
        ? [
            [x1, y1],
            [x2, y2],
          ]
        : [
            [x1, y1],
            [bend, y1],
            [bend, y2],
            [x2, y2],
          ],
    );
  }
}

/** The 230 V side on one line, as the licensed electrician asks for it: source, protection, transfer, outlets. What is not answered stands there as a question. */
export function mainsSketch({ sources, questions }: MainsSide): MainsSketch {
  const d = new Drawing();
  const answers = new Map(questions.map((q) => [q.id, q.answer]));
  const said = (id: string, what: string): readonly [string, boolean] => [answers.get(id) ?? `${what}?`, answers.get(id) === null];
  const [transfer, asked] = said('transfer', 'what keeps two sources apart');
  const one = sources.length > 1 && transfer !== TRANSFER.apart;
  const behind: { readonly source: MainsSource; readonly box: SketchBox }[] = [];
  let row = 0;
  for (const s of sources) {
    const [rated, ratedOpen] = s.kind === 'inlet' ? said(`${s.id}.rating`, 'rated') : said(`${s.id}.output`, 'output');
    const [rcd, rcdOpen] = said(`${s.id}.rcd`, 'RCD');
    const source = d.box(s.id, 0, row, [s.name, s.kind === 'inverter' && rated === OUTPUT.bonded ? 'neutral bonded' : rated], ratedOpen);
    const guard = d.box(`${s.id}.rcd`, 1, row, [rcd === RCD.none ? 'no RCD' : rcdOpen ? rcd : `RCD ${rcd}`], rcdOpen);
    d.wire(source, guard);
    behind.push({ source: s, box: guard });
    for (const [i, name] of s.feeds.entries()) d.wire(guard, d.box(`${s.id}.feeds.${i}`, 2, row + i, [name], false));
    row += Math.max(1, s.feeds.length);
  }
  const outlets = behind.filter(({ source }) => source.kind === 'inverter');
  if (one && outlets.length) {
    row = outlets[0]!.box.y / ROW;
    const middle = d.box('transfer', 2, row, [transfer], asked);
    for (const [i, { box }] of behind.entries()) d.wire(box, middle, i, behind.length);
    for (const [i, { source }] of outlets.entries()) {
      const [words, open] = said(`${source.id}.outlets`, 'outlets');
      d.wire(middle, d.box(`${source.id}.outlets`, 3, row + i, [words], open));
    }
  } else
    for (const { source, box } of outlets) {
      const [words, open] = said(`${source.id}.outlets`, 'outlets');
      d.wire(box, d.box(`${source.id}.outlets`, 2, box.y / ROW, [words], open));
    }
  return { w: Math.max(0, ...d.boxes.map((b) => b.x + b.w)), h: Math.max(0, ...d.boxes.map((b) => b.y + b.h)), boxes: d.boxes, wires: d.wires };
}
