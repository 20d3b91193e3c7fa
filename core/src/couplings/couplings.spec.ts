import { assess } from '../assess/index.js';
import { catalogueOf } from '../catalogue/index.js';
import { PARKED, type CircuitState } from '../circuit/index.js';
import { blankDesign, editDesign, OWN, patchBetween, readDesign, tidy, vehicleIds, vehicleIn, type Design } from '../design/index.js';
import { solveCircuit, type Circuit } from '../network/index.js';
import { inWords } from '../rules/index.js';
import { selectedBankOf } from '../supply/index.js';
import { applyIntake, jobFromAnswers, intakeOf } from '../supply-options/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { after, refusal } from '../testing/commanded.js';
import { EXAMPLE_RIGS } from '../testing/rigs.js';
import { assessIn, assessJob, hasRig, inJob, joinedPlans, joinedTripOf, orderOfJob, patchOfJob, settleJoined, sharedA } from './index.js';

const rig = (key: string): Design => EXAMPLE_RIGS.find((r) => r.key === key)!.design;
const truck = rig('truck-and-caravan');
const box = rig('moving-box');
const rules = (job: Design, id: string): readonly string[] => assessIn(job, id, catalogueOf(job)).open.map((f) => f.rule);

describe('a vehicle of a job', () => {
  it('has the engine of the one that charges it, and the trip, money and parts of the job', () => {
    const c = inJob(truck, 'caravan', catalogueOf(truck));
    expect([c.brief.vehicleKind, c.brief.vehicleV, c.brief.alternator.ratedA]).toEqual(['caravan', 24, 120]);
    expect([c.brief.customer, c.brief.trip]).toEqual([truck.brief.customer, truck.brief.trip]);
    expect(readDesign(JSON.parse(JSON.stringify(c)))).toEqual({ ok: true, design: c });
  });

  it('is the design itself where the job has no other', () => {
    const one = blankDesign('Nobody');
    expect(inJob(one, OWN, catalogueOf(one))).toBe(one);
    expect(assessIn(one, OWN, catalogueOf(one)).findings).toEqual(assess(one, catalogueOf(one)).findings);
  });

  it('counts what the chargers of all others want of its engine, each way the same sum', () => {
    const wanted = assessJob(truck, catalogueOf(truck)).map((v) => v.assessment!.supply.alternator.wanted.roadA);
    expect(wanted[0]).toBeCloseTo(wanted[1]!, 9);
    expect(sharedA(truck, OWN, catalogueOf(truck)) + sharedA(truck, 'caravan', catalogueOf(truck))).toBeCloseTo(wanted[0]!, 9);
  });

  it('is fed at its inlet in the hours of a lead beside those on site', () => {
    expect(inJob(truck, 'caravan', catalogueOf(truck)).inlets['inlet']!.hours).toEqual([[10, 14]]);
    expect(truck.vehicles['caravan']!.inlets['inlet']!.hours).toEqual([]);
  });

  it('that only carries has no rig, and none is asked of it', () => {
    expect(vehicleIds(box).map((id) => hasRig(vehicleIn(box, id)))).toEqual([true, false, false]);
    expect(assessJob(box, catalogueOf(box)).map((v) => v.assessment === null)).toEqual([false, true, true]);
  });
});

