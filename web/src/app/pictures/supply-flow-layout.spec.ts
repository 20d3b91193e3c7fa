import { assess, catalogueOf, DEMO_JOBS, type SupplyFlow, supplyFlow } from '@meridex/core';
import { layoutFlow, type FlowDrawing } from './supply-flow-layout';
import { layoutUpright } from './supply-flow-upright';

const flows = DEMO_JOBS.map(({ key, design }): readonly [string, SupplyFlow] => [key, supplyFlow(design, catalogueOf(design), assess(design, catalogueOf(design)))]);
/** Many of each sort, as no demo has them. */
const crowd: SupplyFlow = {
  things: [
    ...[1, 2, 3, 4, 5].map((n) => ({ id: `s${n}`, column: 'gives' as const, title: `Array ${n}`, says: ['fixed'], looks: [], idle: false })),
    { id: 'c', column: 'converts', title: 'Controller', says: ['MPPT, 60 A, 150 V'], looks: ['40 Ah a day find the bank full', 'its air is too warm'], idle: false },
    { id: 'b', column: 'stores', title: 'House battery', says: ['600 Ah'], looks: [], idle: false },
    { id: 'u', column: 'uses', title: 'Fuse block', says: ['fridge 40'], looks: [], idle: false },
  ],
  flows: [
    ...[1, 2, 3, 4, 5].map((n) => ({ from: `s${n}`, to: 'c', kind: 'sun' as const, ahDay: 20 * n, hangs: `s${n}` })),
    { from: 'c', to: 'b', kind: 'sun', ahDay: 260, hangs: null },
    { from: 'b', to: 'u', kind: 'use', ahDay: 0.2, hangs: null },
  ],
  sums: { engine: 0, sun: 260, mains: 0, lead: 0, use: 0.2 },
  low: null,
  lows: {},
};

/** A 12 V charger behind a box that takes 24 V, beside one that hangs on the engine itself. */
const behind: SupplyFlow = {
  ...crowd,
  things: [
    { id: 's', column: 'gives', title: 'Alternator', says: ['100 A, fixed'], looks: [], idle: false },
    { id: 'x', column: 'brings', title: '24-to-12 box', says: ['holds 13.8 V, 40 A'], looks: [], idle: false },
    { id: 'c', column: 'converts', title: 'Charger', says: ['25 A'], looks: [], idle: false },
    { id: 'd', column: 'converts', title: '2nd charger', says: ['20 A'], looks: [], idle: false },
    { id: 'b', column: 'stores', title: 'House battery', says: ['600 Ah'], looks: [], idle: false },
  ],
  flows: [
    { from: 's', to: 'x', kind: 'engine', ahDay: 60, hangs: null },
    { from: 'x', to: 'c', kind: 'engine', ahDay: 54, hangs: null },
    { from: 's', to: 'd', kind: 'engine', ahDay: 44, hangs: null },
    { from: 'c', to: 'b', kind: 'engine', ahDay: 48, hangs: 'c' },
    { from: 'd', to: 'b', kind: 'engine', ahDay: 40, hangs: 'd' },
  ],
};

/** Every box within the sheet, none over another; every ribbon there, as wide as it flows. */
function expectSound(flow: SupplyFlow, d: FlowDrawing): void {
  expect(d.boxes.length).toBe(flow.things.length);
  for (const [i, b] of d.boxes.entries()) {
    expect(b.x).toBeGreaterThanOrEqual(0);
    expect(b.x + b.w).toBeLessThanOrEqual(d.width);
    expect(b.y + b.h).toBeLessThanOrEqual(d.height);
    for (const o of d.boxes.slice(i + 1)) expect(b.x + b.w <= o.x || o.x + o.w <= b.x || b.y + b.h <= o.y || o.y + o.h <= b.y).toBeTrue();
  }
  expect(d.ribbons.length).toBe(flow.flows.length);
  const widths = [...d.ribbons].sort((a, b) => a.flow.ahDay - b.flow.ahDay).map((r) => r.width);
  expect(widths).toEqual([...widths].sort((a, b) => a - b));
  for (const r of d.ribbons) expect(r.width > 0).toBe(r.flow.ahDay > 0);
}

describe('the supply’s picture, laid out', () => {
  for (const [key, flow] of [...flows, ['a crowd', crowd] as const, ['a box behind a box', behind] as const])
    for (const [way, layout] of [
      ['from left to right', layoutFlow],
      ['upright', layoutUpright],
    ] as const)
      it(`${key}, ${way}: boxes stand apart on the sheet, ribbons are as wide as they flow`, () => expectSound(flow, layout(flow)));

  it('upright stands each sort under the one that feeds it, and fits a phone', () => {
    const d = layoutUpright(crowd);
    const bottom = (column: string): number => Math.max(...d.boxes.filter((b) => b.thing.column === column).map((b) => b.y + b.h));
    const top = (column: string): number => Math.min(...d.boxes.filter((b) => b.thing.column === column).map((b) => b.y));
    expect([top('converts') > bottom('gives'), top('stores') > bottom('converts'), top('uses') > bottom('stores')]).toEqual([true, true, true]);
    expect(d.width).toBeLessThanOrEqual(360);
    // A trickle is seen all the same.
    expect(d.ribbons.find((r) => r.flow.to === 'u')!.width).toBeGreaterThanOrEqual(2);
    // Ribbons into one box lie side by side: no two meet it at one place.
    const ends = d.ribbons.filter((r) => r.flow.to === 'c').map((r) => Number(r.path.split(' ').at(-2)));
    expect(new Set(ends).size).toBe(5);
  });
});
