import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import type { Design } from '../design/index.js';
import { Session } from '../quantity/index.js';
import { assess, type Assessment } from './assess.js';

const demo = (): Design => structuredClone(DEMO_JOBS.find((j) => j.key === 'vet')!.design);
/** Something of the design moved by so many millimetres on its face. */
function moved(design: Design, a: Assessment, id: string, mm: number): Design {
  const g = a.gear.find((x) => x.id === id)!;
  return { ...design, places: { ...design.places, [g.id]: { zone: g.zone, on: { face: g.face, u: g.u + mm, v: g.v, turn: g.turn }, when: g.when } } };
}

describe('sizes that are kept while gear is dragged', () => {
  const design = demo();
  const session = new Session();
  const first = assess(design, SHIPPED_CATALOGUE, { session });
  it('are those of the design worked out anew, at every step of the way', () => {
    const { id } = first.gear.find((g) => g.role === 'charger')!;
    for (let mm = 0; mm <= 400; mm += 40) {
      const there = moved(design, first, id, mm);
      const [kept, anew] = [assess(there, SHIPPED_CATALOGUE, { session }), assess(there, SHIPPED_CATALOGUE)];
      expect(kept.runs).toEqual(anew.runs);
      expect(kept.prove).toEqual(anew.prove);
    }
  });
  it('follow what is typed of a run, its place in another compartment, and what waits', () => {
    const [{ spec }] = first.runs.filter((r) => r.ok && r.spec.group === 'loads') as [Assessment['runs'][number]];
    const load = first.gear.find((g) => g.role === 'load')!;
    const other = first.gear.find((g) => g.zone !== load.zone)!;
    for (const change of [
      (d: Design) => void (d.runs[spec.id] = { areaMm2: 16 }),
      (d: Design) => void (d.runs[spec.id] = { fuseA: 7.5 }),
      (d: Design) => void (d.places[load.id] = { zone: other.zone, on: null, when: 'now' }),
      (d: Design) => void (d.places[load.id] = { zone: load.zone, on: null, when: 'later' }),
    ]) {
      const d = demo();
      change(d);
      expect(assess(d, SHIPPED_CATALOGUE, { session }).runs).toEqual(assess(d, SHIPPED_CATALOGUE).runs);
    }
  });
});