describe('an edit of one vehicle', () => {
  const catalogue = catalogueOf(truck);
  const edited = (id: string, change: (d: Design) => void): Design => {
    const view = inJob(truck, id, catalogue);
    const next = JSON.parse(JSON.stringify(view)) as Design;
    change(next);
    const patch = patchOfJob(truck, id, catalogue, patchBetween(view, next));
    if (typeof patch === 'string') throw new Error(patch);
    const done = editDesign(truck, patch);
    if (!done.ok) throw new Error(done.message);
    return done.design;
  };

  it('stands in that vehicle, what is the job’s in the job, what is the engine’s with the engine', () => {
    const d = edited('caravan', (c) => {
      c.loads['fridge']!.name = 'cold box';
      c.brief.trip.days = 4;
      c.brief.alternator.ratedA = 90;
      c.settings.tinned = true;
    });
    expect(d.vehicles['caravan']!.loads['fridge']!.name).toBe('cold box');
    expect(d.loads['fridge']!.name).toBe(truck.loads['fridge']!.name);
    expect([d.brief.trip.days, d.brief.alternator.ratedA, d.settings.tinned]).toEqual([4, 90, true]);
    expect(d.vehicles['caravan']!.brief.alternator.ratedA).toBe(truck.vehicles['caravan']!.brief.alternator.ratedA);
  });

  it('writes nothing of what only reaches it from others', () => {
    expect(edited('caravan', (c) => (c.loads['fridge']!.critical = false)).vehicles['caravan']!.supply.otherChargersA).toBe(0);
    const shown = inJob(truck, 'caravan', catalogue).supply.otherChargersA;
    expect(shown).toBeGreaterThan(10);
    expect(edited('caravan', (c) => (c.supply.otherChargersA = shown + 5)).vehicles['caravan']!.supply.otherChargersA).toBeCloseTo(5, 9);
    expect(edited('caravan', (c) => c.inlets['inlet']!.hours.push([20, 22])).vehicles['caravan']!.inlets['inlet']!.hours).toEqual([[20, 22]]);
    // The outlet’s duty is what the trip gives; a name typed beside it leaves what was typed.
    const outlet = truck.couplings['lead']!.outlet!;
    expect(inJob(truck, OWN, catalogue).loads[outlet]!.use).not.toEqual(truck.loads[outlet]!.use);
    expect(edited(OWN, (t) => (t.loads[outlet]!.name = 'rear outlet')).loads[outlet]!.use).toEqual(truck.loads[outlet]!.use);
  });
});

describe('the trip of all banks together', () => {
  it('is each vehicle’s own trip where no lead joins them', () => {
    const apart = after(truck, { do: 'uncouple', with: { coupling: 'lead' } });
    const t = joinedTripOf(apart, catalogueOf(apart))!.result;
    for (const v of assessJob(apart, catalogueOf(apart))) expect(t.banks[v.id]!.minSoc).withContext(v.id).toBeCloseTo(v.assessment!.trip!.minSoc, 4);
  });

  it('turns the selectors of a vehicle with two banks as its own trip does', () => {
    const trailer = rig('ute-and-trailer');
    const { result, banks, turned } = joinedTripOf(trailer, catalogueOf(trailer))!;
    expect(banks.map(({ vehicle, which }) => `${vehicle} ${which}`)).toEqual([`${OWN} only`, 'trailer first', 'trailer second']);
    const [first, second] = banks.filter((b) => b.vehicle === 'trailer').map((b) => result.banks[b.id]!);
    const own = assessIn(trailer, 'trailer', catalogueOf(trailer));
    const [firstAh, secondAh] = [own.supply.bank!.capacityAh, selectedBankOf(inJob(trailer, 'trailer', catalogueOf(trailer)), catalogueOf(trailer))!.capacityAh];
    expect((first!.finalSoc * firstAh + second!.finalSoc * secondAh) / (firstAh + secondAh)).toBeCloseTo(own.trip!.finalSoc, 3);
    expect(turned).toEqual({ trailer: own.trip!.turns });
    const sum = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0);
    expect(sum(first!.loadAh) + sum(second!.loadAh)).toBeCloseTo(sum(own.trip!.loadAh), 0);
    const brought = Object.values(own.trip!.sunAh).concat(own.trip!.alternatorAh, own.trip!.mainsAh);
    expect(sum([first!, second!].flatMap((b) => Object.values(b.sourceAh).flat()))).toBeCloseTo(sum(brought), 0);
  });

  it('knows one selector for loads and chargers too, and a lead from whichever bank is in use', () => {
    const one = after(rig('ute-and-trailer'), { do: 'chargingSelector', with: { part: null }, in: 'trailer' });
    const t = joinedTripOf(one, catalogueOf(one))!;
    expect(t.turned['trailer']!.charging).toBeNull();
    expect(Object.keys(t.result.banks)).toHaveSize(3);
    const spare = after(truck, { do: 'addBank', with: { id: 'spare', part: 'bat-lfp-100', count: 2, selector: 'switch' } });
    const { result, banks } = joinedTripOf(spare, catalogueOf(spare))!;
    const [first, second] = banks.filter((b) => b.vehicle === OWN);
    const { sourceAh } = result.banks['caravan']!;
    expect(Object.keys(sourceAh)).toContain(first!.id);
    expect(Object.keys(sourceAh)).toContain(second!.id);
    // What the two gave is what the caravan took, with both losses.
    const sum = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0);
    const [took, gave] = [first!, second!].reduce(([t0, g0], b) => [t0! + sum(sourceAh[b.id]!), g0! + sum(result.banks[b.id]!.givenAh!)], [0, 0]);
    expect(took! / gave!).toBeGreaterThan(0.6);
    expect(took! / gave!).toBeLessThan(0.9);
  });

  it('moves charge by a lead, with both losses, and every bank’s energy balances', () => {
    const { result, energy, leadWh } = joinedTripOf(truck, catalogueOf(truck))!;
    const took = result.banks['caravan']!.sourceAh[OWN]!.reduce((s, x) => s + x, 0);
    const gave = result.banks[OWN]!.givenAh!.reduce((s, x) => s + x, 0);
    expect(took).toBeGreaterThan(20);
    expect(took / gave).toBeLessThan(0.9);
    expect(took / gave).toBeGreaterThan(0.6);
    for (const e of Object.values(energy)) expect(Math.abs(e.givenWh - e.usedWh - e.storedWh - e.lostWh)).toBeLessThan(1e-6 * e.givenWh);
    // The giving vehicle’s own trip counts what the lead takes, no more.
    const own = assessIn(truck, OWN, catalogueOf(truck));
    expect(own.trip!.minSoc).toBeCloseTo(result.banks[OWN]!.minSoc, 1);
    const outlet = own.day.loads.find((l) => l.id === truck.couplings['lead']!.outlet)!;
    expect((outlet.ownW * outlet.duty * 4 * truck.brief.trip.days) / leadWh['lead']!).toBeCloseTo(1, 6);
  });

  it('rests a lead whose bank is at its floor, and says so', () => {
    const starved = after(truck, { do: 'setBatteries', with: { batteries: 'house', part: 'bat-lfp-100', count: 1 } }, { do: 'hang', with: { thing: 'roof', on: 'roof-controller' } });
    starved.couplings['lead']!.floorSoc = 0.97;
    expect(joinedTripOf(starved, catalogueOf(starved))!.restsH['lead']).toBeGreaterThan(1);
    expect(rules(starved, OWN)).toContain('lead-rests');
  });
});

