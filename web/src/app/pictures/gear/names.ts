export interface Rect {
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
}

export interface Named extends Rect {
  readonly id: string;
  readonly text: string;
  /** It lies on its own thing, and wants a plate under it. */
  readonly on: boolean;
}

const LETTER = 5.8;
const HIGH = 16;

const meet = (a: Rect, b: Rect): number => Math.max(0, Math.min(a.x + a.w, b.x + b.w) - Math.max(a.x, b.x)) * Math.max(0, Math.min(a.y + a.h, b.y + b.h) - Math.max(a.y, b.y));

/**
 * Where the names of things on a sheet stand: on the thing where it is large enough, else over it, under it, or beside it,
 * wherever they lie over least. `unit` is the size of a pixel in the sheet's own measure.
 */
export function namesBeside(things: readonly { readonly id: string; readonly text: string; readonly box: Rect }[], sheet: { readonly w: number; readonly h: number }, unit: number): readonly Named[] {
  const done: Named[] = [];
  for (const t of things) {
    const [w, h] = [(t.text.length * LETTER + 8) * unit, HIGH * unit];
    const { x, y, w: bw, h: bh } = t.box;
    const middle = x + bw / 2 - w / 2;
    const at = (nx: number, ny: number, on = false): Named => ({ id: t.id, text: t.text, x: nx, y: ny, w, h, on });
    if (bw > w + 4 * unit && bh > 1.9 * h) {
      done.push(at(middle, y + bh / 2 - h / 2, true));
      continue;
    }
    const gap = 2 * unit;
    const places = [
      at(middle, y - h - gap / 2),
      at(middle, y + bh + gap),
      at(x + bw + gap, y + bh / 2 - h / 2),
      at(x - w - gap, y + bh / 2 - h / 2),
      at(x, y - h - gap / 2),
      at(x + bw - w, y - h - gap / 2),
    ];
    const over = (n: Named): number => {
      const off = w * h - meet(n, { x: 0, y: -h, w: sheet.w, h: sheet.h + 2 * h });
      return things.reduce((s, o) => s + meet(n, o.box), 0) + done.reduce((s, o) => s + 2 * meet(n, o), 0) + 3 * off;
    };
    done.push(places.reduce((best, n) => (over(n) < over(best) - 0.01 ? n : best)));
  }
  return done;
}
