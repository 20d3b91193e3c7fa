import { readFileSync } from 'node:fs';
import { VEHICLE_TEMPLATES } from '../vehicle/index.js';
import { blankDesign } from './blank.js';
import { clashes, editDesign, patchBetween, valueAt, type Patch } from './edit.js';
import { readDesign } from './read.js';
import { rigOf, supplyOf } from './supply-of.js';

const blank = blankDesign('Two Creeks Bookmobile');

describe('an edit of the design', () => {
  it('is a patch that leads to the new document and leaves the old one alone', () => {
    const next = structuredClone(blank);
    next.brief.plate = 'TCB 08';
    const patch = patchBetween(blank, next);
    const edited = editDesign(blank, patch);
    expect(edited).toEqual({ ok: true, design: next });
    expect(blank.brief.plate).toBe('');
  });

  it('can be undone by the patch back', () => {
    const next = structuredClone(blank);
    next.runs['load-l1'] = { outM: 3 };
    const there = editDesign(blank, patchBetween(blank, next));
    expect(there.ok && editDesign(there.design, patchBetween(next, blank))).toEqual({ ok: true, design: blank });
  });

  it('is refused with the field when the schema is against it', () => {
    const edited = editDesign(blank, [{ op: 'replace', path: '/brief/trip/days', value: 0 }]);
    expect(edited.ok).toBeFalse();
    if (!edited.ok) expect(edited.message).toContain('brief › trip › days');
  });

  it('is refused when it names a place that is not there, or one outside the document', () => {
    expect(editDesign(blank, [{ op: 'replace', path: '/nowhere/at/all', value: 1 }]).ok).toBeFalse();
    expect(editDesign(blank, [{ op: 'add', path: '/__proto__/x', value: 1 }]).ok).toBeFalse();
  });

  it('clashes with another on the same thing, or on what holds it, and on nothing else', () => {
    const at = (path: string): Patch => [{ op: 'replace', path, value: 1 }];
    expect(clashes(at('/runs/a/outM'), at('/runs/a/outM'))).toEqual(['/runs/a/outM']);
    expect(clashes(at('/runs/a/outM'), at('/runs/a'))).toEqual(['/runs/a/outM']);
    expect(clashes(at('/runs/a/outM'), at('/runs/ab/outM'))).toEqual([]);
    expect(clashes(at('/brief/plate'), at('/brief/notes'))).toEqual([]);
  });

  it('finds the value at a pointer, with its escapes', () => {
    expect(valueAt({ a: { 'b/c': [5] } }, '/a/b~1c/0')).toBe(5);
    expect(valueAt({ a: 1 }, '/a/b/c')).toBeUndefined();
  });
});

describe('a design of version 1', () => {
  const old = JSON.parse(readFileSync(new URL('./version-1.json', import.meta.url), 'utf8')) as {
    supply: { mains: { hoursADay: number } };
    loads: Record<string, { draw: object }>;
    brief: { trip: object };
  };
  const read = readDesign(old);
  it('is read as the newest, and says the same of trip, loads and mains', () => {
    if (!read.ok) throw new Error(read.message);
    const { brief, loads } = read.design;
    const supply = supplyOf(read.design);
    expect(brief.trip).toEqual(jasmine.objectContaining({ ...old.brief.trip, region: null, parkedDays: 0, mainsH: old.supply.mains.hoursADay, mainsNights: 'every night' }));
    expect(loads['l1']!.draw).toEqual(jasmine.objectContaining({ by: 'plate', ...old.loads['l1']!.draw }));
    expect([supply.mains, supply.second, supply.sun.inSeries, supply.trigger]).toEqual([{ charger: 'mc-25' }, null, 1, 'ignition wire']);
  });
  it('is not changed by being read', () => expect(old.supply.mains.hoursADay).toBe(8));
});

describe('a design of version 2', () => {
  const old = JSON.parse(readFileSync(new URL('./version-2.json', import.meta.url), 'utf8')) as { places: Record<string, string>; runs: object; loads: Record<string, object> };
  const read = readDesign(old);
  it('keeps its zones as places without a face, in the shipped vehicle, and all the rest', () => {
    if (!read.ok) throw new Error(read.message);
    const { places, vehicle, board, plugs, runs, loads, settings } = read.design;
    expect(places).toEqual({ charger: { zone: 'engine', on: null, when: 'now' }, inverter: { zone: 'canopy', on: null, when: 'now' } });
    expect([vehicle, board, plugs]).toEqual([null, null, {}]);
    expect(runs).toEqual(old.runs as never);
    expect(Object.keys(loads)).toEqual(Object.keys(old.loads));
    expect([settings.bending, Object.keys(settings.plugColours)]).toEqual([{ thick: 6, thin: 4 }, ['house battery', 'panels', 'trailer feed', 'fridge socket']]);
  });
  it('is not changed by being read', () => expect(old.places['charger']).toBe('engine'));
});

describe('a design of version 3', () => {
  const old = JSON.parse(readFileSync(new URL('./version-3.json', import.meta.url), 'utf8')) as { supply: Record<string, unknown> };
  it('keeps the shunt that was always ordered, and gets no switch or disconnect that nobody chose', () => {
    const read = readDesign(old);
    if (!read.ok) throw new Error(read.message);
    const { mainSwitch, shunt, disconnect, hub, ...rest } = supplyOf(read.design);
    expect(hub).toBeNull();
    expect([mainSwitch, shunt, disconnect]).toEqual([null, 'shunt-500', { part: null, pole: 'positive' }]);
    expect(rest).toEqual(old.supply as never);
  });
});