/** All circuits on one engine as one network: what stands at the starting battery is in it once. */
function asOne(circuits: readonly (readonly [id: string, circuit: Circuit])[]): Circuit {
  const shared = new Set(['starting+', 'starting-']);
  const at = (id: string, node: string): string => (shared.has(node) ? node : `${id}/${node}`);
  const once = new Set<string>();
  const parts = circuits.map(([id, c]) => ({
    nodes: c.nodes.map((n) => at(id, n)),
    resistors: c.resistors.map((r) => ({ ...r, id: `${id}/${r.id}`, a: at(id, r.a), b: at(id, r.b) })),
    sources: c.sources.filter((s) => !shared.has(s.plus) || (!once.has(s.id) && once.add(s.id))).map((s) => ({ ...s, id: `${id}/${s.id}`, plus: at(id, s.plus), minus: at(id, s.minus) })),
    loads: c.loads
      .filter((l) => l.id !== 'beside' && (!['vehicle', 'alternator'].includes(l.id) || (!once.has(l.id) && once.add(l.id))))
      .map((l) => ({ ...l, id: `${id}/${l.id}`, plus: at(id, l.plus), minus: at(id, l.minus) })),
  }));
  return {
    ground: `${circuits[0]![0]}/${circuits[0]![1].ground}`,
    nodes: [...new Set(parts.flatMap((p) => p.nodes))],
    resistors: parts.flatMap((p) => p.resistors),
    sources: parts.flatMap((p) => p.sources),
    loads: parts.flatMap((p) => p.loads),
  };
}

