import { readOwnPart, SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { partsCsv, readPartsFile } from './parts-file.js';

const refusal = (text: string): string => {
  const r = readPartsFile(text);
  return r.ok ? 'taken' : r.message;
};

describe('a file of data sheets', () => {
  it('is read from CSV by its headings, with sizes, words and figures inside others', () => {
    const r = readPartsFile(
      [
        'kind,name,outputA,coldLock,profiles,mm,sunInput.maxV,sunInput.maxA,sunInput.way',
        'dcdc,shed charger 30,30,yes,agm|lfp,190x120x50,32,25,sun first',
        '"mains-charger","bench charger, old",10,,,,,,',
      ].join('\n'),
    );
    if (!r.ok) throw new Error(r.message);
    expect(r.parts.map((p) => [p.kind, p.name])).toEqual([
      ['dcdc', 'shed charger 30'],
      ['mains-charger', 'bench charger, old'],
    ]);
    expect(r.parts[0]).toEqual(jasmine.objectContaining({ outputA: 30, coldLock: true, profiles: ['agm', 'lfp'], mm: [190, 120, 50], sunInput: { maxV: 32, maxA: 25, way: 'sun first' } }));
  });
  it('is read from JSON, one or many', () => {
    const one = { kind: 'battery', name: 'attic 135', chemistry: 'agm', capacityAh: 135 };
    for (const text of [JSON.stringify(one), JSON.stringify([one])]) {
      const r = readPartsFile(text);
      expect(r.ok && r.parts.map((p) => p.id)).toEqual(['own-attic-135']);
    }
  });
  it('written by us is read back as it was, every shipped part of it', () => {
    const r = readPartsFile(partsCsv(SHIPPED_CATALOGUE.parts));
    if (!r.ok) throw new Error(r.message);
    for (const [i, part] of SHIPPED_CATALOGUE.parts.entries()) {
      const whole = readOwnPart(part);
      const { assumed: _, ...read } = r.parts[i]!;
      expect(whole.ok && whole.part)
        .withContext(part.id)
        .toEqual(read as never);
    }
  });
  it('is refused whole, with the part, the field, what came and what is accepted', () => {
    expect(refusal('kind,name,chemistry,capacityAh\nbattery,a,agm,100\nbattery,b,agm,0')).toBe('part 2: capacityAh: came 0; more than 0 Ah is accepted');
    expect(refusal('kind,name\nsofa,a')).toMatch(/^part 1: kind: came "sofa"; one of battery/);
    expect(refusal('{"kind": ')).toMatch(/^file: not JSON/);
    expect(refusal('')).toMatch(/^file: no data sheet in it/);
    expect(refusal('kind,name,ratedA\nswitch,a')).toMatch(/^line 2: Too few fields/);
  });
});
