import { areaInWords, nameOfArea, nearestGauge, readCableName } from './name.js';
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

  for (const [typed, areas, says] of [
    ['70', [70], /70 mm² or a gauge, though there is no 70 B&S/],
    ['16', [16, 1.31], /16 mm² or 16 B&S \(1\.31 mm²\)/],
    ['25mm', [25, 201.8], /25 mm² of copper or 25 mm outside \(about 201\.8 mm²\)/],
    ['12 mm', [12, 37], /12 mm outside \(about 37 mm²\)/],
    ['6 gauge 25 mm2', [13.3, 25], /differ: 6 B&S is 13\.3 mm², 25 mm² is near 3 B&S/],
  ] as const)
    it(`asks which of two is meant by “${typed}”`, () => {
      const read = readCableName(typed);
      if (read.kind !== 'ambiguous') throw new Error(read.kind);
      expect(read.choices.map((c) => ('areaMm2' in c ? Math.round(c.areaMm2 * 100) / 100 : 0))).toEqual([...areas]);
      expect(read.message).toMatch(says);
      expect(read.message).toContain('Which one?');
    });

  it('takes one size in two names, and reads back what it prints', () => {
    expect(area('6 AWG (13.3 mm²)')).toBe(13.3);
    expect(nameOfArea(gaugeAreaMm2('12')!)).toBe('12 B&S (3.31 mm²)');
    expect(area(nameOfArea(gaugeAreaMm2('12')!))).toBe(3.31);
    expect([nameOfArea(16), areaInWords(gaugeAreaMm2('12')!)]).toEqual(['16 mm²', '12 B&S (3.31 mm²)']);
  });

  for (const typed of ['', 'thick', '0 mm²', '7 V', '5/0', '-2 mm2', '9mm auto']) {
    it(`does not take “${typed}”, and says what it takes`, () => {
      const read = readCableName(typed);
      expect(read.kind).toBe('unknown');
      if (read.kind === 'unknown') expect(read.message).toContain('16 mm²');
    });
  }

  it('knows each gauge by its own area', () => expect(GAUGES.map((g) => nearestGauge(gaugeAreaMm2(g)!))).toEqual([...GAUGES]));
  it('shows the other counter’s name', () => expect(areaInWords(35)).toBe('35 mm² (about 2 B&S)'));
});
