import { clearingTimes } from './clearing.js';
import { FUSE_KINDS, FUSE_TYPES } from './kinds.js';
import { sizeRun, trySize, type SizingInput } from './size-run.js';
import { judgeFault, kFactor } from './withstand.js';

const base: SizingInput = {
  outM: 3,
  backM: 3,
  currentA: 20,
  insulationC: 105,
  ambientC: 30,
  grouped: 1,
  laid: 'air',
  contactsMilliohm: 1,
  tinned: false,
  dropLimitPercent: 3,
  nominalV: 12,
  series: 'metric',
  fuseType: 'blade',
  minAreaMm2: 1,
  connectorA: null,
};

describe('fuses by their gates', () => {
  for (const type of FUSE_TYPES) {
    it(`a ${FUSE_KINDS[type].name} stands at each published gate`, () => {
      for (const [multiple, fastS, slowS] of FUSE_KINDS[type].envelope) {
        const t = clearingTimes(type, 100, 100 * multiple);
        expect(t.fastS).toBeCloseTo(fastS, 9);
        if (slowS === null) expect(t.slowS).toBe(Infinity);
        else expect(t.slowS).toBeCloseTo(slowS, 9);
      }
    });
    it(`a ${FUSE_KINDS[type].name} holds its let-through beyond the last gate`, () => {
      const last = FUSE_KINDS[type].envelope.at(-1)!;
      const [near, far] = [clearingTimes(type, 100, 100 * last[0]), clearingTimes(type, 100, 200 * last[0])];
      expect(far.fastS * 4).toBeCloseTo(near.fastS, 9);
    });
  }

  it('between a gate that is never and the next, the slow edge is never', () => expect(clearingTimes('blade', 10, 12).slowS).toBe(Infinity));
  it('k falls with the insulation’s own heat, and rises where it may get hotter', () => {
    expect(kFactor(70)).toBeCloseTo(115.0, 1);
    expect(kFactor(105)).toBeLessThan(kFactor(90));
    expect(kFactor(125)).toBeGreaterThan(kFactor(70));
  });
  it('a thin wire behind a big fuse does not outlast a short', () => {
    const fault = { fuseType: 'large-bolt-in', ratingA: 200, faultMinA: 1200, faultMaxA: 2000, insulationC: 105 } as const;
    expect([judgeFault({ ...fault, areaMm2: 4 }).cableSurvives, judgeFault({ ...fault, areaMm2: 50 }).cableSurvives]).toEqual([false, true]);
  });
  it('a short too small for its fuse is not called cleared', () =>
    expect(judgeFault({ fuseType: 'blade', ratingA: 30, faultMinA: 40, faultMaxA: 400, areaMm2: 6, insulationC: 105 }).clearsIn5s).toBeFalse());
});

describe('the walk up the series', () => {
  it('says what decided: the smallest allowed, heat, drop, or both', () => {
    const by = (change: Partial<SizingInput>): string => {
      const r = sizeRun({ ...base, ...change });
      return r.ok ? r.boundBy : r.error;
    };
    expect(by({ currentA: 1, outM: 0.5, backM: 0.5 })).toBe('minimum');
    expect(by({ outM: 0.3, backM: 0.3 })).toBe('heat');
    expect(by({ outM: 8, backM: 8 })).toBe('drop');
  });
  it('finds no fuse, no cable, no root, no cool place', () => {
    const error = (change: Partial<SizingInput>): string | null => {
      const r = sizeRun({ ...base, ...change });
      return r.ok ? null : r.error;
    };
    expect(error({ currentA: 20, connectorA: 15 })).toBe('window-closed');
    expect(error({ outM: 300, backM: 300 })).toBe('no-cable-size');
    expect(error({ ambientC: 110 })).toBe('too-hot');
    const { currentA: _, ...withoutA } = base as SizingInput & { currentA: number };
    const r = sizeRun({ ...withoutA, powerW: 5000, sourceV: 12, outM: 30, backM: 30, series: 'metric', fuseType: 'class-t' } as SizingInput);
    expect(r.ok ? null : r.error).toBe('no-operating-point');
  });
  it('keeps every size it tried, in order, when none will do', () => {
    const r = sizeRun({ ...base, outM: 300, backM: 300 });
    expect(!r.ok && r.tried.length).toBe(13);
  });
  it('shows the size below even where it is not allowed', () => {
    const r = sizeRun({ ...base, currentA: 1, minAreaMm2: 4, outM: 0.5, backM: 0.5 });
    expect(r.ok && [r.size, r.below?.size.size]).toEqual(['4 mm²', '2.5 mm²']);
  });
  it('tries one size as asked', () => {
    const t = trySize({ size: '1 mm²', areaMm2: 1 }, base);
    expect([t.meetsHeat, t.meetsDrop, t.fuseA]).toEqual([false, false, 25]);
  });
});
