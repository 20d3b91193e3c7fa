import type { Assessment } from '../assess/index.js';
import type { Catalogue, Chemistry } from '../catalogue/index.js';
import type { Design } from '../design/index.js';
import type { DayLoad } from '../loads/index.js';
import { withPort, type Plant } from '../plant/index.js';
import { figure, sentence } from '../quantity/index.js';
import { watchingW } from '../supply/index.js';
import { NONE, type Part } from './look.js';
import { mean } from './given.js';
import type { Flow } from './picture.js';

/** Loads named in a box, the hungriest first. */
const NAMED = 3;
/** Of a load that is named at all, Ah a day. */
const NAME_AH = 0.5;

/** Box of what measures and switches. */
const WATCHING = 'watching';

const SHORT: Readonly<Record<Chemistry, string>> = { lfp: 'lithium', agm: 'AGM', gel: 'gel', flooded: 'flooded' };

/** The banks. */
export function storing(a: Assessment, p: Plant): Part {
  const apart = a.inline.some((x) => x.id === 'charging');
  const things = p.banks.map((b): Part['things'][number] => {
    const gear = a.gear.find((g) => g.id === b.ref.id);
    const bank = b.selected ? a.supply.second : a.supply.bank;
    const says = b.batteries.map((x) => `${x.quantity > 1 ? `${x.quantity} × ` : ''}${figure(x.part.capacityAh, 0)} Ah ${SHORT[x.part.chemistry]}`);
    return {
      id: b.ref.id,
      column: 'stores',
      title: sentence(gear?.plain ?? 'house battery'),
      says: [...says.slice(0, 2), ...(bank ? [`${figure(bank.usableAh, 0)} Ah usable`] : []), ...(apart ? ['used, charged by turns'] : b.selected ? ['behind the selector'] : [])].slice(0, 3),
      looks: [],
    };
  });
  return { things, flows: [] };
}

/** The hungriest loads by name, with what each takes. */
function names(loads: readonly DayLoad[], scale: number): string[] {
  const hungry = [...loads].sort((x, y) => y.ahDay - x.ahDay).filter((l) => l.ahDay * scale >= NAME_AH);
  const left = loads.length - Math.min(NAMED - 1, hungry.length);
  const shown = hungry.length > NAMED ? hungry.slice(0, NAMED - 1) : hungry;
  return [...shown.map((l) => `${l.name} ${figure(l.ahDay * scale, 0)}`), ...(hungry.length > NAMED ? [`and ${left} more`] : [])];
}

interface Box {
  readonly id: string;
  readonly title: string;
  readonly of: readonly DayLoad[];
  readonly always: boolean;
}

/** The boards that loads on DC hang on: the first with all that hangs on no other. */
function boards(a: Assessment, p: Plant, loads: readonly DayLoad[]): readonly Box[] {
  const hub = p.distribution.find((d) => d.part?.kind === 'hub');
  const blocks = p.distribution.filter((d) => d.part?.kind === 'fuse-block');
  const [first, ...further] = hub ? [hub, ...blocks] : blocks;
  const feeds = new Map(a.runs.map((r) => [r.spec.id, r.spec]));
  const hungOn = (l: DayLoad): string | undefined => {
    let spec = a.runs.find((r) => r.spec.role === 'load feed' && r.spec.serves.id === l.id)?.spec;
    while (spec && !blocks.some((b) => b.ref.id === spec!.from.gear) && spec.parent !== null) spec = feeds.get(spec.parent);
    return spec?.from.gear;
  };
  const on = new Map(loads.map((l) => [l.id, hungOn(l)]));
  const others = further.map((b): Box => ({
    id: b.ref.id,
    title: sentence(a.gear.find((g) => g.id === b.ref.id)?.name ?? 'fuse block'),
    of: loads.filter((l) => on.get(l.id) === b.ref.id),
    always: true,
  }));
  const elsewhere = new Set(others.flatMap((b) => b.of));
  const rest = loads.filter((l) => !elsewhere.has(l));
  return [{ id: first?.ref.id ?? 'bus', title: hub ? 'Hub board' : first ? 'Fuse block' : 'Bus bars', of: rest, always: true }, ...others];
}

/** What keeps the starting battery up: each its share of what that takes. */
function keeping(a: Assessment, p: Plant, bank: string, scale: number, watchingWh: number): Part {
  const all = withPort(p, 'startOut');
  const ahDay = a.supply.bank ? (((a.day.gearWh - watchingWh) / a.supply.bank.nominalV) * scale) / Math.max(1, all.length) : 0;
  return {
    things: all.map((k) => ({
      id: k.ref.id,
      column: 'uses' as const,
      title: sentence(a.gear.find((g) => g.id === k.ref.id)?.name ?? k.part.name),
      says: ['for the starting battery', `up to ${figure(k.ports.startOut.outputA, 0)} A, above ${figure(k.ports.startOut.aboveV, 1)} V`],
      looks: [],
    })),
    flows: all.map((k): Flow => ({ from: bank, to: k.ref.id, kind: 'use', ahDay, hangs: null })),
  };
}

/** What measures and switches, in one box: each draws little, and all of them all day. */
function watching(p: Plant, bank: string, ahDay: number): Part {
  const all = p.monitors.filter((m) => m.part && m.part.kind !== 'shunt');
  if (!all.length) return NONE;
  return {
    things: [{ id: WATCHING, column: 'uses', title: 'Meters and relays', says: [`${all.length} of them, day and night`], looks: [] }],
    flows: [{ from: bank, to: WATCHING, kind: 'use', ahDay, hangs: null }],
  };
}

/** What the loads draw by: the block or board, the inverter, or straight off a post. */
export function using(design: Design, catalogue: Catalogue, a: Assessment, p: Plant): Part {
  const bank = p.banks[0]?.ref.id;
  if (bank === undefined) return NONE;
  const loads = a.day.loads;
  const day = a.day.ahDay;
  // The day's figures are of a travel day; the trip has its own mean over all its days.
  const scale = day > 0 ? mean(a.trip?.loadAh ?? []) / day : 0;
  const straight = (l: DayLoad): boolean => design.loads[l.id]?.feed.by === 'battery';
  const dc = loads.filter((l) => !l.mains && !straight(l));
  const inverters = withPort(p, 'mainsOut').map((i) => ({
    id: `${i.ref.id}:use`,
    title: sentence(i.inside ? 'its own inverter' : i.part.name),
    of: loads.filter((l) => l.inverter === i.ref.id),
    always: true,
  }));
  const boxes = [
    ...boards(a, p, dc),
    ...inverters,
    { id: 'no-inverter', title: 'No inverter', of: loads.filter((l) => l.mains && l.inverter === null), always: false },
    { id: 'always-live', title: 'Always live', of: loads.filter((l) => !l.mains && straight(l)), always: false },
  ].filter((b) => b.always || b.of.length);
  const watchingWh = 24 * watchingW(design, catalogue);
  const kept = keeping(a, p, bank, scale, watchingWh);
  const watched = watching(p, bank, (watchingWh / design.supply.houseV) * scale);
  return {
    things: [
      ...boxes.map((b): Part['things'][number] => ({ id: b.id, column: 'uses', title: b.title, says: b.of.length ? names(b.of, scale) : ['nothing hangs on it'], looks: [] })),
      ...kept.things,
      ...watched.things,
    ],
    flows: [...boxes.map((b): Flow => ({ from: bank, to: b.id, kind: 'use', ahDay: b.of.reduce((s, l) => s + l.ahDay, 0) * scale, hangs: null })), ...kept.flows, ...watched.flows],
  };
}
