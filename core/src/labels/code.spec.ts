import jsQR from 'jsqr';
import { codePath } from './code.js';
import { LABEL_SHEETS, labelLink, labelPages, labelSvg, type Label } from './index.js';

/** Dots of a printed millimetre. */
const DOTS = 20;
type Decode = (data: Uint8ClampedArray, width: number, height: number) => { readonly data: string } | null;

/** What a phone reads off a path of bars, printed in a square of so many mm from the corner. */
function read(path: string, sizeMm: number): string | null {
  const n = Math.ceil(sizeMm * DOTS);
  const pixels = new Uint8ClampedArray(n * n * 4).fill(255);
  for (const [, x, y, w, h] of path.matchAll(/M([\d.]+) ([\d.]+)h([\d.]+)v([\d.]+)h-[\d.]+z/g)) {
    const [x0, y0, x1, y1] = [+x!, +y!, +x! + +w!, +y! + +h!].map((mm) => Math.round(mm * DOTS)) as [number, number, number, number];
    for (let row = y0; row < y1; row++) for (let at = x0; at < x1; at++) pixels.fill(0, 4 * (row * n + at), 4 * (row * n + at) + 3);
  }
  return (jsQR as unknown as Decode)(pixels, n, n)?.data ?? null;
}

const JOB = '0b7a1f3e-8c2d-4f6a-9e51-6d3c2b1a0f9e';
const link = labelLink('https://bench.tallowgum.example', JOB, 'own');
const label: Label = { key: 'k', kind: 'cable', mark: '12+', run: 'load-fridge', lines: ['to fridge', '6 mm²', 'here: fuse block'] };

describe('the code on a label', () => {
  it('is read back as the address of its circuit, in its vehicle', () => {
    expect(read(codePath(link('load-fridge'), 0, 0, 16)!, 16)).toBe(`https://bench.tallowgum.example/jobs/${JOB}/runs/cables?run=load-fridge`);
    const trailer = labelLink('http://192.0.2.7:4200', JOB, 'trailer')('load-usb-c');
    expect(read(codePath(trailer, 0, 0, 20)!, 20)).toBe(`http://192.0.2.7:4200/jobs/${JOB}/runs/cables?vehicle=trailer&run=load-usb-c`);
  });

  it('is none where its squares would be too small for a phone', () => {
    expect(codePath(link('load-fridge'), 0, 0, 8)).toBeNull();
  });

  it('stands within its label beside the words, on every sheet that has room for it', () => {
    for (const s of Object.values(LABEL_SHEETS)) {
      const [page] = labelPages([label, { ...label, run: undefined } as unknown as Label], s, 1, link);
      expect(page!.codes.length).toBeLessThanOrEqual(1);
      const right = Math.max(...page!.texts.filter((t) => t.xMm < s.leftMm + s.wMm).map((t) => t.xMm + 0.56 * t.sizeMm * t.text.length));
      for (const code of page!.codes) {
        const bars = [...code.matchAll(/M([\d.]+) ([\d.]+)h([\d.]+)v/g)].map(([, x, y, w]) => [+x!, +y!, +x! + +w!] as const);
        expect(Math.min(...bars.map(([x]) => x))).toBeGreaterThanOrEqual(right - 1);
        expect(Math.max(...bars.map(([, , to]) => to))).toBeLessThan(s.leftMm + s.wMm);
        expect(Math.min(...bars.map(([, y]) => y))).toBeGreaterThan(s.topMm);
        expect(Math.max(...bars.map(([, y]) => y))).toBeLessThan(s.topMm + s.hMm);
      }
    }
    const [large] = labelPages([label], LABEL_SHEETS.large, 1, link);
    expect(large!.codes.length).toBe(1);
    expect(labelSvg(large!)).toContain(`<path d="${large!.codes[0]!}"/>`);
  });

  it('is printed only where it is asked for, and of no circuit on none', () => {
    expect(labelPages([label], LABEL_SHEETS.large)[0]!.codes).toEqual([]);
    const { run: _, ...caution } = label;
    expect(labelPages([caution], LABEL_SHEETS.large, 1, link)[0]!.codes).toEqual([]);
  });
});
