import { memoize } from './index.js';

describe('results kept by content', () => {
  it('are worked out once for what is alike, and again once too many were kept', () => {
    let worked = 0;
    const twice = memoize(
      2,
      (x: { readonly n: number }) => `${x.n}`,
      (x) => {
        worked++;
        return { n: 2 * x.n };
      },
    );
    expect(twice({ n: 3 })).toBe(twice({ n: 3 }));
    expect([worked, twice({ n: 4 }).n, worked]).toEqual([1, 8, 2]);
    twice({ n: 5 });
    expect(twice({ n: 3 })).toEqual({ n: 6 });
    expect(worked).toBe(4);
  });
});