describe('circuits of vehicles on one engine', () => {
  const states: readonly (readonly [string, CircuitState])[] = [
    ['driving', { ...PARKED, engine: 'cruise', sun: 'full' }],
    ['at idle, loads off', { ...PARKED, engine: 'idle', loads: 'off' }],
    ['nearly full', { ...PARKED, engine: 'cruise', charging: 'absorption', loads: 'off' }],
  ];
  for (const key of ['truck-and-caravan', 'ute-and-trailer'])
    for (const [name, state] of states)
      it(`have the volts of one network of all of them: ${key}, ${name}`, () => {
        const job = rig(key);
        const [joined] = joinedPlans(job, catalogueOf(job));
        expect(joined!.plans.size).toBe(2);
        const settled = [...settleJoined(joined!, () => state)].map(([id, r]) => {
          if (!r.ok) throw new Error(`${id}: ${r.error}`);
          return [id, r] as const;
        });
        const across = settled.map(([, r]) => r.solved.nodeVolt['starting+']! - r.solved.nodeVolt['starting-']!);
        expect(across[1]).toBeCloseTo(across[0]!, 6);
        const one = solveCircuit(asOne(settled.map(([id, r]) => [id, r.circuit])));
        if (!one.ok) throw new Error(one.error);
        for (const [id, r] of settled) {
          const base = one.nodeVolt[`${id}/${r.circuit.ground}`]!;
          for (const [node, volt] of Object.entries(r.solved.nodeVolt).filter(([n]) => !n.startsWith('starting')))
            expect(one.nodeVolt[`${id}/${node}`]! - base)
              .withContext(`${id} ${node}`)
              .toBeCloseTo(volt, 5);
        }
        // With the other on it, the engine’s volts are lower than without.
        const alone = settleJoined({ ...joined!, plans: new Map([...joined!.plans].slice(0, 1)) }, () => state).get(settled[0]![0])!;
        if (!alone.ok) throw new Error(alone.error);
        expect(across[0]!).toBeLessThanOrEqual(alone.solved.nodeVolt['starting+']! - alone.solved.nodeVolt['starting-']! + 1e-9);
      });
});

