import { assess } from '../assess/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { doCommands, type Asked } from '../commands/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { readDesign, tidy, type Design } from '../design/index.js';
import { boxesMeet, boxMiddle, vehicleOf } from '../vehicle/index.js';
import { facesOf } from './index.js';

/** As a draft sets it down: nothing of it placed by hand. */
const vet: Design = { ...DEMO_JOBS.find((j) => j.key === 'vet')!.design, places: {}, board: null };
const of = (d: Design) => assess(d, SHIPPED_CATALOGUE);
const before = of(vet);
const after = (...all: Asked[]): Design => {
  const done = doCommands(structuredClone(vet), all);
  if (!done.ok) throw new Error(done.message);
  return done.design;
};
/** A speaker where the draft has its bus bars. */
const bus = before.gear.find((g) => g.id === 'bus')!;
const marked = (verdict: string = 'keep'): Design =>
  after(
    { do: 'addExisting', with: { id: 'speaker', name: 'old speaker', set: { mm: [170, 170, 70], verdict } } },
    { do: 'place', with: { gear: 'existing:speaker', zone: bus.zone, on: { face: bus.face, u: bus.u, v: bus.v, turn: 0 } } },
  );

describe('gear that was in the vehicle before', () => {
  it('has no place until someone marks where it is, with its size', () => {
    const told = after({ do: 'addExisting', with: { id: 'speaker', name: 'old speaker', set: { mm: [170, 170, 70] } } });
    expect(of(told).gear.map((g) => g.id)).toEqual(before.gear.map((g) => g.id));
  });

  it('stays where it was marked, and what is new lies round it', () => {
    const { gear, open } = of(marked());
    const speaker = gear.find((g) => g.id === 'existing:speaker')!;
    expect([speaker.role, speaker.face, speaker.u, speaker.v]).toEqual(['there', bus.face, bus.u, bus.v]);
    for (const g of gear) if (g !== speaker) expect(boxesMeet(g.box, speaker.box)).withContext(g.name).toBeFalse();
    expect(open.filter((f) => f.rule.startsWith('place-'))).toEqual([]);
  });

  it('that what is new is put upon is found at the new thing, which alone may find another place', () => {
    const d = marked();
    d.places['bus'] = { zone: bus.zone, on: { face: bus.face, u: bus.u + 20, v: bus.v, turn: 0 }, when: 'now' };
    const clash = of(d).open.find((f) => f.rule === 'place-clash')!;
    expect([clash.at.about, clash.values['with'], clash.presses?.length]).toEqual(['bus', 'old speaker', 1]);
  });

  it('in the sweep of what moves is found, and no press moves it', () => {
    const vehicle = vehicleOf(vet);
    const opening = vehicle.openings.find((o) => facesOf(vet).some((f) => f.zone === o.zone && f.normal === '-y'))!;
    const face = facesOf(vet).find((f) => f.zone === opening.zone && f.normal === '-y')!;
    const m = boxMiddle(opening.sweep);
    const d = after(
      { do: 'addExisting', with: { id: 'socket', name: 'factory socket', set: { mm: [60, 60, 55] } } },
      {
        do: 'place',
        with: {
          gear: 'existing:socket',
          zone: face.zone,
          on: { face: face.id, u: Math.max(0, Math.round(m.x - face.at.x)), v: Math.max(0, Math.round(Math.min(face.h - 60, m.z - face.at.z))), turn: 0 },
        },
      },
    );
    d.vehicle = structuredClone(vehicle);
    // The lid comes down as far as the wall goes.
    Object.assign(
      d.vehicle.openings.find((o) => o.id === opening.id)!,
      { sweep: { ...opening.sweep, y: face.at.y - 300, w: 300 } },
    );
    const hit = of(d).open.find((f) => f.rule === 'place-in-the-way' && f.at.about === 'existing:socket')!;
    expect([hit.severity, hit.values['with'], hit.presses ?? []]).toEqual(['stop', opening.name, []]);
  });

  it('weighs nothing more, is bought and drawn by nobody, and is no step', () => {
    const a = of(marked());
    expect(a.layout.weights[0]!.addedKg).toBeCloseTo(before.layout.weights[0]!.addedKg, 6);
    expect(JSON.stringify(a.order).includes('speaker')).toBeFalse();
    expect(a.fit.some((s) => s.text.includes('speaker'))).toBeFalse();
  });

  it('that moves or comes out is a step before anything new is fixed', () => {
    const words = (verdict: string) => of(marked(verdict)).fit.find((s) => s.id === 'old-speaker')!.text;
    expect(words('move')).toBe(`Move the old speaker to the ${bus.faceName}`);
    expect(words('remove')).toBe('Take out the old speaker');
    const out = of(marked('remove'));
    expect(out.gear.some((g) => g.role === 'there')).toBeFalse();
    expect(out.fit.find((s) => s.id === 'place-house')!.after).toContain('old-speaker');
  });

  it('takes its place with it when it is taken off the list, and is refused without a size that can be', () => {
    const d = marked();
    delete d.brief.existing['speaker'];
    tidy(d);
    expect(d.places['existing:speaker']).toBeUndefined();
    const bad = structuredClone(marked());
    bad.brief.existing['speaker']!.mm = [170, 0, 70];
    const read = readDesign(bad);
    expect(read.ok ? '' : read.message).toMatch(/mm.*from 1 to 5000 mm is accepted/);
  });
});
