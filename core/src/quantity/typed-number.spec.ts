import { readTypedNumber } from './typed-number.js';

const length = { name: 'Length', unit: 'm', min: 0, max: 200 };

describe('a typed number', () => {
  const taken: [string, number][] = [
    ['6.4', 6.4],
    ['3,5 m', 3.5],
    ['  12 ', 12],
    ['640 cm', 6.4],
    ['900mm', 0.9],
    ['.5', 0.5],
  ];
  for (const [text, value] of taken) {
    it(`takes “${text}” as ${value} m`, () => {
      const read = readTypedNumber(text, length);
      expect(read.ok && Math.abs(read.value - value) < 1e-12).toBeTrue();
    });
  }

  for (const text of ['12V', '6 B&S', 'NaN', 'Infinity', '', 'abc', '-1', '1e9', '3 5', '--2', '0x10']) {
    it(`refuses “${text}” and names the field, what came and what is accepted`, () => {
      const read = readTypedNumber(text, length);
      expect(read.ok).toBeFalse();
      if (!read.ok) {
        expect(read.message).toContain('Length');
        expect(read.message).toContain(text.trim() || 'nothing');
        expect(read.message).toContain('from 0 to 200');
      }
    });
  }

  it('takes a related unit with its factor', () => {
    expect(readTypedNumber('1.4 kW', { name: 'Draw', unit: 'W' })).toEqual({ ok: true, value: 1400 });
    expect(readTypedNumber('30 min', { name: 'Runs', unit: 'h' })).toEqual({ ok: true, value: 0.5 });
  });

  it('refuses a fraction where a whole number is wanted', () => {
    expect(readTypedNumber('2.5', { name: 'Count', unit: '', integer: true }).ok).toBeFalse();
  });
});
