import fc from 'fast-check';
import { assess, stageProgress } from '../assess/index.js';
import { catalogueOf } from '../catalogue/index.js';
import { assessWhole } from '../couplings/index.js';
import { blankDesign, keepBought, likeJob, type Design } from '../design/index.js';
import { after, refusal } from '../testing/commanded.js';
import { EXAMPLE_RIGS } from '../testing/rigs.js';
import { allBought, buyingOf, type OrderLine } from './index.js';

const TODAY = '2026-12-03';
const line = (key: string, quantity: number, priceEach = 10, unit: 'pc' | 'm' = 'pc'): OrderLine => ({ key, group: 'joints', what: key, quantity, unit, priceEach, kg: 0, uses: [] });
const some = (key: string, count: number, unit: 'pc' | 'm' = 'pc'): object => ({ key, what: key, unit, count });
const blank = blankDesign('Quartz Gully Rovers');
const of = (d: Design, ...lines: OrderLine[]): ReturnType<typeof buyingOf> => buyingOf({ lines }, d.bought, TODAY);

describe('what was bought of an order', () => {
  const ordered = after(blank, { do: 'orderParts', with: { lines: [some('lug', 6), some('fuse', 2)], from: 'Wirrabel Auto Parts', due: '2026-12-01' } });

  it('nothing at first: all is to be ordered', () => {
    const b = of(blank, line('lug', 10), line('fuse', 2, 30));
    expect([b.counts['to order'], b.toOrderPrice, b.allBy, b.late]).toEqual([2, 160, null, 0]);
  });

  it('in part: the rest is still to be ordered; what is on its way has a day, and is late after it', () => {
    const b = of(ordered, line('lug', 10), line('fuse', 2, 30));
    expect(b.lines.map((l) => [l.state, l.toOrder, l.waiting, l.late])).toEqual([
      ['to order', 4, 6, true],
      ['ordered', 0, 2, true],
    ]);
    expect([b.toOrderPrice, b.allBy, b.late]).toEqual([40, '2026-12-01', 2]);
    expect(buyingOf({ lines: [line('fuse', 2)] }, ordered.bought, '2026-12-01').late).toBe(0);
  });

  it('what comes is here; what was taken off the shelf needs no order', () => {
    const come = after(ordered, { do: 'partsHere', with: { lines: [some('fuse', 2)] } }, { do: 'partsHere', with: { lines: [some('tie', 20)], from: 'the shelf' } });
    const b = of(come, line('fuse', 2), line('tie', 20));
    expect(b.counts).toEqual({ here: 2, ordered: 0, 'to order': 0 });
    expect(come.bought['tie']).toEqual({ what: 'tie', unit: 'pc', count: 20, here: 20, from: 'the shelf', due: null, shelf: 0 });
    expect([b.late, b.allBy]).toEqual([0, null]);
  });

  it('a plan that asks for less calls off what has not come first, and names what goes back', () => {
    const come = after(ordered, { do: 'partsHere', with: { lines: [some('lug', 4)] } });
    expect(of(come, line('lug', 3)).spares).toEqual([
      { key: 'lug', what: 'lug', unit: 'pc', here: 1, waiting: 2 },
      { key: 'fuse', what: 'fuse', unit: 'pc', here: 0, waiting: 2 },
    ]);
    const done = after(come, { do: 'giveBack', with: { key: 'lug', here: 1, waiting: 2 } }, { do: 'giveBack', with: { key: 'fuse', here: 0, waiting: 2 } });
    expect(of(done, line('lug', 3)).spares).toEqual([]);
    expect(done.bought['fuse']).toBeUndefined();
  });

  it('off the shelf is known to be the shelf’s, and what is left over goes back on it or to who sold it', () => {
    const taken = after(blank, { do: 'partsHere', with: { lines: [some('fuse', 5)], from: 'the shelf', shelf: true } });
    expect(taken.bought['fuse']!.shelf).toBe(5);
    expect(after(taken, { do: 'setBought', with: { key: 'fuse', set: { here: 3 } } }).bought['fuse']!.shelf).toBe(3);
    const back = after(taken, { do: 'giveBack', with: { key: 'fuse', here: 5, waiting: 0, shelf: true } });
    expect(back.bought['fuse']).toBeUndefined();
    const came = after(ordered, { do: 'partsHere', with: { lines: [some('fuse', 2)] } }, { do: 'giveBack', with: { key: 'fuse', here: 2, waiting: 0, shelf: true } });
    expect([came.bought['fuse']!.count, came.bought['fuse']!.shelf]).toEqual([0, -2]);
    expect(of(came, line('fuse', 2)).counts['to order']).toBe(1);
  });

  it('has prices by who asks them and when, taken and dropped line by line', () => {
    const taken = after(blank, {
      do: 'takePrices',
      with: {
        prices: [
          { key: 'lug', each: 2.5 },
          { key: 'fuse', each: 8 },
        ],
        from: 'Quandong',
        on: '2026-11-30',
      },
    });
    expect(taken.prices['lug']).toEqual({ each: 2.5, from: 'Quandong', on: '2026-11-30' });
    expect(Object.keys(after(taken, { do: 'dropPrices', with: { keys: ['lug'] } }).prices)).toEqual(['fuse']);
    expect(refusal(blank, { do: 'takePrices', with: { prices: [{ key: 'lug', each: 0 }], from: 'Quandong', on: '2026-11-30' } })).toMatch(/^prices/);
    expect(likeJob(taken, 'Lantern Street Cinema', true).prices).toEqual({});
    const old = structuredClone(blank);
    keepBought(old, taken);
    expect(old.prices).toEqual(taken.prices);
  });

  it('is refused in words that name the field', () => {
    expect(refusal(blank, { do: 'setBought', with: { key: 'lug', set: { count: 2 } } })).toBe('key: nothing of lug was ordered or taken from the shelf yet');
    expect(refusal(ordered, { do: 'setBought', with: { key: 'lug', set: { here: 9 } } })).toBe('here: 9, of 6 that were ordered; no more than those are accepted');
    expect(refusal(ordered, { do: 'giveBack', with: { key: 'lug', here: 1, waiting: 0 } })).toContain('here: 1, of 0 that are here');
    expect(refusal(ordered, { do: 'giveBack', with: { key: 'lug', here: 0, waiting: 7 } })).toContain('waiting: 7, of 6 on their way');
    expect(refusal(ordered, { do: 'orderParts', with: { lines: [], from: '' } })).toMatch(/^lines: /);
    expect(refusal(ordered, { do: 'orderParts', with: { lines: [some('lug', -1)] } })).toMatch(/^lines/);
  });

  it('belongs to the one job: a copy begins with nothing, and an older plan that comes back keeps it', () => {
    expect(likeJob(ordered, 'Lantern Street Cinema', true).bought).toEqual({});
    const old = structuredClone(blank);
    keepBought(old, ordered);
    expect(old.bought).toEqual(ordered.bought);
  });

  it('for several vehicles counts together', () => {
    const two = after(
      ordered,
      { do: 'addVehicle', with: { id: 'camper', vehicleKind: 'camper', name: 'camper' } },
      { do: 'orderParts', in: 'camper', with: { lines: [some('lug', 5)], due: '2026-12-09' } },
    );
    expect(allBought(two)['lug']).toEqual({ what: 'lug', unit: 'pc', count: 11, here: 0, from: 'Wirrabel Auto Parts', due: '2026-12-09', shelf: 0 });
    expect(two.bought['lug']!.count).toBe(6);
  });

  it('makes the stage of the order complete when nothing is left to order, for all vehicles of the job', () => {
    const rig = EXAMPLE_RIGS.find((r) => r.key === 'ute-and-trailer')!.design;
    const a = assessWhole(rig, catalogueOf(rig));
    const none = { ticked: new Set<string>(), read: new Set<string>() };
    const got = (share: number, in_: string): Design =>
      after(rig, { do: 'orderParts', in: in_, with: { lines: a.order.lines.map((l) => ({ key: l.key, what: l.what, unit: l.unit, count: share * l.quantity })) } });
    expect([rig, got(0.5, 'trailer'), got(1, 'trailer')].map((d) => stageProgress(d, a, none).order)).toEqual(['hollow', 'half', 'solid']);
  });

  it('whatever is ordered, comes and goes back: each line is counted once, and what is got is wanted or to spare', () => {
    const amount = fc.integer({ min: 0, max: 9 });
    fc.assert(
      fc.property(amount, amount, amount, (wanted, got, came) => {
        const asked = after(blank, { do: 'orderParts', with: { lines: [some('lug', got)] } });
        const d = came > 0 ? after(asked, { do: 'partsHere', with: { lines: [some('lug', came)] } }) : asked;
        const lines = wanted > 0 ? [line('lug', wanted)] : [];
        const b = of(d, ...lines);
        const [l, s] = [b.lines[0], b.spares[0]];
        const count = Math.max(got, came);
        expect(b.counts.here + b.counts.ordered + b.counts['to order']).toBe(lines.length);
        expect((l?.toOrder ?? 0) - ((s?.here ?? 0) + (s?.waiting ?? 0))).toBe(wanted - count);
      }),
      { numRuns: 200 },
    );
  });

  it('holds for a whole rig: ordered and come, nothing is left and nothing is to spare', () => {
    const rig = EXAMPLE_RIGS.find((r) => r.key === 'canopy-two-agm')!.design;
    const { order } = assess(rig, catalogueOf(rig));
    const lines = order.lines.map((l) => ({ key: l.key, what: l.what, unit: l.unit, count: l.quantity }));
    const got = after(rig, { do: 'orderParts', with: { lines, from: 'one', due: null } }, { do: 'partsHere', with: { lines } });
    const b = buyingOf(assess(got, catalogueOf(got)).order, got.bought, TODAY);
    expect([b.counts.here, b.spares, b.toOrderPrice]).toEqual([order.lines.length, [], 0]);
  });
});
