import fc from 'fast-check';
import { blankDesign, editDesign, readDesign, type Design } from '../design/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { doCommand, doCommands, insideTroubles, type Asked } from './index.js';

const blank = blankDesign('Nobody');
const after = (...all: Asked[]): Design => {
  const done = doCommands(blank, all);
  if (!done.ok) throw new Error(done.message);
  return done.design;
};
const refusal = (design: Design, asked: Asked): string => {
  const done = doCommand(design, asked);
  return done.ok ? 'done' : done.message;
};

describe('a command', () => {
  it('gives the patch that leads to the new design, in words, and leaves the old one alone', () => {
    const before = JSON.stringify(blank);
    const done = doCommand(blank, { do: 'addArray', with: { part: 'pv-200', count: 2 } });
    expect(JSON.stringify(blank)).toBe(before);
    if (!done.ok) throw new Error(done.message);
    expect(done.words).toBe('another array: 2 × pv-200');
    expect(editDesign(blank, done.patch)).toEqual({ ok: true, design: done.design });
  });

  it('hangs panels on a regulator that has none yet, and a portable one with its own on the bank', () => {
    const d = after(
      { do: 'addArray', with: { id: 'roof', part: 'pv-200', count: 2 } },
      { do: 'addConverter', with: { id: 'extra', part: 'mppt-20' } },
      { do: 'addArray', with: { id: 'side', part: 'pv-110' } },
      { do: 'addArray', with: { id: 'out', part: 'pv-120-fold', portable: { regulated: true } } },
    );
    expect(['roof', 'side', 'out'].map((id) => d.arrays[id]!.into)).toEqual([
      { in: 'converters', id: 'charger' },
      { in: 'converters', id: 'extra' },
      { in: 'banks', id: 'house' },
    ]);
  });

  it('hangs panels on a controller that waits for some before a charger with another input', () => {
    const d = after({ do: 'addConverter', with: { id: 'own', part: 'mppt-20' } }, { do: 'addArray', with: { id: 'roof', part: 'pv-160' } });
    expect(d.arrays['roof']!.into).toEqual({ in: 'converters', id: 'own' });
  });

  it('names the field, what came and what is accepted', () => {
    expect(refusal(blank, { do: 'addArray', with: { part: 'mppt-20' } })).toBe('part: mppt-20 is of the kind solar-controller; a part of the kind panel is accepted');
    expect(refusal(blank, { do: 'addArray', with: { part: 'nothing' } })).toContain('part: nothing is not in the catalogue');
    expect(refusal(blank, { do: 'addArray', with: { part: 'pv-200', into: 'shunt' } })).toBe('into: shunt is one of the monitors; a converter with an input for panels, or a bank, is accepted');
    expect(refusal(blank, { do: 'addConverter', with: { part: 'dcdc-20', bank: 'attic' } })).toBe('bank: attic is none of the banks; house');
    expect(refusal(blank, { do: 'addConverter', with: { id: 'shunt', part: 'dcdc-20' } })).toBe('id: shunt is taken; an id that nothing else has is accepted');
    expect(refusal(blank, { do: 'addArray', with: { part: 'pv-200', count: 60 } })).toMatch(/^count: /);
    expect(refusal(blank, { do: 'changeThing', with: { thing: 'charger', set: { colour: 'red' } } })).toContain('set.colour: not a field of charger');
    expect(refusal(blank, { do: 'changeThing', with: { thing: 'charger', set: { part: 'pv-200' } } })).toContain('part: pv-200 is of the kind panel; a part of the kind dcdc or');
    expect(refusal(blank, { do: 'remove', with: { thing: 'attic' } })).toBe('thing: attic is not there');
    expect(refusal(blank, { do: 'paint' as never, with: {} })).toContain('do: paint is no command');
    const both = doCommands(blank, [
      { do: 'addBank', with: { part: 'bat-lfp-100' } },
      { do: 'addBank', with: { part: 'pv-200' } },
    ]);
    expect(!both.ok && both.message).toContain('commands.1.part: pv-200');
  });

  it('refuses two boxes that feed each other', () => {
    const d = after({ do: 'addConverter', with: { id: 'a', part: 'dcdc-20' } }, { do: 'addConverter', with: { id: 'b', part: 'dcdc-20', from: 'a' } });
    expect(refusal(d, { do: 'hang', with: { thing: 'a', on: 'b' } })).toBe('from: b is fed by a itself; two boxes cannot feed each other');
    expect(refusal(d, { do: 'hang', with: { thing: 'a', on: 'a' } })).toContain('cannot feed itself');
  });
});

