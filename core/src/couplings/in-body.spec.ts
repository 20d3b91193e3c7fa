import { catalogueOf } from '../catalogue/index.js';
import { PARKED } from '../circuit/index.js';
import { blankDesign, bodyOf, editDesign, engineOf, enginesFor, OWN, patchBetween, readDesign, rigsIn, tidy, type Design } from '../design/index.js';
import { jobFromAnswers } from '../supply-options/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { after, refusal } from '../testing/commanded.js';
import { EXAMPLE_RIGS } from '../testing/rigs.js';
import { boxesMeet, vehicleOf } from '../vehicle/index.js';
import { assessIn, inJob, joinedPlans, joinedTripOf, patchOfJob, settleJoined, sharedA, vehicleName } from './index.js';

const ute = EXAMPLE_RIGS.find((r) => r.key === 'canopy-two-rigs')!.design;
const catalogue = catalogueOf(ute);
const own = assessIn(ute, OWN, catalogue);
const front = assessIn(ute, 'front', catalogue);

describe('a second rig in one body', () => {
  it('has the body, engine and plate of the vehicle it stands in, and a bank, chargers and loads of its own', () => {
    expect([bodyOf(ute, 'front'), engineOf(ute, 'front'), rigsIn(ute, OWN)]).toEqual([OWN, OWN, [OWN, 'front']]);
    const design = inJob(ute, 'front', catalogue);
    expect([design.brief.vehicleKind, design.brief.alternator.ratedA]).toEqual(['canopy-ute', 150]);
    expect(Object.values(design.banks['house']!.batteries)[0]!.part).toBe('bat-agm-100');
    expect(readDesign(JSON.parse(JSON.stringify(design)))).toEqual({ ok: true, design });
  });

  it('is called by its number where nobody named it', () => {
    const two = after(blankDesign('Nobody'), { do: 'addRig', with: {} }, { do: 'addRig', with: { vehicle: 'rig' } });
    expect([vehicleName(two, 'rig'), vehicleName(two, 'rig-2'), two.vehicles['rig-2']!.within]).toEqual([`${vehicleName(two, OWN)}, second rig`, `${vehicleName(two, OWN)}, third rig`, OWN]);
  });

  it('lies round the gear of the first', () => {
    for (const g of front.gear) for (const o of own.gear) if (g.role !== 'starting' && o.role !== 'starting') expect(boxesMeet(g.box, o.box)).withContext(`${g.name} and ${o.name}`).toBeFalse();
  });

  it('that is put where the other has its gear is found there, by the name of what stands there', () => {
    const there = own.gear.find((g) => g.role === 'charger')!;
    const on = { face: there.face, u: there.u, v: there.v, turn: 0 };
    const clash = assessIn(after(ute, { do: 'place', in: 'front', with: { gear: 'bus', zone: there.zone, on } }), 'front', catalogue).open.find((f) => f.rule === 'place-clash')!;
    expect([clash.severity, clash.values['with']]).toEqual(['stop', there.name]);
  });

  it('is weighed and warmed with the first', () => {
    const kg = (gear: typeof own.gear): number => gear.filter((g) => g.role !== 'starting' && g.when !== 'later').reduce((s, g) => s + g.kg, 0);
    expect(front.layout.weights[0]!.addedKg).toBeCloseTo(kg(own.gear) + kg(front.gear), 6);
    const warm = front.layout.heat.find((h) => h.zone === own.gear.find((g) => g.role === 'charger')!.zone)!;
    expect(warm.from).toContain(own.gear.find((g) => g.role === 'charger')!.name);
  });

  it('wants its amps of the one alternator', () => {
    expect(sharedA(ute, OWN, catalogue)).toBeGreaterThan(20);
    expect(own.supply.alternator.wanted.roadA).toBeCloseTo(front.supply.alternator.wanted.roadA, 6);
  });

  it('meets the first at the starting battery: both see the same volts there', () => {
    const [joined] = joinedPlans(ute, catalogue);
    expect([...joined!.plans.keys()]).toEqual([OWN, 'front']);
    const results = settleJoined(joined!, () => ({ ...PARKED, engine: 'cruise', loads: 'on' }));
    const volts = [...results].map(([id, r]) => {
      if (!r.ok) throw new Error(r.error);
      const feed = joined!.plans.get(id)!.runs.find((x) => x.spec.from.ref.in === 'vehicles')!;
      return r.runs.get(feed.spec.id)!.fromV;
    });
    expect(volts[0]).toBeCloseTo(volts[1]!, 5);
  });

  it('has its own bank in the trip of all banks together', () => {
    expect(Object.keys(joinedTripOf(ute, catalogue)!.result.banks)).toEqual([OWN, 'front']);
  });
});

