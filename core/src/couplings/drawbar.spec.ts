import { catalogueOf } from '../catalogue/index.js';
import { OWN, type Design } from '../design/index.js';
import { after } from '../testing/commanded.js';
import { EXAMPLE_RIGS } from '../testing/rigs.js';
import { assessIn, inJob, patchOfJob } from './index.js';

const job = EXAMPLE_RIGS.find((r) => r.key === 'truck-and-caravan')!.design;
const catalogue = catalogueOf(job);
const weights = (d: Design, id: string) => assessIn(d, id, catalogue).layout.weights;
const drawbarKg = (d: Design): number => weights(d, 'caravan').flatMap((c) => c.supports.filter((s) => s.kind === 'drawbar'))[0]!.loadKg;
const axleKg = (d: Design): readonly number[] => weights(d, OWN)[0]!.supports.map((s) => s.loadKg);

describe('the weight on the ball of what tows', () => {
  const apart = after(job, { do: 'uncouple', with: { coupling: 'plug' } });

  it('is what the trailer’s drawbar bears: the rear axle takes it and more, the front one is lifted', () => {
    const [front, rear] = axleKg(job).map((kg, i) => kg - axleKg(apart)[i]!);
    expect(front! + rear!).toBeCloseTo(drawbarKg(job), 6);
    expect(front).toBeLessThan(0);
    expect(rear).toBeGreaterThan(drawbarKg(job));
    expect(weights(job, OWN)[0]!.addedKg - weights(apart, OWN)[0]!.addedKg).toBeCloseTo(drawbarKg(job), 6);
  });

  it('grows with what is built into the trailer’s front, and comes from no one else', () => {
    const more = after(job, { do: 'addLoad', in: 'caravan', with: { item: 'fridge' } });
    expect(axleKg(more)[1]! - axleKg(job)[1]!).not.toBe(0);
    expect(axleKg(more)[0]! + axleKg(more)[1]! - axleKg(job)[0]! - axleKg(job)[1]!).toBeCloseTo(drawbarKg(more) - drawbarKg(job), 6);
  });

  it('only reaches the vehicle: an edit of its body keeps nothing of it', () => {
    const shown = inJob(job, OWN, catalogue);
    expect(shown.vehicle!.keep.map((k) => k.name)).toContain('drawbar of what it tows');
    const patch = patchOfJob(job, OWN, catalogue, [{ op: 'replace', path: '/vehicle/name', value: 'yellow truck' }]);
    expect(JSON.stringify(patch)).toContain('yellow truck');
    expect(JSON.stringify(patch)).not.toContain('drawbar of what it tows');
  });
});