describe('commands on loads and on what was there before', () => {
  it('add an appliance of the library, change it and take it out', () => {
    const d = after({ do: 'addLoad', with: { item: 'fridge', id: 'cold', size: 60, set: { critical: true } } }, { do: 'setLoad', with: { load: 'cold', set: { name: 'bait fridge' } } });
    expect([d.loads['cold']!.name, d.loads['cold']!.critical, d.loads['cold']!.purpose]).toEqual(['bait fridge', true, 'fridge']);
    const done = doCommand(d, { do: 'removeLoad', with: { load: 'cold' } });
    expect(done.ok && done.design).toEqual(blank);
  });

  it('say in words what is no appliance, field or load', () => {
    expect(refusal(blank, { do: 'addLoad', with: { item: 'sauna' } })).toContain('item: sauna is none of the library; fridge');
    expect(refusal(blank, { do: 'addLoad', with: { item: 'fridge', set: { colour: 'red' } } })).toContain('set.colour: not a field of fridge');
    expect(refusal(blank, { do: 'setLoad', with: { load: 'cold', set: {} } })).toBe('load: cold is not there; there are none yet');
    expect(refusal(blank, { do: 'addLoad', with: { item: 'fridge', set: { draw: { by: 'plate', unit: 'W', value: -3 } } } })).toMatch(/loads . fridge . draw . value/);
    expect(refusal(blank, { do: 'addExisting', with: { name: 'old box', does: ['sings'] } })).toMatch(/^does\.0: /);
    expect(refusal(blank, { do: 'addTrace', with: { set: { length: 3 } } })).toContain('set.length: not a field of a traced wire');
    expect(refusal(blank, { do: 'place', with: { gear: 'house', zone: 'canopy', on: { face: 'canopy-floor', u: 0, v: 0, turn: 45 } } })).toMatch(/^on\.turn: /);
  });

  it('enter gear and wires that are there, and where things stand', () => {
    const d = after(
      { do: 'addExisting', with: { id: 'old', name: 'old charger', does: ['charges from mains'], set: { verdict: 'remove' } } },
      { do: 'addTrace', with: { id: 'blue', set: { colour: 'blue', live: 'always', areaMm2: 1 } } },
      { do: 'place', with: { gear: 'house', zone: 'canopy', when: 'later' } },
    );
    expect(d.brief.existing['old']).toEqual(jasmine.objectContaining({ name: 'old charger', verdict: 'remove', does: ['charges from mains'] }));
    expect(d.brief.traces['blue']).toEqual(jasmine.objectContaining({ colour: 'blue', live: 'always', areaMm2: 1, verdict: 'undecided' }));
    expect(d.places['house']).toEqual({ zone: 'canopy', on: null, when: 'later' });
  });
});

/** Additions in any order, each possible on a new design. */
const addition = fc.constantFrom<Asked>(
  { do: 'addArray', with: { part: 'pv-200', count: 2 } },
  { do: 'addArray', with: { part: 'pv-120-fold', portable: { regulated: false } } },
  { do: 'addConverter', with: { part: 'mppt-20' } },
  { do: 'addConverter', with: { part: 'dcdc-20', half: true } },
  { do: 'addConverter', with: { part: 'mc-25' } },
  { do: 'addConverter', with: { part: 'inv-600' } },
  { do: 'addBank', with: { part: 'bat-lfp-100', selector: 'switch' } },
  { do: 'addLink', with: { part: 'iso-140' } },
  { do: 'addBlock', with: { part: 'fb-6' } },
  { do: 'addMonitor', with: { part: 'remote-touch' } },
  { do: 'addMonitor', with: { part: 'sender-tank', name: 'fresh water' } },
  { do: 'addMonitor', with: { part: 'meter-panel' } },
);

