import { houseNodes, passing } from '../circuit/index.js';
import { BARS } from '../plant/index.js';
import type { RunAmps, RunEnd, RunSpec } from '../routes/index.js';
import { alternatorBudget, dcdcsOf, leadChargersOf, mainsChargersOf } from '../supply/index.js';
import { lastingLoadsA, usualLoadsA } from './amps.js';
import { endOf, type DraftContext } from './context.js';
import { controllerOutA, portableOutA } from './controller.js';

/** Where chargers give what they give: the bars, or behind a charging selector a bar of their own; null: there are no bars. */
export function chargeEnd(c: DraftContext): RunEnd | null {
  const bus = c.gear.get(BARS.id);
  const apart = c.inline.some((p) => p.id === 'charging');
  return bus ? { ...endOf(bus), ...houseNodes(c.inline).charge, ...(apart ? { name: 'charging bar' } : {}) } : null;
}

/** What so many amps of charge meet on their way from there to the bank, as their share of all that may come at once; after what the run passes itself. */
export function throughSelector(c: DraftContext, amps: number, own: RunSpec['limitingParts'] = []): Pick<RunSpec, 'inline' | 'limitingParts'> {
  const allA = allChargeA(c);
  const { inline } = passing(c.inline, ['charging'], allA > 0 ? Math.min(1, amps / allA) : 1);
  // What one of them may have as its fuse, the selector bears anyhow: the main fuse in front of it is held to its rating.
  return { inline, limitingParts: [...own, ...passing(c.inline, ['charging']).limitingParts] };
}

/** What a sensing link carries: all that the bank takes and the loads draw, as far as the alternator has it left on the road. */
export function linkAmps(c: DraftContext): RunAmps {
  const mostA = Math.max(alternatorBudget(c.design.brief.alternator.ratedA, { idleA: 0, roadA: 0 }).leftCruiseA, 10);
  const loads = c.day.loads.filter((l) => !l.mains);
  const { maxChargeA } = c.bank!;
  return {
    lastingA: Math.min(mostA, maxChargeA + lastingLoadsA(c, loads)),
    lastingWhy: 'what the battery takes and all loads draw together, as far as the alternator has it left on the road',
    usualA: Math.min(mostA, maxChargeA + usualLoadsA(c, loads)),
    usualWhy: 'what the battery takes and the loads of a usual day draw, as far as the alternator has it left on the road',
  };
}

/** All that can be pressed into the bank at once: every charger and controller at its limit, or the link, A. */
export function allChargeA(c: DraftContext): number {
  const { design, catalogue, bank, arrays } = c;
  if (!bank) return 0;
  const sum = <T>(list: readonly T[], of: (x: T) => number): number => list.reduce((s, x) => s + of(x), 0);
  // What is built into the battery itself passes no lead of it.
  const passes = (unit: string): boolean => !c.plant.converters.some((x) => x.inside && x.ref.id === unit);
  const dcdcs = dcdcsOf(design, catalogue).filter((d) => passes(d.id));
  const vehicle = sum(dcdcs, (d) => d.port.outputA * d.share) + sum(c.plant.links, () => linkAmps(c).usualA);
  const sun = sum(arrays, (a) => (a.controller ? controllerOutA(a, bank) : 0));
  // A portable panel is out only while the vehicle stands.
  const portable = portableOutA(
    arrays.flatMap((a) => a.portables),
    bank,
  );
  // A charger with three inputs gives what the vehicle gives, or what the mains give.
  const onLeads = leadChargersOf(design, catalogue).filter((d) => passes(d.id));
  const ofVehicle = new Set([...dcdcs, ...onLeads].map((d) => d.id));
  const mains = mainsChargersOf(design, catalogue).filter((m) => passes(m.unit) && !ofVehicle.has(m.unit));
  const leads = sum(onLeads, (d) => d.port.outputA * d.share);
  return Math.max(vehicle, portable) + leads + sun + sum(mains, (m) => m.outputA);
}
