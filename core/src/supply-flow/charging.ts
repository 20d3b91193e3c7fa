import type { Assessment } from '../assess/index.js';
import type { Catalogue } from '../catalogue/index.js';
import { asOfNow, type Design } from '../design/index.js';
import { fromInlet, OWN_VEHICLE, type ConverterThing, type Plant } from '../plant/index.js';
import { figure, sentence } from '../quantity/index.js';
import { mainsChargersOf } from '../supply/index.js';
import { mean, sunGiven, type SunGiven } from './given.js';
import type { Flow, FlowKind, FlowThing } from './picture.js';

export type Part = { readonly things: readonly Omit<FlowThing, 'idle'>[]; readonly flows: readonly Flow[] };

const ah = (x: number): string => `${figure(x, 0)} Ah`;

/** Below this nothing is told, Ah a day. */
const TELL_AH = 0.5;

interface Look {
  readonly design: Design;
  readonly a: Assessment;
  readonly p: Plant;
  readonly bankOf: (c: ConverterThing) => string | null;
  readonly waits: ReadonlySet<string>;
}

const nameOf = ({ a, p }: Look, id: string, otherwise: string): string => {
  const thing = p.converters.find((c) => c.ref.id === id);
  if (thing?.inside) return thing.part.kind === 'inverter' ? 'Its inverter-charger' : 'Its own charger';
  return sentence(a.gear.find((g) => g.id === id)?.name ?? otherwise);
};

const ribbon = (from: string, to: string, kind: FlowKind, ahDay: number, hangs: string | null): Flow => ({ from, to, kind, ahDay, hangs });

/** The engine, with the chargers and links that it feeds. */
function byEngine(l: Look): Part {
  const { design, a, p } = l;
  const { alternator, trip } = design.brief;
  const chargers = p.converters.filter((c) => c.inputs.some((i) => i.by === 'vehicle'));
  if (!chargers.length && !p.links.length) return { things: [], flows: [] };
  const allAh = mean(a.trip?.alternatorAh ?? []);
  const outA = (c: ConverterThing): number => (l.waits.has(c.ref.id) || c.part.kind !== 'dcdc' ? 0 : c.part.outputA * c.share);
  const sum = chargers.reduce((s, c) => s + outA(c), 0);
  const engine: Part['things'][number] = {
    id: OWN_VEHICLE.id,
    column: 'gives',
    title: 'Alternator',
    says: [`${figure(alternator.ratedA, 0)} A, ${alternator.voltage}`, `${figure(Math.max(0, a.supply.alternator.leftCruiseA), 0)} A left on the road`, `driving ${figure(trip.drivingH, 1)} h a day`],
    looks: a.supply.alternator.over ? ['chargers want more than it has'] : [],
  };
  const links = p.links.map((x, n) => ({ id: x.ref.id, share: chargers.length || n ? 0 : 1, name: nameOf(l, x.ref.id, x.part.name), says: [`up to ${x.part.ratedA} A`], efficiency: 1 }));
  const boxes = chargers.map((c) => ({
    id: c.ref.id,
    share: sum > 0 ? outA(c) / sum : 0,
    name: nameOf(l, c.ref.id, c.part.name),
    says: [`${figure(outA(c), 0)} A${c.share < 1 ? ', half power' : ''}`, ...(c.part.kind === 'dcdc' ? [`loses ${figure(100 * (1 - c.part.efficiency), 0)} % as heat`] : [])],
    efficiency: c.part.kind === 'dcdc' ? c.part.efficiency : 1,
  }));
  const all = [...boxes, ...links];
  const house = p.banks[0]?.ref.id;
  return {
    things: [engine, ...all.map((b) => ({ id: b.id, column: 'converts' as const, title: b.name, says: b.says, looks: l.waits.has(b.id) ? ['for later'] : [] }))],
    flows: all.flatMap((b) => {
      const bank = l.bankOf(p.converters.find((c) => c.ref.id === b.id)!) ?? house;
      const passes = allAh * b.share;
      return [
        ribbon(engine.id, b.id, 'engine', passes / b.efficiency, null),
        ...(bank === undefined ? [] : [ribbon(b.id, bank, 'engine', passes, p.links.some((x) => x.ref.id === b.id) ? null : b.id)]),
      ];
    }),
  };
}

