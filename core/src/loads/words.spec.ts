import { readWhen, useText, whenText } from './words.js';

describe('the words of the load table', () => {
  it('show duty in per cent and hours in hours', () => expect([useText({ by: 'duty', duty: 0.35 }), useText({ by: 'hours', hours: 1 / 3 })]).toEqual(['35 %', '0.33 h']));
  it('show hours of the day', () =>
    expect(
      whenText({
        at: 'hours',
        spans: [
          [7, 8],
          [18.5, 22],
        ],
      }),
    ).toBe('7–8, 18.5–22'));
  it('read words and hours', () => {
    expect(readWhen('Evening')).toEqual({ ok: true, value: { at: 'evening' } });
    expect(readWhen('7-9, 18 to 22')).toEqual({
      ok: true,
      value: {
        at: 'hours',
        spans: [
          [7, 9],
          [18, 22],
        ],
      },
    });
  });
  it('split a span over midnight', () =>
    expect(readWhen('22-6')).toEqual({
      ok: true,
      value: {
        at: 'hours',
        spans: [
          [22, 24],
          [0, 6],
        ],
      },
    }));
  for (const text of ['', 'sometimes', '7', '9-9', '20-25']) {
    it(`do not take “${text}”, and say what they take`, () => {
      const read = readWhen(text);
      expect(!read.ok && read.message.includes('hours such as 7-9')).toBeTrue();
    });
  }
});
