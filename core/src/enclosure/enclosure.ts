import type { BatteryPart, Catalogue } from '../catalogue/index.js';
import type { Design, Zone } from '../design/index.js';
import { outsideDiameterMm } from '../cable/index.js';
import { boxesOf, type Gear, openSides, restraints, STRAP_N } from '../places/index.js';
import { laidCables, type LayoutFigures, type SizedRun } from '../routes/index.js';
import { boxMiddle, vehicleOf } from '../vehicle/index.js';
import { glandFor } from './glands.js';
import { pointsOf, type Built, type EnclosurePoint } from './points.js';
import { cutSheets, type Axis, type Entry } from './sheets.js';
import { ventFor } from './vent.js';

/** A box round gear as it is built: its sheets with their holes, what goes through them, and what is checked of it. */
export interface Enclosure extends Built {
  /** The zone that it is. */
  readonly zone: string;
  readonly name: string;
  readonly insideMm: readonly [long: number, wide: number, high: number];
  readonly holds: readonly string[];
  readonly points: readonly EnclosurePoint[];
}

/** Every cable that goes through a box’s wall, each pole by itself. */
function cablesThrough(
  inside: ReadonlySet<string>,
  runs: readonly SizedRun[],
  leads: LayoutFigures['leads'],
  zoneOf: (gear: string) => string | undefined,
  zone: string,
): { readonly name: string; readonly mm: number }[] {
  const through = runs.filter((r) => inside.has(r.spec.from.gear) !== inside.has(r.spec.to.gear));
  const thin = leads.filter((l) => (zoneOf(l.from) === zone) !== (zoneOf(l.to) === zone));
  return [...laidCables(through), ...thin.map((l) => ({ name: `${l.number} ${l.name}`, mm: l.diameterMm || outsideDiameterMm(1) }))];
}

/** Batteries of the banks that stand in a box, each by itself. */
function batteriesIn(design: Design, catalogue: Catalogue, within: readonly Gear[]): readonly BatteryPart[] {
  const banks = new Set(within.flatMap((g) => (g.role === 'house' ? [g.ref.id] : [])));
  return [...banks].flatMap((id) =>
    Object.values(design.banks[id]?.batteries ?? {}).flatMap(({ part, count }) => {
      const battery = catalogue.find('battery', part);
      return battery ? Array<BatteryPart>(count).fill(battery) : [];
    }),
  );
}

/** Boxes of a design as they are built. */
export function enclosuresOf(design: Design, catalogue: Catalogue, gear: readonly Gear[], runs: readonly SizedRun[], layout: Pick<LayoutFigures, 'leads' | 'troubles'>): readonly Enclosure[] {
  const vehicle = vehicleOf(design);
  return boxesOf(vehicle).flatMap((zone: Zone): Enclosure[] => {
    const face = vehicle.faces.find((f) => f.zone === zone.id);
    if (!face) return [];
    const within = gear.filter((g) => g.zone === zone.id);
    const inside = new Set(within.map((g) => g.id));
    const byId = new Map(gear.map((g) => [g.id, g.zone]));
    const cables = cablesThrough(inside, runs, layout.leads, (id) => byId.get(id), zone.id);
    const entries = cables.flatMap(({ name, mm }): Entry[] => {
      const gland = glandFor(mm);
      return gland ? [{ name, gland }] : [];
    });
    const batteries = batteriesIn(design, catalogue, within);
    const vent = batteries.length ? ventFor(batteries) : null;
    const middle = boxMiddle(zone.box);
    const hole = vehicle.waypoints.find((w) => w.id === `${zone.id}-hole`);
    const from = hole?.at ?? middle;
    const size: Readonly<Record<Axis, number>> = { x: zone.box.l, y: zone.box.w, z: zone.box.h };
    const towards = { x: (from.x - middle.x) / size.x, y: (from.y - middle.y) / size.y, z: (from.z - middle.z) / size.z };
    const room = vehicle.zones.find((z) => z.id === hole?.zone);
    const beside = gear.flatMap((g) => (g.zone === room?.id ? [g.box] : []));
    const { sheets, left } = cutSheets(zone.box, face.normal, entries, vent, towards, openSides(zone.box, face.normal, room?.box ?? zone.box, beside));
    const [hold] = restraints(within);
    const isolators = within.filter((g) => g.ref.in === 'switchgear' && design.switchgear[g.ref.id]?.does === 'main switch');
    const enclosure: Omit<Enclosure, 'points'> = {
      zone: zone.id,
      name: zone.name,
      insideMm: [zone.box.l, zone.box.w, zone.box.h],
      sheets,
      entries: entries.filter((e) => !left.includes(e)),
      studs: [...cables.filter((c) => !glandFor(c.mm)).map((c) => c.name), ...left.map((e) => e.name)],
      vent,
      holds: within.map((g) => g.name),
      restraint: hold ? { name: hold.name, forwardN: hold.forwardN, straps: hold.straps, strapN: STRAP_N } : null,
    };
    return [{ ...enclosure, points: pointsOf(enclosure, { sealed: !zone.people, isolatorIn: isolators[0]?.name ?? null, troubles: layout.troubles.filter((t) => inside.has(t.gear)) }) }];
  });
}
