import { handleMoved, joinSpans, moveSpan, snapHour, withoutSpan } from './span-edit';

describe('hours drawn by hand', () => {
  it('snap to half hours', () => expect([6.1, 6.26, 6.74].map(snapHour)).toEqual([6, 6.5, 6.5]));
  it('that touch become one, and empty ones go', () =>
    expect(
      joinSpans([
        [9, 12],
        [6, 9],
        [3, 3],
        [11, 13],
        [20, 24],
      ]),
    ).toEqual([
      [6, 13],
      [20, 24],
    ]));
  it('stay within the day when moved', () => {
    expect(moveSpan([[20, 23]], 0, 5)).toEqual([[21, 24]]);
    expect(moveSpan([[2, 4]], 0, -5)).toEqual([[0, 2]]);
  });
  it('never have an end pass the other', () => {
    expect(handleMoved([[6, 9]], 0, 0, 11)).toEqual([[8.5, 9]]);
    expect(handleMoved([[6, 9]], 0, 1, 2)).toEqual([[6, 6.5]]);
  });
  it('are taken off one by one', () =>
    expect(
      withoutSpan(
        [
          [1, 2],
          [3, 4],
        ],
        0,
      ),
    ).toEqual([[3, 4]]));
});
