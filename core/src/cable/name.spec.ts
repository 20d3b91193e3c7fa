import { areaInWords, nearestGauge, readCableName } from './name.js';
import { gaugeAreaMm2, GAUGES } from './sizes.js';

const area = (typed: string): number | null => {
  const read = readCableName(typed);
  return 'areaMm2' in read ? Math.round(read.areaMm2 * 100) / 100 : null;
};

describe('the name of a cable', () => {
  const taken: [string, number][] = [
    ['16 mm²', 16],
    ['16mm2', 16],
    ['2,5 mm2', 2.5],
    ['6 B&S', 13.3],
    ['6 AWG', 13.3],
    ['2/0', 67.43],
    ['00', 67.43],
    ['0', 53.48],
    ['1/0 awg', 53.48],
    ['5mm auto', 2.9],
    ['6 mm auto', 4.6],
  ];
  for (const [typed, areaMm2] of taken) it(`reads “${typed}” as ${areaMm2} mm²`, () => expect(area(typed)).toBe(areaMm2));

  it('asks about “6mm” instead of guessing', () => {
    const read = readCableName('6mm');
    expect(read.kind).toBe('ambiguous');
    if (read.kind === 'ambiguous') {
      expect(read.choices.map((c) => ('areaMm2' in c ? c.areaMm2 : 0))).toEqual([6, 4.6]);
      expect(read.message).toContain('Which one?');
    }
  });

  for (const typed of ['', 'thick', '0 mm²', '16', '7 V', '5/0', '-2 mm2', '9mm auto']) {
    it(`does not take “${typed}”, and says what it takes`, () => {
      const read = readCableName(typed);
      expect(read.kind).toBe('unknown');
      if (read.kind === 'unknown') expect(read.message).toContain('16 mm²');
    });
  }

  it('knows each gauge by its own area', () => expect(GAUGES.map((g) => nearestGauge(gaugeAreaMm2(g)!))).toEqual([...GAUGES]));
  it('shows the other counter’s name', () => expect(areaInWords(35)).toBe('35 mm² (about 2 B&S)'));
});
