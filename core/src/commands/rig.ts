import { z } from 'zod';
import { CONVERTER_KINDS, convertsOf, MONITOR_KINDS, portsIn, portsOf, readOwnPart, type PartKind, sunOnly, watchesOf } from '../catalogue/index.js';

import { command, Refused } from './command.js';
import { bankFor, feed, sunTarget, takesSun } from './hang.js';
import { fitInside } from './inside.js';
import { collectionOf, freshId, known, lastOrder, mainsInlet, partOf, type RigCollection } from './things.js';
import { takeOut } from './take-out.js';

const id = z
  .string()
  .regex(/^[a-z][a-z0-9-]*$/, { message: 'small letters, digits and dashes, a letter first' })
  .max(40);
const share = z.number().min(0).max(1);
const count = z.number().int().min(1);
const thing = { id: id.optional(), name: z.string().max(80).default('') };

/** Batteries as a bank of their own, in use always or behind a selector. */
export const addBank = command({
  input: z.strictObject({ ...thing, part: id, count: count.max(12).default(1), selector: id.nullable().default(null) }),
  words: (i) => `another bank: ${i.count} × ${i.part}`,
  change: (d, i, catalogue) => {
    partOf(catalogue, ['battery'], i.part);
    const made = freshId(d, i.id, 'bank');
    if (i.selector !== null) known(d, 'switchgear', i.selector, 'selector');
    d.banks[made] = { order: lastOrder(d.banks), name: i.name, batteries: { [made]: { order: 1, part: i.part, count: i.count } }, selector: i.selector };
    fitInside(d, catalogue);
  },
});

/** More batteries in a bank, joined to those that are there. */
export const addBatteries = command({
  input: z.strictObject({ id: id.optional(), bank: id, part: id, count: count.max(12).default(1) }),
  words: (i) => `${i.count} × ${i.part} into ${i.bank}`,
  change: (d, i, catalogue) => {
    partOf(catalogue, ['battery'], i.part);
    const bank = known(d, 'banks', i.bank, 'bank');
    bank.batteries[freshId(d, i.id, 'battery')] = { order: lastOrder(bank.batteries), part: i.part, count: i.count };
    fitInside(d, catalogue);
  },
});

/** What batteries of a bank are, and how many. */
export const setBatteries = command({
  input: z.strictObject({ batteries: id, part: id.optional(), count: count.max(12).optional() }),
  words: (i) => `batteries ${i.batteries}: ${[i.count, i.part].filter(Boolean).join(' × ')}`,
  change: (d, i, catalogue) => {
    const lot = Object.values(d.banks).find((b) => b.batteries[i.batteries])?.batteries[i.batteries];
    if (!lot)
      throw new Refused(
        `batteries: ${i.batteries} is none; ${Object.values(d.banks)
          .flatMap((b) => Object.keys(b.batteries))
          .join(', ')}`,
      );
    if (i.part !== undefined) partOf(catalogue, ['battery'], i.part);
    Object.assign(lot, { part: i.part ?? lot.part, count: i.count ?? lot.count });
    fitInside(d, catalogue);
  },
});

/** Panels of one part; where nothing is said they go to a regulator that has none yet, else beside those of the first, a portable one with its own to the bank. */
export const addArray = command({
  input: z.strictObject({
    ...thing,
    part: id,
    count: count.max(40).default(1),
    inSeries: count.max(10).default(1),
    shade: share.default(0),
    portable: z
      .strictObject({ regulated: z.boolean(), hours: z.number().min(0).max(24).default(6) })
      .nullable()
      .default(null),
    into: id.optional(),
    startBelow: share.nullable().default(null),
  }),
  words: (i) => `another array: ${i.count} × ${i.part}`,
  change: (d, i, catalogue) => {
    partOf(catalogue, ['panel'], i.part);
    const used = new Set(Object.values(d.arrays).flatMap((a) => (a.part !== null && a.into ? [a.into.id] : [])));
    const takers = Object.entries(d.converters)
      .sort(([, a], [, b]) => a.order - b.order)
      .filter(([, c]) => takesSun(catalogue, c));
    // A controller that waits for panels is there for nothing else; a charger has another input.
    const unused = takers.filter(([key]) => !used.has(key));
    const free = unused.find(([, c]) => sunOnly(portsIn(catalogue, c.part)!)) ?? unused[0] ?? takers[0];
    const usual = i.portable?.regulated ? bankFor(d, undefined) : free?.[0];
    const into = i.into ?? usual;
    const { name, part, count: n, inSeries, shade, portable, startBelow } = i;
    d.arrays[freshId(d, i.id, 'array')] = { order: lastOrder(d.arrays), name, part, count: n, inSeries, shade, portable, into: into === undefined ? null : sunTarget(d, catalogue, into), startBelow };
  },
});