/** What of a group's panels is put down to each array: by the watt-hours of a clear day. */
function sharesOf({ array }: SunGiven, parkedShare: number): readonly (readonly [id: string, share: number, watts: number, out: boolean, count: number])[] {
  const sum = (w: readonly number[]): number => w.reduce((s, x) => s + x, 0);
  const rated = array.fixed.reduce((s, f) => s + f.part.ratedW * f.quantity, 0);
  const fixed = array.fixed.map((f) => [f.ref.id, rated > 0 ? (sum(array.clearDayW) * f.part.ratedW * f.quantity) / rated : 0, f.part.ratedW * f.quantity, false, f.quantity] as const);
  const out = array.portables.map((x) => [x.ref.id, sum(x.clearDayW) * x.yieldShared * parkedShare, x.ratedW, true, x.count] as const);
  const all = [...fixed, ...out];
  const whole = all.reduce((s, [, w]) => s + w, 0);
  return all.map(([id, w, watts, isOut, count]) => [id, whole > 0 ? w / whole : 1 / all.length, watts, isOut, count]);
}

function lostWords({ array, clippedAh, spareAh, eitherAh }: SunGiven): string[] {
  return [
    ...(eitherAh > TELL_AH ? [`${ah(eitherAh)} a day find no room`] : []),
    ...(clippedAh > TELL_AH ? [array.maxA === null ? `${ah(clippedAh)} a day find no room` : `${ah(clippedAh)} a day kept out: ${figure(array.maxA, 0)} A is its limit`] : []),
    ...(spareAh > TELL_AH ? [`${ah(spareAh)} a day find the bank full`] : []),
  ];
}

/** The panels, what regulates them, and what of their sun finds no room. */
function bySun(l: Look, given: readonly SunGiven[]): Part {
  const { design, p } = l;
  const { days, parkedDays } = design.brief.trip;
  const house = p.banks[0]?.ref.id;
  return given.reduce<Part>(
    (all, g) => {
      const regulator = g.array.regulator?.id ?? null;
      const offered = g.usedAh + g.clippedAh + g.spareAh + g.eitherAh;
      const looks = lostWords(g);
      const sources = sharesOf(g, days > 0 ? parkedDays / days : 0);
      const things = sources.map(([id, , watts, out, count], n): Part['things'][number] => {
        const a = design.arrays[id];
        const inSeries = a?.inSeries ?? 1;
        const says = [
          ...(count > 1 ? [`${count} × ${figure(watts / count, 0)} W${inSeries > 1 ? `, ${inSeries} in series` : ''}`] : []),
          ...(out ? ['out when parked'] : (a?.shade ?? 0) > 0 ? [`${figure(100 * a!.shade, 0)} % in shade`] : count > 1 ? [] : ['fixed']),
        ];
        const title = out ? `Portable panel ${figure(watts, 0)} W` : `${count > 1 ? 'Panels' : 'Panel'} ${figure(watts, 0)} W`;
        const nowhere = a?.into === null ? ['hangs on nothing yet'] : [];
        return { id, column: 'gives', title, says, looks: [...nowhere, ...(regulator === null && n === 0 ? looks : [])] };
      });
      const box = p.converters.find((c) => c.ref.id === regulator);
      const isController = box?.part.kind === 'solar-controller';
      const controller: Part['things'] = isController
        ? [
            {
              id: box.ref.id,
              column: 'converts',
              title: nameOf(l, box.ref.id, box.part.name),
              says: [`${box.part.way.toUpperCase()}, ${figure(box.part.maxA, 0)} A, ${figure(box.part.maxV, 0)} V`],
              looks,
            },
          ]
        : [];
      const bank = (box && l.bankOf(box)) ?? house;
      // Straight to a bank a panel brings what is used; into a regulator what it could.
      const toRegulator = regulator === null ? g.usedAh : offered;
      const into = sources.flatMap(([id, share]) => {
        const to = regulator ?? (design.arrays[id]?.into ? bank : undefined);
        return to === undefined ? [] : [ribbon(id, to, 'sun', toRegulator * share, id)];
      });
      const on = regulator !== null && bank !== undefined ? [ribbon(regulator, bank, 'sun', g.usedAh, isController ? regulator : null)] : [];
      return { things: [...all.things, ...things, ...controller], flows: [...all.flows, ...into, ...on] };
    },
    { things: [], flows: [] },
  );
}

