import { chargerInputW, type Catalogue, type PartOf } from '../catalogue/index.js';
import type { Design } from '../design/index.js';
import { plant, takenBefore, withPort } from '../plant/index.js';
import type { DayFigures } from '../loads/index.js';
import type { Bank } from './bank.js';
import { dcdcsOf } from './chargers.js';

/** A starting battery that has lost more than this share may no longer crank a cold engine. */
export const CRANKS_DOWN_TO = 0.6;
/** Parked draw that is usual, mA; above it there is something to find. */
export const USUAL_PARKED_MA = 50;

/** One path that empties the starting battery while the engine is off. */
export interface Drain {
  readonly path: string;
  readonly amps: number;
  /** Until the engine no longer cranks, from a full battery, days; Infinity: it stops by itself before that. */
  readonly days: number;
  readonly stopsBy: string;
}

/** Days at so many amps. @example drainDays(80, 0.03) // 44.444444 */
export function drainDays(startingAh: number, amps: number): number {
  return amps > 0 ? ((1 - CRANKS_DOWN_TO) * startingAh) / (24 * amps) : Infinity;
}

function chargerDrain(design: Design, catalogue: Catalogue, bank: Bank | null): readonly Drain[] {
  const { brief } = design;
  const { supply } = design;
  const chargers = dcdcsOf(design, catalogue);
  // The first box after the battery waits there, and is what is switched: once, whatever hangs on it.
  const first = [...new Map(chargers.map((d) => [d.step?.ref.id ?? d.id, d])).entries()];
  return first.map(([id, { part: own, port, step }]): Drain => {
    const part = step?.part ?? own;
    const { trigger } = design.converters[id]!;
    const { standbyMa, cutOutV } = step?.ports.dcIn ?? port;
    const standby = standbyMa / 1000;
    if (trigger === 'always-live wire' && bank) {
      const takenW = chargers.filter((d) => (d.step?.ref.id ?? d.id) === id).reduce((w, d) => w + chargerInputW(d.port, bank.absorptionV) * d.share * takenBefore(d.step), 0);
      const amps = takenW / (12.6 * (brief.vehicleV / 12));
      return {
        path: `${part.name}, its trigger always live: it goes on charging the house bank`,
        amps,
        days: drainDays(supply.startingAh, amps),
        stopsBy: `its own cut-out at ${cutOutV} V, long after the engine would not crank`,
      };
    }
    return { path: `${part.name} waiting`, amps: standby, days: drainDays(supply.startingAh, standby), stopsBy: trigger === 'volts' ? 'volts below its threshold' : 'the trigger going dead' };
  });
}

/** A closed isolator leaves both batteries on the house loads until their volts open it. */
function isolatorDrain(design: Design, isolator: PartOf<'isolator'>, bank: Bank | null, houseA: number): readonly Drain[] {
  const { supply } = design;
  if (!bank) return [];
  const amps = (houseA * supply.startingAh) / (supply.startingAh + bank.capacityAh);
  return [{ path: `isolator closed until ${isolator.openV} V: its share of the house loads`, amps, days: Infinity, stopsBy: `opening at ${isolator.openV} V` }];
}

/** Loads that were hung on the vehicle's own circuits, where those stay live, or straight on its battery. */
function tappedDrains(design: Design, parked: Pick<DayFigures, 'onVehicle'>): readonly Drain[] {
  return parked.onVehicle.flatMap((l): Drain[] => {
    const { feed } = design.loads[l.id]!;
    const wire = feed.by === 'wire' ? design.brief.traces[feed.wire] : undefined;
    const amps = l.whDay / 24 / design.brief.vehicleV;
    if (feed.by === 'battery') return amps > 0 ? [{ path: `${l.name}, straight off the starting battery`, amps, days: drainDays(design.supply.startingAh, amps), stopsBy: 'nothing' }] : [];
    if (!wire || amps <= 0 || wire.live === 'ignition on' || wire.live === 'accessory' || wire.live === 'never') return [];
    return [{ path: `${l.name}, on the vehicle’s ${wire.colour || 'own'} wire to ${wire.to || 'an unnamed place'}`, amps, days: drainDays(design.supply.startingAh, amps), stopsBy: 'nothing' }];
  });
}

/** Every path by which the starting battery empties, the fastest first; `parked` is a day without driving. */
export function engineOffDrains(design: Design, catalogue: Catalogue, bank: Bank | null, parked: Pick<DayFigures, 'ahDay' | 'onVehicle'>): readonly Drain[] {
  const own = design.supply.parkedMa / 1000;
  const list: Drain[] = [
    { path: 'the vehicle’s own clocks, alarms and sockets', amps: own, days: drainDays(design.supply.startingAh, own), stopsBy: 'nothing' },
    ...chargerDrain(design, catalogue, bank),
    ...plant(design, catalogue).links.flatMap((l) => isolatorDrain(design, l.part, bank, parked.ahDay / 24)),
    ...tappedDrains(design, parked),
  ];
  return list.sort((a, b) => a.days - b.days);
}

/** What all endless paths draw together, A. */
const allA = (drains: readonly Drain[]): number => drains.filter((d) => Number.isFinite(d.days)).reduce((s, d) => s + d.amps, 0);

/** Most that what keeps the starting battery up gives it, A. */
const keptUpA = (design: Design, catalogue: Catalogue): number => withPort(plant(design, catalogue), 'startOut').reduce((s, c) => s + c.ports.startOut.outputA, 0);

/** Days until it will not crank with all endless paths together, less what keeps it up; Infinity: that is enough. */
export const daysToNoCrank = (design: Design, catalogue: Catalogue, drains: readonly Drain[]): number => drainDays(design.supply.startingAh, allA(drains) - keptUpA(design, catalogue));

/**
 * What keeping the starting battery up takes from the house bank, W: what drains it, over the maintainers’ loss, and what they draw themselves;
 * 0: nothing keeps it up.
 */
export function keepingUpW(design: Design, catalogue: Catalogue, drains: readonly Drain[]): number {
  const all = withPort(plant(design, catalogue), 'startOut');
  const most = keptUpA(design, catalogue);
  if (most <= 0) return 0;
  const share = Math.min(1, allA(drains) / most);
  return all.reduce((w, { ports: { startOut: s } }) => w + (share * s.outputA * s.holdV) / s.efficiency + (s.ownMa / 1000) * s.inputV, 0);
}