/** Every reference of a rig's things to another. */
const refs = (d: Design): readonly (readonly [collection: string, id: string])[] => [
  ...Object.values(d.arrays).flatMap((a) => (a.into ? [[a.into.in, a.into.id] as const] : [])),
  ...Object.values(d.converters).flatMap((c) => [
    ...(c.bank ? [['banks', c.bank] as const] : []),
    ...(c.from ? [[c.from.in, c.from.id] as const] : []),
    ...(c.inlet ? [['inlets', c.inlet] as const] : []),
  ]),
  ...Object.values(d.links).map((l) => ['banks', l.bank] as const),
  ...Object.values(d.banks).flatMap((b) => (b.selector ? [['switchgear', b.selector] as const] : [])),
  ...Object.values(d.monitors).flatMap((m) => [
    ...(m.measures === null ? [] : [['banks', m.measures] as const]),
    ...(m.shownBy === null ? [] : [['monitors', m.shownBy] as const]),
    ...(m.when ? [['monitors', m.when.of] as const] : []),
  ]),
];

describe('commands in any order', () => {
  it('leave every reference on something that is there, whatever is taken out again', () => {
    fc.assert(
      fc.property(fc.array(addition, { maxLength: 8 }), fc.array(fc.nat(20), { maxLength: 8 }), (adds, outs) => {
        let d = after(...adds);
        for (const n of outs) {
          const all = [d.banks, d.arrays, d.converters, d.links, d.switchgear, d.monitors, d.distribution].flatMap((c) => Object.keys(c));
          if (!all.length) return;
          const done = doCommand(d, { do: 'remove', with: { thing: all[n % all.length] } });
          if (!done.ok) throw new Error(done.message);
          d = done.design;
        }
        for (const [collection, id] of refs(d))
          expect(collection === 'vehicles' || id in (d as unknown as Record<string, object>)[collection]!)
            .withContext(`${collection} ${id}`)
            .toBeTrue();
        expect(readDesign(JSON.parse(JSON.stringify(d)))).toEqual({ ok: true, design: d });
      }),
    );
  });

  it('add and take out again lead back to the same document', () => {
    fc.assert(
      fc.property(addition, (asked) => {
        const d = after(asked);
        const made = [d.arrays, d.converters, d.banks, d.links, d.distribution, d.monitors]
          .flatMap((c) => Object.keys(c))
          .find((id) => !(id in { ...blank.converters, ...blank.banks, ...blank.distribution, ...blank.monitors }))!;
        const done = doCommand(d, { do: 'remove', with: { thing: made } });
        expect(done.ok && done.design).toEqual(blank);
      }),
    );
  });

  it('brings along what a power unit has inside, and takes it out with the unit', () => {
    const unit = after({ do: 'setBatteries', with: { batteries: 'house', part: 'unit-2400', count: 1 } });
    expect(insideTroubles(unit, SHIPPED_CATALOGUE)).toEqual([]);
    expect(unit.converters['unit-charger']).toEqual(jasmine.objectContaining({ part: 'unit-2400-charger', bank: 'house', from: { in: 'vehicles', id: 'starting' } }));
    expect(unit.converters['unit-inverter']?.part).toBe('unit-2400-inverter');
    const without = doCommand(unit, { do: 'setBatteries', with: { batteries: 'house', part: 'bat-lfp-200' } });
    expect(without.ok && Object.keys(without.design.converters).filter((id) => id.startsWith('unit'))).toEqual([]);
    expect(refusal(blank, { do: 'addConverter', with: { part: 'unit-2400-inverter' } })).toContain('is built into unit-2400');
  });
});
