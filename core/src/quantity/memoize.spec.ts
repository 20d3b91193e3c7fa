import { keepLastFor, memoize } from './index.js';

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

describe('the last results kept by what matters', () => {
  const asked: number[][] = [];
  const sum = keepLastFor(
    2,
    ({ of }: { readonly of: readonly number[]; readonly note: string }) => of,
    (owner: { readonly times: number }, { of }) => {
      asked.push([...of]);
      return owner.times * of.reduce((a, b) => a + b, 0);
    },
  );
  const twice = { times: 2 };
  beforeEach(() => (asked.length = 0));

  it('are met again by what is equal, whatever else was asked', () => {
    expect([sum(twice, { of: [1, 2], note: 'a' }), sum(twice, { of: [1, 2], note: 'b' }), asked.length]).toEqual([6, 6, 1]);
  });
  it('are not met again when what was asked has been changed in place', () => {
    const of = [4, 5];
    sum(twice, { of, note: '' });
    of[0] = 6;
    expect(sum(twice, { of, note: '' })).toBe(22);
  });
  it('hang on their owner, and at most so many are kept', () => {
    expect(sum({ times: 3 }, { of: [1, 2], note: '' })).toBe(9);
    for (const n of [1, 2, 3, 1]) sum(twice, { of: [n], note: '' });
    expect(asked.length).toBe(5);
  });
});
