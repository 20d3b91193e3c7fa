import fc from 'fast-check';
import { clearingTimes, discrimination, FUSE_KINDS, FUSE_TYPES, neededRatio, timeCurrentBand, type FuseInPath } from './index.js';

const fuse = fc.constantFrom(...FUSE_TYPES).chain((type) => fc.constantFrom(...FUSE_KINDS[type].sizesA).map((ratingA): FuseInPath => ({ type, ratingA })));

describe('which of two fuses opens first', () => {
  it('is the smaller blade before a much bigger bolt-in, at every current', () =>
    expect(discrimination({ type: 'blade', ratingA: 10 }, { type: 'small-bolt-in', ratingA: 100 }, 10, 900).holds).toBeTrue());

  it('is not certain between neighbours of one kind', () => {
    const d = discrimination({ type: 'terminal-post', ratingA: 75 }, { type: 'terminal-post', ratingA: 100 }, 75, 3000);
    expect(d.holds).toBeFalse();
    expect(d.failsAtA!).toBeGreaterThanOrEqual(75);
  });

  it('is never each before the other', () =>
    fc.assert(
      fc.property(fuse, fuse, fc.double({ min: 1.5, max: 40, noNaN: true }), (a, b, times) => {
        const from = Math.max(a.ratingA, b.ratingA) * 1.4;
        const both = discrimination(a, b, from, from * times).holds && discrimination(b, a, from, from * times).holds;
        // Only where neither ever opens is there nothing to be first at.
        const opens = [a, b].some((f) => Number.isFinite(clearingTimes(f.type, f.ratingA, from * times).slowS));
        expect(both && opens).toBeFalse();
      }),
    ));

  it('holds where it is said to: at any current of the range the far one is done before the near one may begin', () =>
    fc.assert(
      fc.property(fuse, fuse, fc.double({ min: 1, max: 60, noNaN: true }), fc.double({ min: 0, max: 1, noNaN: true }), (far, near, times, share) => {
        const [from, to] = [far.ratingA, far.ratingA * times];
        if (!discrimination(far, near, from, to).holds) return;
        const at = from * (to / from) ** share;
        const [slow, fast] = [clearingTimes(far.type, far.ratingA, at).slowS, clearingTimes(near.type, near.ratingA, at).fastS];
        expect(slow < fast || fast === Infinity).toBeTrue();
      }),
    ));

  it('needs about three to one of one kind, and more into a high-breaking one', () => {
    expect(neededRatio('terminal-post', 'terminal-post')).toBeCloseTo(3.2, 1);
    expect(neededRatio('class-t', 'terminal-post')).toBeGreaterThan(6);
    expect(neededRatio('terminal-post', 'blade')).toBeLessThan(2);
  });
});

describe('a time–current band', () => {
  it('goes down as the current goes up, the slow edge above the fast', () => {
    for (const type of FUSE_TYPES) {
      const band = timeCurrentBand(type, 100, 5000);
      for (const [i, p] of band.entries()) {
        expect((p.slowS ?? Infinity) >= (p.fastS ?? Infinity))
          .withContext(`${type} ${p.amp}`)
          .toBeTrue();
        const before = band[i - 1];
        if (before) expect((p.slowS ?? Infinity) <= (before.slowS ?? Infinity) && p.amp > before.amp).toBeTrue();
      }
    }
  });
});