/** A charger, controller, mains charger or inverter, on the bank and the feed that are named, else on the usual ones. */
export const addConverter = command({
  input: z.strictObject({
    ...thing,
    part: id,
    bank: id.optional(),
    from: id.nullable().optional(),
    inlet: id.nullable().optional(),
    half: z.boolean().default(false),
    trigger: z.enum(['ignition wire', 'volts', 'always-live wire']).default('ignition wire'),
    inhibit: z.boolean().default(false),
  }),
  words: (i) => `another box: ${i.part}`,
  change: (d, i, catalogue) => {
    const part = partOf(catalogue, CONVERTER_KINDS, i.part);
    if (part.inside !== undefined) throw new Refused(`part: ${i.part} is built into ${part.inside}; a bank of that is accepted, which brings it along`);
    const made = freshId(d, i.id, convertsOf(part).stem);
    const { dcIn, mainsIn, mainsOut } = portsOf(part);
    const wantsInlet = mainsIn !== null || mainsOut !== null;
    if (i.inlet && known(d, 'inlets', i.inlet, 'inlet').dc) throw new Refused(`inlet: ${i.inlet} is one of a DC lead; one for 230 V is accepted here, that as from`);
    const from = i.from === undefined ? (dcIn ? 'starting' : null) : i.from;
    d.converters[made] = {
      order: lastOrder(d.converters),
      name: i.name,
      part: i.part,
      bank: bankFor(d, i.bank),
      from: null,
      inlet: i.inlet === undefined ? (wantsInlet ? mainsInlet(d) : null) : i.inlet,
      half: i.half,
      trigger: i.trigger,
      inhibit: i.inhibit,
    };
    if (from !== null) feed(d, catalogue, made, from);
  },
});

/** A tie between the vehicle’s starting battery and a bank. */
export const addLink = command({
  input: z.strictObject({ ...thing, part: id, bank: id.optional() }),
  words: (i) => `a link: ${i.part}`,
  change: (d, i, catalogue) => {
    partOf(catalogue, ['isolator'], i.part);
    d.links[freshId(d, i.id, 'link')] = { order: lastOrder(d.links), name: i.name, part: i.part, vehicle: 'starting', bank: bankFor(d, i.bank) };
  },
});

/** A fuse block on the bars, with a fused feed of its own: one near what it feeds, as at the rear of a van. */
export const addBlock = command({
  input: z.strictObject({ ...thing, part: id }),
  words: (i) => `another fuse block: ${i.part}`,
  change: (d, i, catalogue) => {
    partOf(catalogue, ['fuse-block'], i.part);
    d.distribution[freshId(d, i.id, 'block')] = { order: lastOrder(d.distribution), name: i.name, kind: 'fuse block', part: i.part };
  },
});

