import { amps, faultCurrent, figure, rating } from './format.js';

describe('printed figures', () => {
  it('use a real minus sign, but none before a zero', () => {
    expect(figure(-1.25, 1)).toBe('−1.3');
    expect(figure(-0.01, 1)).toBe('0.0');
  });
  it('say never for infinity and a dash for nothing', () => {
    expect(figure(Infinity)).toBe('never');
    expect(figure(null)).toBe('–');
    expect(figure(NaN)).toBe('–');
  });
  it('show amps as a clamp meter does', () => expect([4.861, 48, 171.4].map(amps)).toEqual(['4.86', '48.0', '171']));
  it('show ratings and shorts plainly', () => {
    expect(rating(7.5)).toBe('7.5');
    expect([640, 6140].map(faultCurrent)).toEqual(['640 A', '6.1 kA']);
  });
});