describe('an edit of a second rig', () => {
  const edited = (change: (d: Design) => void): Design => {
    const shown = inJob(ute, 'front', catalogue);
    const wanted = structuredClone(shown);
    change(wanted);
    const patch = patchOfJob(ute, 'front', catalogue, patchBetween(shown, wanted));
    const done = typeof patch === 'string' ? { ok: false as const, message: patch } : editDesign(ute, patch);
    if (!done.ok) throw new Error(done.message);
    return done.design;
  };

  it('leaves the gear of the first out of it', () => {
    const done = edited((d) => (d.brief.use = 'events'));
    expect([done.vehicles['front']!.brief.use, done.vehicle, done.vehicles['front']!.vehicle]).toEqual(['events', null, null]);
  });

  it('goes on where a load of the first has a name longer than a body’s file takes', () => {
    const job = structuredClone(ute);
    Object.values(job.loads)[0]!.name = 'x'.repeat(80);
    const shown = inJob(job, 'front', catalogue);
    expect(readDesign(JSON.parse(JSON.stringify(shown))).ok).toBeTrue();
    expect(typeof patchOfJob(job, 'front', catalogue, [{ op: 'replace', path: '/brief/use', value: 'events' }])).not.toBe('string');
  });

  it('changes the body for both where the body is changed, without what stands in it', () => {
    const done = edited((d) => (d.vehicle!.lengthMm = 5600));
    expect([done.vehicle!.lengthMm, done.vehicles['front']!.vehicle]).toEqual([5600, null]);
    expect(done.vehicle!.keep).toEqual(vehicleOf(ute).keep);
    expect(inJob(done, 'front', catalogue).vehicle!.lengthMm).toBe(5600);
  });

  it('says plate and kind of the vehicle that it stands in', () => {
    expect(edited((d) => (d.brief.plate = 'W4TT')).brief.plate).toBe('W4TT');
  });
});

describe('a second rig among the vehicles of a job', () => {
  const towed = after(
    ute,
    { do: 'addVehicle', with: { id: 'camper', vehicleKind: 'camper' } },
    { do: 'couple', with: { from: OWN, to: 'camper' } },
    { do: 'addRig', with: { id: 'galley', vehicle: 'camper' } },
  );

  it('is charged as the vehicle that it stands in, at the plug of that', () => {
    expect([enginesFor(towed, 'galley'), engineOf(towed, 'galley'), inJob(towed, 'galley', catalogue).brief.vehicleKind]).toEqual([[OWN], OWN, 'camper']);
    expect(refusal(towed, { do: 'couple', with: { from: OWN, to: 'galley' } })).toMatch(/galley is a rig in the body of camper, charged as that is; name camper/);
  });

  it('goes with the vehicle, and alone as it came', () => {
    expect(Object.keys(after(towed, { do: 'removeVehicle', with: { vehicle: 'camper' } }).vehicles)).toEqual(['front']);
    expect(after(after(ute, { do: 'addRig', with: { id: 'extra' } }), { do: 'removeVehicle', with: { vehicle: 'extra' } })).toEqual(ute);
  });

  it('in a vehicle that is not there goes when the job is tidied', () => {
    const job = structuredClone(ute);
    job.vehicles['front']!.within = 'attic';
    expect(bodyOf(job, 'front')).withContext('until then it is a vehicle itself').toBe('front');
    tidy(job);
    expect(Object.keys(job.vehicles)).toEqual([]);
  });
});

describe('answers of a second rig', () => {
  const said = (front: object): string => {
    const made = jobFromAnswers({ customer: 'Nobody', vehicleKind: 'canopy-ute', vehicles: { front } }, SHIPPED_CATALOGUE);
    return made.ok ? 'made' : made.message;
  };

  it('refuse a vehicle that is not there, and what is the body’s', () => {
    expect(said({ within: 'attic' })).toBe('vehicles.front.within: got "attic"; a vehicle that is said before it is accepted: own');
    expect(said({ within: 7 })).toBe('vehicles.front.within: got 7; the id of a vehicle is accepted');
    expect(said({ within: 'own', vehicleKind: 'van' })).toBe('vehicles.front.vehicleKind: it is that of own, in which this rig stands; say it once, there');
  });
});