/** What measures, shows or switches: beside the bank unless something else is named; a sender reports to the remote unit that is there. */
export const addMonitor = command({
  input: z.strictObject({
    ...thing,
    part: id,
    measures: id.nullable().optional(),
    shownBy: id.nullable().optional(),
    switches: z.array(id).max(32).default([]),
    when: z
      .strictObject({ of: id, is: z.enum(['above', 'below']), value: z.number() })
      .nullable()
      .default(null),
  }),
  words: (i) => `${i.name || 'a monitor'}: ${i.part}`,
  change: (d, i, catalogue) => {
    const part = partOf(catalogue, MONITOR_KINDS, i.part);
    const { reads, outputs, shows, stem } = watchesOf(part);
    const most = outputs(part)?.count ?? 0;
    if (i.switches.length > most) throw new Refused(`switches: ${i.switches.length} loads, but ${part.name} has ${most} outputs; no more are accepted`);
    const gone = i.switches.find((l) => !(l in d.loads));
    if (gone !== undefined) throw new Refused(`switches: ${gone} is none of the loads; ${Object.keys(d.loads).join(', ') || 'there are none yet'}`);
    for (const [field, of] of [
      ['shownBy', i.shownBy],
      ['when.of', i.when?.of],
    ] as const)
      if (of) known(d, 'monitors', of, field);
    const ofBank = ['charge', 'volts', 'volts and amps'].includes(reads(part) ?? '');
    const screen = Object.entries(d.monitors).find(([, m]) => catalogue.find('remote', m.part));
    d.monitors[freshId(d, i.id, stem)] = {
      order: lastOrder(d.monitors),
      name: i.name,
      part: i.part,
      measures: i.measures === undefined ? (ofBank ? bankFor(d, undefined) : null) : i.measures,
      shownBy: i.shownBy === undefined ? (shows(part) || reads(part) === 'charge' ? null : (screen?.[0] ?? null)) : i.shownBy,
      switches: i.switches,
      when: i.when,
    };
  },
});

/** A part of the workshop’s own: its plate’s figures, the rest defaulted; of the same id it takes the older one’s place. */
export const addPart = command({
  input: z.looseObject({ kind: z.string(), name: z.string() }),
  words: (i) => `own part: ${i.name}`,
  change: (d, i) => {
    const own = readOwnPart(i);
    if (!own.ok) throw new Refused(own.message);
    d.parts[own.part.id] = own.part;
  },
});

/** Hangs an array on another regulator or bank, a converter on another bank or feed. */
export const hang = command({
  input: z.strictObject({ thing: id, on: id }),
  words: (i) => `${i.thing} on ${i.on}`,
  change: (d, { thing: what, on }, catalogue) => {
    if (d.arrays[what]) d.arrays[what].into = sunTarget(d, catalogue, on);
    else if (d.converters[what] && d.banks[on]) d.converters[what].bank = on;
    else if (d.converters[what]) feed(d, catalogue, what, on);
    else throw new Refused(`thing: ${what} is none of the arrays and converters; ${[...Object.keys(d.arrays), ...Object.keys(d.converters)].join(', ')}`);
  },
});

/** Kinds of part that things of a collection may be. */
const PARTS_IN: Partial<Record<RigCollection, readonly PartKind[]>> = {
  arrays: ['panel'],
  converters: CONVERTER_KINDS,
  links: ['isolator'],
  distribution: ['fuse-block', 'hub'],
  switchgear: ['switch', 'disconnect'],
  monitors: MONITOR_KINDS,
};

/** Changes fields of one thing; what it may hold is checked with the whole document. */
export const changeThing = command({
  input: z.strictObject({ thing: id, set: z.record(z.string(), z.unknown()) }),
  words: (i) => `${Object.keys(i.set).join(', ')} of ${i.thing}`,
  change: (d, { thing: what, set }, catalogue) => {
    const where = collectionOf(d, what);
    if (!where) throw new Refused(`thing: ${what} is not there`);
    const now = d[where][what] as Record<string, unknown>;
    const odd = Object.keys(set).find((k) => !(k in now));
    if (odd !== undefined) throw new Refused(`set.${odd}: not a field of ${what}; ${Object.keys(now).join(', ')} are accepted`);
    if (typeof set['part'] === 'string') partOf(catalogue, PARTS_IN[where] ?? [], set['part']);
    Object.assign(now, set);
  },
});

/** Takes a thing out; what hung on it hangs where it can, or on nothing. */
export const remove = command({
  input: z.strictObject({ thing: id }),
  words: (i) => `without ${i.thing}`,
  change: (d, { thing: what }, catalogue) => {
    if (!collectionOf(d, what)) throw new Refused(`thing: ${what} is not there`);
    takeOut(d, what, catalogue);
  },
});