/** The inlet, and what charges from it. */
function byMains(l: Look, catalogue: Catalogue): Part {
  const { design, a, p } = l;
  const units = fromInlet(p);
  if (!units.length) return { things: [], flows: [] };
  const allAh = mean(a.trip?.mainsAh ?? []);
  const chargers = mainsChargersOf(design, catalogue).filter((m) => !l.waits.has(m.unit));
  const sum = chargers.reduce((s, m) => s + m.outputA, 0);
  const { mainsNights, mainsH } = design.brief.trip;
  const inlets = [...new Set(units.flatMap((c) => c.inputs.filter((i) => i.by === 'inlet').map((i) => i.ref.id)))];
  const things = inlets.map((id): Part['things'][number] => {
    const typed = design.inlets[id]?.hours.length ?? 0;
    return {
      id,
      column: 'gives',
      title: 'Mains inlet',
      says: [mainsNights === 'never' ? (typed ? 'a generator’s hours' : 'never on this trip') : mainsNights, ...(mainsNights !== 'never' ? [`${figure(mainsH, 0)} h a night`] : [])],
      looks: [],
    };
  });
  const boxes = units.map((c): Part['things'][number] => {
    const amps = chargers.find((m) => m.unit === c.ref.id)?.outputA ?? 0;
    return { id: c.ref.id, column: 'converts', title: nameOf(l, c.ref.id, c.part.name), says: [`${figure(amps, 0)} A from the mains`], looks: l.waits.has(c.ref.id) ? ['for later'] : [] };
  });
  const house = p.banks[0]?.ref.id;
  const flows = units.flatMap((c) => {
    const share = sum > 0 ? (chargers.find((m) => m.unit === c.ref.id)?.outputA ?? 0) / sum : 0;
    const bank = l.bankOf(c) ?? house;
    const inlet = c.inputs.find((i) => i.by === 'inlet')!.ref.id;
    return [ribbon(inlet, c.ref.id, 'mains', allAh * share, null), ...(bank === undefined ? [] : [ribbon(c.ref.id, bank, 'mains', allAh * share, c.ref.id)])];
  });
  return { things: [...things, ...boxes], flows };
}

/** Boxes of the same id once, with what each way says of it; ribbons between the same two of one sort once. */
function merged(parts: readonly Part[]): Part {
  const things = new Map<string, Part['things'][number]>();
  for (const t of parts.flatMap((x) => x.things)) {
    const known = things.get(t.id);
    things.set(t.id, known ? { ...known, says: [...known.says.slice(0, 1), ...t.says].slice(0, 3), looks: [...known.looks, ...t.looks] } : t);
  }
  return { things: [...things.values()], flows: parts.flatMap((x) => x.flows) };
}

/** Everything that charges: sources and what stands between them and the bank. */
export function charging(design: Design, catalogue: Catalogue, a: Assessment, p: Plant): Part {
  const now = asOfNow(design);
  const waits = new Set(Object.keys(design.converters).filter((id) => !(id in now.converters)));
  const l: Look = { design, a, p, bankOf: (c) => c?.charges?.id ?? null, waits };
  const sun = sunGiven(design, catalogue, a);
  const part = merged([byEngine(l), bySun(l, sun), byMains(l, catalogue)]);
  // What the sun cannot use through a charger is told at the charger.
  const tells = new Map(sun.flatMap((g) => (g.array.regulator && g.array.throughCharger ? [[g.array.regulator.id, lostWords(g)] as const] : [])));
  return { ...part, things: part.things.map((t) => ({ ...t, looks: [...t.looks, ...(tells.get(t.id) ?? [])] })) };
}
