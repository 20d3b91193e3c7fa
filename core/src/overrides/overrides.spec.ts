import { assess } from '../assess/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import type { Design } from '../design/index.js';
import { withFixedParts } from '../supply-options/index.js';
import { manualOverrides } from './overrides.js';

const demo = (key: string): Design => structuredClone(DEMO_JOBS.find((j) => j.key === key)!.design);

describe('what a person said', () => {
  it('stands beside what the draft would have done, field by field', () => {
    const d = demo('vet');
    d.runs = { 'bus-block': { areaMm2: 25, fuseA: 60 } };
    d.places = {};
    const drafted = assess({ ...d, runs: {} }, SHIPPED_CATALOGUE).runs.find((r) => r.spec.id === 'bus-block')!;
    if (!drafted.ok) throw new Error(drafted.error);
    expect(manualOverrides(d, SHIPPED_CATALOGUE).map((k) => [k.what, k.kept, k.drafted])).toEqual([
      ['size', '25 mm² (about 3 B&S)', drafted.figures.cable],
      ['fuse', '60 A', `${drafted.figures.fuseA} A`],
    ]);
  });

  it('says what else is as it is because of a size or fuse that was typed', () => {
    const d = demo('bees');
    d.runs = { 'bus-block': { fuseA: 40, areaMm2: 16 } };
    d.places = {};
    const fuse = manualOverrides(d, SHIPPED_CATALOGUE).find((k) => k.what === 'fuse')!;
    expect(fuse.also.length).toBeGreaterThan(0);
    expect(fuse.also[0]).toMatch(/^run \d+: fuse .* → /);
    // A length moves others too, but that is what a length is for.
    d.runs = { 'bus-block': { outM: 1.1 } };
    expect(manualOverrides(d, SHIPPED_CATALOGUE)[0]!.also).toEqual([]);
  });

  it('has words for every field, and is what the run then has', () => {
    const d = demo('vet');
    d.places = {};
    d.runs = { 'bus-block': { outM: 2.2, backM: 2.5, laid: 'conduit', grouped: 3, ambientC: 60, via: [], avoid: [], back: 'cable', spares: 2, protect: 'breaker, manual reset', poled: true } };
    const kept = manualOverrides(d, SHIPPED_CATALOGUE);
    expect(kept.length).toBe(11);
    expect(kept.map((k) => k.kept)).toEqual(jasmine.arrayContaining(['2.2 m', '2.5 m', 'in conduit', '3 together', '60 °C', 'by its own cable', '2', 'a breaker, manual reset', 'one direction']));
    expect(kept.every((k) => k.drafted.length > 0 && !/undefined|NaN/.test(k.drafted))).toBeTrue();
  });

  it('is a place as well', () => {
    const d = demo('vet');
    d.places = { charger: { zone: 'cab', on: null, when: 'now' } };
    d.runs = {};
    const [only] = manualOverrides(d, SHIPPED_CATALOGUE);
    expect([only!.what, only!.kept.startsWith('cab')]).toEqual(['place', true]);
    expect(only!.drafted).not.toBe(only!.kept);
  });

  it('stays when the supply is drafted anew', () => {
    const d = demo('vet');
    const next = withFixedParts({ ...d, settings: { ...d.settings, boardSchool: 'hub board' } }, SHIPPED_CATALOGUE);
    expect([next.runs, next.places]).toEqual([d.runs, d.places]);
    const before = new Set(manualOverrides(d, SHIPPED_CATALOGUE).map((k) => JSON.stringify(k.of)));
    for (const k of manualOverrides(next, SHIPPED_CATALOGUE)) expect(before.has(JSON.stringify(k.of))).toBeTrue();
  });

  it('is nothing where nobody said anything', () => expect(manualOverrides({ ...demo('bees'), runs: {}, places: {} }, SHIPPED_CATALOGUE)).toEqual([]));
});