describe('what joins vehicles', () => {
  it('is refused where it cannot be, in words', () => {
    expect(refusal(truck, { do: 'couple', with: { from: 'caravan', to: OWN } })).toBe('to: own already gives to caravan; two vehicles cannot charge each other');
    expect(refusal(truck, { do: 'couple', with: { from: 'caravan', to: OWN, carries: 'mains' } })).toBe('to: own already gives to caravan; two vehicles cannot feed each other');
    expect(refusal(truck, { do: 'couple', with: { from: OWN, to: OWN } })).toContain('to: own is the vehicle that it comes from');
    expect(refusal(truck, { do: 'couple', with: { from: 'boat', to: OWN } })).toBe('from: boat is none of the vehicles; own, caravan are accepted');
    expect(refusal(truck, { do: 'couple', with: { from: OWN, to: 'caravan', hours: [[1, 2]] } })).toContain('hours: a plug charges while the engine runs');
    expect(refusal(truck, { do: 'couple', with: { from: OWN, to: 'caravan', carries: 'mains', inlet: 'porch' } })).toBe('inlet: porch is none of the inlets for 230 V of caravan; inlet');
    expect(refusal(truck, { do: 'couple', with: { from: OWN, to: 'caravan', carries: 'mains', hours: [[14, 10]] } })).toMatch(/^hours\.0: a span runs from an earlier/);
    expect(refusal(truck, { do: 'addVehicle', with: { id: 'caravan', vehicleKind: 'van' } })).toBe('id: caravan is taken; an id that nothing else has is accepted');
    expect(refusal(truck, { do: 'removeVehicle', with: { vehicle: OWN } })).toContain('vehicle: own is the one that the job began with');
    expect(refusal(truck, { do: 'addArray', in: 'boat', with: { part: 'pv-110' } })).toBe('in: boat is none of the vehicles; own, caravan are accepted');
  });

  it('goes with the vehicle, and with its outlet; adding and taking out lead back to the same document', () => {
    const alone = after(truck, { do: 'removeVehicle', with: { vehicle: 'caravan' } });
    expect([alone.vehicles, alone.couplings]).toEqual([{}, {}]);
    expect(Object.keys(alone.loads)).toEqual(Object.keys(truck.loads).filter((id) => id !== truck.couplings['lead']!.outlet));
    const unplugged = JSON.parse(JSON.stringify(truck)) as Design;
    delete unplugged.loads[truck.couplings['lead']!.outlet!];
    tidy(unplugged);
    expect(Object.keys(unplugged.couplings)).toEqual(['plug']);
    const blank = blankDesign('Nobody');
    const back = after(
      blank,
      { do: 'addVehicle', with: { id: 'van', vehicleKind: 'van' } },
      { do: 'couple', with: { id: 'lead', from: OWN, to: 'van', carries: 'mains' } },
      { do: 'uncouple', with: { coupling: 'lead' } },
      { do: 'removeVehicle', with: { vehicle: 'van' } },
    );
    expect(back).toEqual(blank);
  });

  it('stays when the vehicle that gives is drafted anew by ten answers', () => {
    const own = inJob(truck, OWN, catalogueOf(truck));
    const outlet = truck.couplings['lead']!.outlet!;
    expect(Object.keys(applyIntake(own, { ...intakeOf(own), wishes: [] }).loads)).toEqual([outlet]);
  });

  it('does commands in the vehicle that is named', () => {
    const d = after(truck, { do: 'addArray', in: 'caravan', with: { id: 'awning', part: 'pv-110' } });
    expect(Object.keys(d.vehicles['caravan']!.arrays)).toContain('awning');
    expect(Object.keys(d.arrays)).toEqual(Object.keys(truck.arrays));
  });

  it('is found where it overloads, feeds nothing, meets the wrong volts, or wants an inlet that the site has', () => {
    const weak = after(truck, { do: 'changeThing', with: { thing: 'inverter', set: { part: 'inv-600' } } });
    expect(rules(weak, OWN)).toContain('lead-overloads');
    const nothing = after(truck, { do: 'remove', in: 'caravan', with: { thing: 'mains' } });
    expect(rules(nothing, 'caravan')).toContain('lead-to-nothing');
    const twelve = after(truck, { do: 'changeThing', in: 'caravan', with: { thing: 'charger', set: { part: 'dcdc-40' } } });
    expect(rules(twelve, 'caravan')).toContain('wrong-volts');
    const evening = JSON.parse(JSON.stringify(truck)) as Design;
    evening.loads[truck.couplings['lead']!.outlet!]!.when = { at: 'hours', spans: [[17, 23]] };
    expect(rules(evening, 'caravan')).toContain('two-sources-one-inlet');
    expect(rules(truck, 'caravan')).not.toContain('two-sources-one-inlet');
  });

  it('is planned with what the other end draws, at a press', () => {
    const larger = JSON.parse(JSON.stringify(truck)) as Design;
    const outlet = truck.couplings['lead']!.outlet!;
    larger.loads[outlet]!.draw = { by: 'plate', unit: 'W', value: 300 };
    const found = assessIn(larger, OWN, catalogueOf(larger)).open.find((f) => f.rule === 'lead-says-less')!;
    expect(inWords(found).say).toMatch(/planned with 300 W; what charges there draws \d+ W/);
    const patch = patchOfJob(larger, OWN, catalogueOf(larger), found.presses[0]!.patch);
    const pressed = typeof patch === 'string' ? null : editDesign(larger, patch);
    expect(pressed?.ok && rules(pressed.design, OWN)).not.toContain('lead-says-less');
  });

  it('tells plugs of two vehicles apart by volts, and finds no fault with those of the same', () => {
    const beside = (vehicleV: 12 | 24): readonly string[] => {
      const job = after(truck, { do: 'addVehicle', with: { id: 'ute', vehicleKind: 'canopy-ute', vehicleV } });
      const found = assessIn(job, 'caravan', catalogueOf(job)).open.filter((f) => f.rule === 'plugs-between-vehicles');
      return found.map((f) => inWords(f).say);
    };
    expect(beside(12)).toEqual([
      '“trailer socket, 12 pins; pin 2 marked for a fridge” goes into “trailer socket, 12 pins; pin 2 marked for a fridge (dual-cab ute)” (both trailer socket, blue): wrong volts.',
    ]);
    expect(beside(24)).toEqual([]);
  });

  it('finds what is wrong only behind another vehicle that the same box goes into', () => {
    const heavy = JSON.parse(JSON.stringify(box)) as Design;
    heavy.vehicles['ute']!.brief.vehicleV = 24;
    const found = assessIn(heavy, OWN, catalogueOf(heavy)).open.filter((f) => f.rule === 'with-another-vehicle');
    expect(found.map((f) => inWords(f).say)).toContain(jasmine.stringMatching(/^Plugged into the work ute: DC-DC charger .*here it meets 24 V/) as unknown as string);
    expect(found.some((f) => f.severity === 'stop')).toBeTrue();
    expect(rules(box, OWN)).not.toContain('with-another-vehicle');
  });
});

