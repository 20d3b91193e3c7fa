import { assess } from '../../assess/index.js';
import { doCommands } from '../../commands/index.js';
import { blankDesign } from '../../design/index.js';
import { catalogueOf, PART_KINDS, SHIPPED_CATALOGUE } from '../catalogue.js';
import { changedSince, idFor, readOwnPart, PLATES } from './own.js';

const refusal = (raw: unknown): string => {
  const r = readOwnPart(raw);
  return r.ok ? 'taken' : r.message;
};
/** A plate of each kind, with nothing but what must be said. */
const LEAST: Readonly<Record<(typeof PART_KINDS)[number], object>> = {
  battery: { chemistry: 'agm', capacityAh: 135 },
  dcdc: { outputA: 30 },
  isolator: { ratedA: 120 },
  panel: { ratedW: 175, vocV: 23.4 },
  'solar-controller': { way: 'pwm', maxA: 15, maxV: 28 },
  'mains-charger': { outputA: 10 },
  inverter: { ratedW: 800 },
  maintainer: { outputA: 5 },
  meter: { reads: 'tank' },
  remote: { ownMa: 40 },
  relays: { outputs: 6, outputA: 10 },
  'fuse-block': { ways: 9 },
  switch: { ratedA: 200 },
  shunt: { ratedA: 350 },
  disconnect: { ratedA: 100 },
  hub: { ways: 10, barsA: 250 },
};

describe('a part of one’s own', () => {
  for (const kind of PART_KINDS) {
    it(`${kind}: is read from its plate’s figures alone; all else is a default, named as such`, () => {
      const r = readOwnPart({ kind, name: 'attic find', ...LEAST[kind] });
      if (!r.ok) throw new Error(r.message);
      expect(r.part).toEqual(jasmine.objectContaining({ kind, ...LEAST[kind] }));
      const said = [...Object.keys(LEAST[kind]), 'kind', 'name', 'id', 'special', 'assumed'];
      expect([...r.part.assumed!].sort()).toEqual(
        Object.keys(r.part)
          .filter((k) => !said.includes(k))
          .sort(),
      );
    });
    it(`${kind}: what it may have beside is of its sort as it is offered`, () => {
      for (const [key, usual] of Object.entries(PLATES[kind].has?.(LEAST[kind]) ?? {})) {
        const r = readOwnPart({ kind, name: 'attic find', ...LEAST[kind], [key]: usual });
        expect(r.ok ? (r.part as unknown as Record<string, unknown>)[key] : r.message)
          .withContext(key)
          .toEqual(usual);
      }
    });
    it(`${kind}: names each figure that is missing, and refuses nothing of it`, () => {
      for (const key of Object.keys(PLATES[kind].required)) {
        const { [key]: _, ...without } = LEAST[kind] as Record<string, unknown>;
        expect(refusal({ kind, name: 'attic find', ...without })).toMatch(new RegExp(`^${key}: nothing came; .+ accepted`));
        if (typeof (LEAST[kind] as Record<string, unknown>)[key] === 'number')
          expect(refusal({ kind, name: 'attic find', ...LEAST[kind], [key]: 0 })).toMatch(new RegExp(`^${key}: came 0; more than 0`));
      }
    });
  }

  it('copied from a shipped part keeps every figure', () => {
    for (const part of SHIPPED_CATALOGUE.parts) {
      const r = readOwnPart({ ...part, id: `own-${part.id}` });
      expect(r.ok && r.part)
        .withContext(part.id)
        .toEqual({ ...part, id: `own-${part.id}`, special: true });
    }
  });

  it('is refused where its figures contradict one another, or are none of its kind', () => {
    expect(refusal({ kind: 'mains-charger', name: 'x', outputA: 30, acW: 200 })).toBe('outputA: 30 A at 12 V are more than the 200 W it takes; an output below its input is accepted');
    expect(refusal({ kind: 'panel', name: 'x', ratedW: 100, vocV: 20, vmpV: 21 })).toContain('vmpV: 21 V is not below');
    expect(refusal({ kind: 'panel', name: 'x', ratedW: 100, vocV: 22, vmpV: 18, impA: 2, iscA: 3 })).toContain('ratedW: 100 W, but 18 V times 2 A are 36 W');
    expect(refusal({ kind: 'battery', name: 'x', chemistry: 'lfp', capacityAh: 100, continuousA: 100, peakA: 50 })).toContain('peakA: 50 A is below');
    expect(refusal({ kind: 'battery', name: 'x', chemistry: 'nickel', capacityAh: 100 })).toMatch(/^chemistry: came "nickel"; one of flooded/);
    expect(refusal({ kind: 'switch', name: 'x', ratedA: 100, colour: 'red' })).toContain('colour: not a figure of a switch; ratedA,');
    expect(refusal({ kind: 'boat', name: 'x' })).toMatch(/^kind: came "boat"; one of battery,/);
    expect(refusal({ kind: 'switch', name: ' ', ratedA: 100 })).toMatch(/^name: came " "; 1 to 80/);
    expect(refusal(7)).toMatch(/^part: came 7; an object/);
  });

  it('says what of it changed since, figure by figure, and nothing where it did not', () => {
    const part = SHIPPED_CATALOGUE.find('battery', 'bat-agm-100')!;
    expect(changedSince(part, structuredClone(part))).toEqual([]);
    expect(changedSince(part, { ...part, capacityAh: 110, mm: [330, 220, 180] })).toEqual(['capacityAh 100 → 110', 'mm [330,220,172] → [330,220,180]']);
  });

  it('has an id of its name where it has none', () => expect(idFor('Attic 135 Ah, “old”')).toBe('own-attic-135-ah-old'));
});

describe('a job with parts of its own', () => {
  const with135 = (change: object = {}) => {
    const done = doCommands(blankDesign('Nobody'), [
      { do: 'addPart', with: { kind: 'battery', name: 'attic 135', chemistry: 'agm', capacityAh: 135, ...change } },
      { do: 'setBatteries', with: { batteries: 'house', part: 'own-attic-135' } },
    ]);
    if (!done.ok) throw new Error(done.message);
    return done.design;
  };
  it('is reckoned with the data that stands in it, and says which figures are defaults', () => {
    const d = with135();
    const a = assess(d, catalogueOf(d));
    expect(a.supply.bank!.capacityAh).toBe(135);
    expect(a.open.find((f) => f.rule === 'part-assumed')!.values).toEqual(jasmine.objectContaining({ name: 'attic 135', many: 5 }));
    expect(a.open.some((f) => f.rule === 'part-unknown')).toBeFalse();
  });
  it('answers at once when a figure of it changes', () => {
    const [less, more] = [with135(), with135({ capacityAh: 170 })].map((d) => assess(d, catalogueOf(d)).supply.bank!.usableAh);
    expect(more! / less!).toBeCloseTo(170 / 135, 9);
  });
  it('is stopped by a part that nobody knows, which a press takes out', () => {
    const d = with135();
    d.parts = {};
    d.converters['charger']!.part = 'long-gone';
    const unknown = assess(d, catalogueOf(d)).open.filter((f) => f.rule === 'part-unknown');
    expect(unknown.map((f) => [f.at.about, f.severity, f.presses.length])).toEqual([
      ['charger', 'stop', 1],
      ['house', 'stop', 0],
    ]);
  });
});