describe('a design of version 4', () => {
  const old = JSON.parse(readFileSync(new URL('./version-4.json', import.meta.url), 'utf8')) as { loads: Record<string, object>; brief: { traces: Record<string, object> }; runs: object };
  it('has every load on a way of its own, and traced wires that nothing new hangs on', () => {
    const read = readDesign(old);
    if (!read.ok) throw new Error(read.message);
    const { loads, brief, groups, runs } = read.design;
    expect(groups).toEqual({});
    expect(runs).toEqual(old.runs as never);
    for (const [id, load] of Object.entries(loads)) expect(load).toEqual({ ...old.loads[id], feed: { by: 'own' }, plugA: null } as never);
    for (const [id, wire] of Object.entries(brief.traces)) expect(wire).toEqual({ ...old.brief.traces[id], fedFrom: 'vehicle', presentA: null, slot: '', safety: false } as never);
  });
});

describe('a design of version 5', () => {
  const old = JSON.parse(readFileSync(new URL('./version-5.json', import.meta.url), 'utf8')) as { supply: object; places: object; runs: object };
  const read = readDesign(old);
  if (!read.ok) throw new Error(read.message);
  const { design } = read;
  it('says the same of the first of each, and keeps what hangs on an id', () => {
    expect({ ...supplyOf(design) }).toEqual(old.supply as never);
    expect([design.places, design.runs]).toEqual([old.places, old.runs] as never);
  });
  it('has each of them as a thing under the id that places and runs know', () => {
    const { banks, arrays, converters, monitors } = rigOf(design);
    expect(Object.keys(banks['house']!.batteries)).toEqual(['house', 'second']);
    expect(Object.keys(converters)).toEqual(['charger', 'charger2', 'inverter']);
    expect(arrays['panel']!.into).toEqual({ in: 'converters', id: 'charger' });
    expect(monitors['shunt']!.measures).toBe('house');
  });
});

describe('the usual supply of a design', () => {
  it('is written where it is read, and each of its fields keeps what it is given', () => {
    const d = blankDesign('Nobody');
    const to = {
      battery: { part: 'bat-agm-120', count: 3 },
      isolation: 'dcdc',
      dcdc: 'dcdc-40',
      dcdcHalf: true,
      dcdcSecond: 'dcdc-20',
      trigger: 'volts',
      inhibit: true,
      sun: { panel: 'pv-200', count: 4, inSeries: 2, controller: 'mppt-40', shade: 0.2, portable: { panel: 'pv-120-fold', regulated: true, into: 'bank', hours: 5 }, startBelow: 0.7 },
      mains: { charger: 'mc-25' },
      inverter: 'inv-600',
      fuseBlock: 'fb-12',
      hub: 'hub-8',
      mainSwitch: 'sw-500',
      shunt: null,
      disconnect: { part: null, pole: 'negative' },
      second: { part: 'bat-lfp-100', count: 2, joined: 'selector' },
    } as const;
    Object.assign(supplyOf(d), to);
    expect({ ...supplyOf(d) }).toEqual(jasmine.objectContaining(to as never));
    expect(readDesign(JSON.parse(JSON.stringify(d)))).toEqual({ ok: true, design: d });
  });
  it('sends the panels to the controller while there is one, else through the charger', () => {
    const d = blankDesign('Nobody');
    const s = supplyOf(d);
    s.sun.panel = 'pv-200';
    const into: unknown[] = [d.arrays['panel']!.into];
    s.sun.controller = 'mppt-20';
    into.push(d.arrays['panel']!.into);
    s.sun.controller = null;
    s.isolation = 'isolator';
    into.push(d.arrays['panel']!.into);
    expect(into).toEqual([{ in: 'converters', id: 'charger' }, { in: 'converters', id: 'controller' }, null]);
  });
});

describe('reading a stored design', () => {
  it('takes what was written', () => expect(readDesign(JSON.parse(JSON.stringify(blank)))).toEqual({ ok: true, design: blank }));
  it('takes from the note of a vehicle’s own file what its trailer socket feeds, where that was not said yet', () => {
    const socket = (note: string, more: object = {}): object => ({ id: 'tow', kind: 'trailer socket', name: 'trailer socket', waypoint: 'bar', note, ...more });
    const fed = (point: object): unknown => {
      const vehicle = { ...VEHICLE_TEMPLATES['tray-back'], points: [point] };
      const read = readDesign({ ...blank, vehicle });
      if (!read.ok) throw new Error(read.message);
      return read.design.vehicle!.points[0]!.feedsFridge;
    };
    expect([fed(socket('pin 2 marked for a fridge')), fed(socket('7 pins')), fed(socket('for a fridge', { feedsFridge: false }))]).toEqual([true, undefined, false]);
  });
  it('names an unknown version', () => {
    const read = readDesign({ ...blank, schemaVersion: 0 });
    expect(!read.ok && read.message).toContain('schemaVersion: 0');
  });
  for (const nothing of [null, 7, 'text', {}, [], { schemaVersion: 1 }]) {
    it(`refuses ${JSON.stringify(nothing)} in words`, () => {
      const read = readDesign(nothing);
      expect(!read.ok && read.message.length > 10).toBeTrue();
    });
  }
});
