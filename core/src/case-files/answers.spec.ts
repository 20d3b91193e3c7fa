import { answer, type Question } from './answer.js';
import { FORMULAS } from './formulas.js';

const size = {
  outM: 3,
  backM: 3,
  currentA: 20,
  insulationC: 105,
  ambientC: 30,
  grouped: 1,
  dropLimitPercent: 3,
  nominalV: 12,
  series: 'metric',
  fuseType: 'blade',
  minAreaMm2: 1,
  laid: 'air',
  contactsMilliohm: 1,
  tinned: false,
};
const message = (question: Question, input: unknown, formula?: string): string => {
  const a = answer(question, input, formula);
  return a.ok ? 'answered' : a.message;
};

describe('an answer on the command line', () => {
  it('is given where the input is whole', () => expect(message('size', size)).toBe('answered'));

  const bad: [string, Question, object, RegExp][] = [
    ['a missing field', 'size', { ...size, nominalV: undefined }, /^nominalV: got nothing;/],
    ['a word for a number', 'size', { ...size, outM: '3 m' }, /^outM: got "3 m";/],
    ['an insulation that is none', 'size', { ...size, insulationC: 100 }, /^insulationC: got 100;/],
    ['a negative length', 'size', { ...size, outM: -1 }, /^outM: got -1;/],
    ['neither current nor power', 'size', { ...size, currentA: undefined }, /^currentA: got nothing; currentA, or powerW with sourceV/],
    ['an unknown fuse', 'fuse', { fuseType: 'wire', ratingA: 5, faultMinA: 1, faultMaxA: 2, areaMm2: 1, insulationC: 90 }, /^fuseType: got "wire";/],
    ['a resistance of 0', 'solve', { ground: 'g', nodes: ['a'], resistors: [{ id: 'r', a: 'a', b: 'g', ohm: 0 }], sources: [] }, /^resistors\.0\.ohm: got 0; a resistance above 0 ohm/],
    [
      'two of one name',
      'solve',
      { ground: 'g', nodes: ['a'], resistors: [{ id: 'r', a: 'a', b: 'g', ohm: 1 }], sources: [{ id: 'r', plus: 'a', minus: 'g', volt: 12, ohm: 1 }] },
      /^sources\.0\.id: got "r"; an id that no other/,
    ],
    ['a load of 0 ohm', 'solve', { ground: 'g', nodes: ['a'], resistors: [], sources: [], loads: [{ id: 'l', plus: 'a', minus: 'g', kind: 'resistance', value: 0 }] }, /^loads\.0\.value: got 0;/],
    ['a trip of no days', 'trip', { days: 0, battery: { chemistry: 'agm', capacityAh: 100, startSoc: 1, ambientC: 20 }, loads: [], cutoff: { openV: 12, closeV: 13 } }, /^days: got 0;/],
    [
      'a duty above one',
      'trip',
      { days: 1, battery: { chemistry: 'agm', capacityAh: 100, startSoc: 1, ambientC: 20 }, loads: [{ id: 'x', kind: 'power', value: 1, duty: 2, hours: [] }], cutoff: { openV: 12, closeV: 13 } },
      /^loads\.0\.duty: got 2;/,
    ],
    [
      'a chemistry that is none',
      'trip',
      { days: 1, battery: { chemistry: 'potato', capacityAh: 100, startSoc: 1, ambientC: 20 }, loads: [], cutoff: { openV: 12, closeV: 13 } },
      /^battery\.chemistry: got "potato";/,
    ],
  ];
  for (const [what, question, input, want] of bad) it(`refuses ${what}, with the field and what came`, () => expect(message(question, input)).toMatch(want));

  it('refuses copper-clad aluminium for sizing', () => expect(answer('size', { ...size, material: 'copper-clad aluminium' })).toEqual({ ok: true, result: { error: 'material-refused' } }));
  it('names the formulas it knows', () => expect(message('formula', {}, 'magic')).toContain(Object.keys(FORMULAS)[0]!));
  it('names the field of a formula', () => expect(message('formula', { duty25: 3, tempC: 20 }, 'fridgeDuty')).toMatch(/^duty25: got 3;/));
  it('gives the reason where a circuit has no solution', () => {
    const circuit = { ground: 'g', nodes: ['p', 'x'], resistors: [], sources: [{ id: 's', plus: 'p', minus: 'g', volt: 12, ohm: 0.01 }] };
    expect(answer('solve', circuit)).toEqual({ ok: true, result: { error: 'floating-node', at: ['x'] } });
    expect(answer('solve', { ...circuit, loads: [{ id: 'lamp', plus: 'g', minus: 'x', kind: 'power', value: 5 }] })).toEqual({
      ok: true,
      result: { error: 'floating-node', at: ['x'] },
      remarks: ['lamp has no return: nothing joins x to g'],
    });
  });
});
