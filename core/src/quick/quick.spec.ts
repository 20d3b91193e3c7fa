import { quickAnswer } from './index.js';
import { readQuestion } from './question.js';

const says = (typed: string, assumed = {}): string => quickAnswer(typed, assumed)!.says;
const all = (typed: string, assumed = {}): string => {
  const a = quickAnswer(typed, assumed)!;
  return [a.asked, a.says, ...a.more].join(' | ');
};

describe('a question as it is typed', () => {
  it('is read as quantities and words, however they are written', () => {
    expect(readQuestion('40A 6m')).toEqual(jasmine.objectContaining({ amp: 40, metre: 6, areaMm2: null, volt: null }));
    expect(readQuestion('6,5 m  16mm² 25 amps')).toEqual(jasmine.objectContaining({ amp: 25, metre: 6.5, areaMm2: 16 }));
    expect(readQuestion('hole 3 x 16 mm2')).toEqual(jasmine.objectContaining({ times: 3, areaMm2: 16, metre: null }));
    expect(readQuestion('1.5 kW inverter')).toEqual(jasmine.objectContaining({ watt: 1500, words: new Set(['inverter']) }));
    expect(readQuestion('2/0 awg 2 m')).toEqual(jasmine.objectContaining({ gauge: '2/0', metre: 2 }));
  });

  it('that is none has no answer', () => {
    for (const typed of ['', 'loads', 'run 4', 'main switch', '6 m', '40 A', 'boil', 'inverter', '0 A 6 m', 'fridge 45 W']) expect(quickAnswer(typed)).withContext(typed).toBeNull();
  });
});

describe('a quick answer', () => {
  it('gives cable, fuse and what is lost, with the sizes beside it', () => {
    expect(says('40 A 6 m')).toBe('16 mm², 60 A fuse, 0.58 V lost, 4.8 %');
    expect(all('40 A 6 m')).toContain('10 mm² would lose 0.92 V; 25 mm² would lose 0.37 V');
    expect(all('40 A 6 m')).toContain('in a 70 °C engine bay: 16 mm², 60 A fuse');
    expect(says('40 A 6 m', { dropPercent: 3 })).toMatch(/^35 mm²/);
    expect(says('40 A 6 m', { series: 'gauge' })).toBe('4 B&S (21.15 mm²), 60 A fuse, 0.41 V lost, 3.4 %');
    expect(says('480 W 6 m')).toBe(says('40 A 6 m'));
    expect(says('400 A 20 m')).toBe('no stocked cable does it');
  });

  it('is what the trade fits for what is small', () => expect(says('3 A 3 m')).toMatch(/^1\.5 mm², 5 A fuse/));

  it('takes volts of the system that are typed, unless another is pressed', () => {
    expect(says('40 A 6 m 24 V')).toMatch(/^10 mm²/);
    expect(says('40 A 6 m 24 V', { nominalV: 12 })).toMatch(/^16 mm²/);
  });

  it('says what arrives at the end of a cable, and when that is too much for it', () => {
    expect(says('16 mm2 6 m 25A')).toBe('11.64 V of 12 arrive: 0.36 V lost, 3.0 %');
    expect(all('1.5 mm2 1 m 60 A')).toContain('too much: it carries');
  });

  it('turns a gauge into copper and outside, and back', () => {
    expect(says('6 gauge')).toBe('13.3 mm², about 8.3 mm outside');
    expect(says('16 mm2')).toContain('6 B&S is nearest');
  });

  it('reads a battery’s volts by both charts, and refuses where they do not tell', () => {
    expect(says('12.45 V agm')).toBe('62 % rested four hours, 80 % lightly loaded');
    expect(says('24.9 V agm')).toBe(says('12.45 V agm'));
    expect(says('13.2 V lithium')).toContain('volts do not tell');
  });

  it('says what an inverter asks of cable and battery', () => {
    expect(says('1500 W inverter')).toMatch(/^149 A at 11 V; 50 mm², 200 A fuse/);
    expect(all('1500 W inverter')).toContain('about 150 Ah');
    expect(all('1500 W inverter', { chemistry: 'agm' })).toContain('about 750 Ah of AGM');
  });

  it('says what heat and cold cost a day', () => {
    expect(says('boil 2 l')).toBe('20.2 Ah of 12 V, 243 Wh, in 9 min');
    expect(quickAnswer('boil 2 l')!.load).toEqual(jasmine.objectContaining({ supply: 'mains', draw: { by: 'plate', unit: 'W', value: 1500 }, use: { by: 'hours', hours: 0.15 } }));
    expect(quickAnswer('boil 0 l')).toBeNull();
    expect(says('fridge 45 W 33 %')).toBe('29.7 Ah a day at 12 V, 356 Wh');
    expect(quickAnswer('fridge 45 W 33 %')!.load).toEqual(jasmine.objectContaining({ name: 'fridge 45 W', purpose: 'fridge', use: { by: 'fridge', duty25: 0.33, insideC: 4 } }));
  });

  it('gives the saw for a bundle', () => {
    expect(says('hole 3x16mm2')).toBe('22 mm saw, gland or grommet for 18 mm');
    expect(says('hole 12x70mm2')).toMatch(/^no saw: .*two holes$/);
  });

  it('has chips that go round their choices and come back', () => {
    let assumed = {};
    const first = quickAnswer('40 A 6 m')!;
    for (const chip of first.chips) expect(quickAnswer('40 A 6 m', chip.next)!.chips.find((c) => c.id === chip.id)!.words).not.toBe(chip.words);
    for (let n = 0; n < 3; n++) assumed = { ...assumed, ...quickAnswer('40 A 6 m', assumed)!.chips.find((c) => c.id === 'ambientC')!.next };
    expect(quickAnswer('40 A 6 m', assumed)).toEqual(first);
  });
});