describe('a box that goes into two vehicles', () => {
  const alone = after(box, { do: 'uncouple', with: { coupling: 'in-ute' } });
  const [both, one] = [box, alone].map((job) => assessIn(job, OWN, catalogueOf(job)));

  it('wants a feed with its fuse and plug in each of them', () => {
    const count = (a: typeof both, start: string): number => a!.order.lines.filter((l) => l.key.startsWith(start)).reduce((s, l) => s + l.quantity, 0);
    expect(count(both, 'plug-')).toBe(count(one, 'plug-') + 1);
    expect(count(both, 'fuse-')).toBe(count(one, 'fuse-') + 1);
    expect(both!.order.total).toBeGreaterThan(one!.order.total);
    expect(both!.order.cuts.filter((c) => c.name.startsWith('work ute: ')).map((c) => c.lead)).toEqual(['feed', 'return']);
    expect(both!.order.lines.reduce((s, l) => s + l.quantity * l.priceEach, 0)).toBeCloseTo(both!.order.total, 6);
  });

  it('has the steps of that feed once more, and none twice', () => {
    const steps = both!.fit.map((s) => s.id);
    expect(new Set(steps).size).toBe(steps.length);
    expect(both!.fit.filter((s) => s.text.startsWith('In the work ute: ')).length).toBe(3);
    expect(both!.fit.length).toBe(one!.fit.length + 3);
  });

  it('asks nothing of the vehicles that carry it', () => expect(rules(box, 'wagon')).toEqual([]));
});

describe('the order of several vehicles', () => {
  it('has every line of each, alike ones on one line, and their sum', () => {
    const all = assessJob(truck, catalogueOf(truck));
    const order = orderOfJob(all);
    const each = all.map((v) => v.assessment!.order);
    for (const { lines } of each) for (const l of lines) expect(order.lines.find((o) => o.key === l.key)!.quantity).toBeGreaterThanOrEqual(l.quantity);
    expect(order.total).toBeCloseTo(each[0]!.total + each[1]!.total, 6);
    expect(order.lines.reduce((s, l) => s + l.quantity * l.priceEach, 0)).toBeCloseTo(order.total, 6);
    expect(order.lines.find((l) => l.key === 'bat-lfp-300')!.quantity).toBe(4);
    expect(order.cuts.every((c) => /^(light truck|caravan)/.test(c.name))).toBeTrue();
  });
});

describe('answers about several vehicles', () => {
  const wrong = (more: object): string => {
    const made = jobFromAnswers({ vehicleKind: 'canopy-ute', ...more }, SHIPPED_CATALOGUE);
    return made.ok ? 'made' : made.message;
  };
  it('name the field that is wrong, and what is accepted', () => {
    expect(wrong({ vehicles: { own: {} } })).toMatch(/^vehicles\.own: small letters/);
    expect(wrong({ vehicles: { 'Car A': {} } })).toMatch(/^vehicles\.Car A: small letters/);
    expect(wrong({ vehicles: 7 })).toBe('vehicles: got 7; an object of vehicles by their ids is accepted');
    expect(wrong({ vehicles: { trailer: 'long' } })).toBe('vehicles.trailer: got "long"; an object is accepted');
    expect(wrong({ vehicles: { trailer: { vehicleKind: 'boat' } } })).toMatch(/^vehicles\.trailer\.vehicleKind: /);
    expect(wrong({ vehicles: { trailer: { rig: 'large' } } })).toBe('vehicles.trailer.rig: got "large"; drafted, none are accepted');
    expect(wrong({ vehicles: { trailer: { days: { days: 3, parkedDays: 0 } } } })).toBe('vehicles.trailer.days: the trip is that of the job; say it once, beside customer');
    expect(wrong({ couplings: {} })).toBe('couplings: got {}; an array of { from, to } is accepted');
    expect(
      wrong({
        vehicles: { trailer: { vehicleKind: 'camper', rig: 'none' } },
        couplings: [
          { from: 'own', to: 'trailer' },
          { from: 'own', to: 'trailer', carries: 'mains', hours: [[5, 3]] },
        ],
      }),
    ).toMatch(/^couplings\.1\.hours\.0: a span/);
    expect(wrong({ couplings: [{ from: 'own', to: 'trailer' }] })).toBe('couplings.0.to: trailer is none of the vehicles; own are accepted');
    expect(wrong({ vehicles: { trailer: { vehicleKind: 'camper', commands: [{ do: 'addArray', with: { part: 'x' } }] } } })).toMatch(
      /^vehicles\.trailer\.commands\.0\.part: x is not in the catalogue/,
    );
  });
});
