import type { Catalogue } from '../catalogue/index.js';
import type { Design, Load } from '../design/index.js';
import { bankOf } from '../supply/index.js';
import { layOut, VEHICLE_TEMPLATES, type GearBox, type GearItem, type GearRole, type Zone } from '../vehicle/index.js';

/** A thing that is fitted, with where it goes. */
export interface Gear extends GearBox {
  readonly role: GearRole;
  readonly name: string;
  readonly zoneName: string;
  readonly ambientC: number;
  readonly people: boolean;
  /** The place was chosen by a person, not drafted. */
  readonly placed: boolean;
}

/** Drawn sizes in the side view, mm. */
const SIZE_MM: Readonly<Record<GearRole, readonly [number, number]>> = {
  starting: [250, 190],
  charger: [180, 150],
  house: [330, 230],
  bus: [190, 110],
  block: [190, 140],
  inverter: [400, 200],
  panel: [1500, 40],
  controller: [170, 130],
  mains: [200, 150],
  load: [200, 150],
};
const FRIDGE_MM: readonly [number, number] = [600, 420];

interface Wanted {
  readonly id: string;
  readonly role: GearRole;
  readonly name: string;
  readonly size?: readonly [number, number];
}

function loadName(load: Load): string {
  return load.name || 'unnamed load';
}

/** What a design calls for, in the order in which it is set down. */
function wanted(design: Design, catalogue: Catalogue): Wanted[] {
  const { supply } = design;
  const bank = bankOf(design, catalogue);
  const out: Wanted[] = [];
  if (supply.isolation !== 'none') out.push({ id: 'starting', role: 'starting', name: 'starting battery' });
  if (bank) {
    const [w, h] = SIZE_MM.house;
    const count = bank.strings * bank.inSeries;
    out.push({ id: 'house', role: 'house', name: `house battery ${bank.capacityAh} Ah`, size: [w * Math.min(count, 3), h] });
    out.push({ id: 'bus', role: 'bus', name: 'bus bars' });
  }
  const charger = supply.isolation === 'dcdc' ? catalogue.find('dcdc', supply.dcdc) : supply.isolation === 'isolator' ? catalogue.find('isolator', supply.isolator) : null;
  if (charger) out.push({ id: 'charger', role: 'charger', name: charger.kind === 'dcdc' ? 'charger' : 'isolator' });
  if (supply.isolation === 'dcdc' && catalogue.find('dcdc', supply.dcdcSecond)) out.push({ id: 'charger2', role: 'charger', name: 'second charger' });
  const inverter = catalogue.find('inverter', supply.inverter);
  if (inverter) out.push({ id: 'inverter', role: 'inverter', name: `inverter ${inverter.ratedW} W` });
  if (catalogue.find('fuse-block', supply.fuseBlock)) out.push({ id: 'block', role: 'block', name: 'fuse block' });
  const panel = catalogue.find('panel', supply.sun.panel);
  if (panel) out.push({ id: 'panel', role: 'panel', name: `panels ${panel.ratedW * supply.sun.count} W` });
  if (panel && catalogue.find('solar-controller', supply.sun.controller)) out.push({ id: 'controller', role: 'controller', name: 'solar controller' });
  if (catalogue.find('mains-charger', supply.mains.charger)) out.push({ id: 'mains', role: 'mains', name: 'mains charger' });
  const loads = Object.entries(design.loads).sort(([, a], [, b]) => a.order - b.order);
  for (const [id, load] of loads) {
    out.push({ id: `load:${id}`, role: 'load', name: loadName(load), ...(load.purpose === 'fridge' ? { size: FRIDGE_MM } : {}) });
  }
  return out;
}

/** Drafts what is fitted and where: each thing in its usual zone unless a person placed it elsewhere. */
export function draftGear(design: Design, catalogue: Catalogue): Gear[] {
  const template = VEHICLE_TEMPLATES[design.brief.vehicleKind];
  const zones = new Map<string, Zone>(template.zones.map((z) => [z.id, z]));
  const things = wanted(design, catalogue);
  const items = things.map((t): GearItem => {
    const [w, h] = t.size ?? SIZE_MM[t.role];
    const chosen = design.places[t.id];
    return { id: t.id, zone: chosen && zones.has(chosen) ? chosen : template.usual[t.role], w, h };
  });
  const boxes = new Map(layOut(template, items).map((b) => [b.id, b]));
  return things.map((t) => {
    const box = boxes.get(t.id)!;
    const zone = zones.get(box.zone)!;
    return { ...box, role: t.role, name: t.name, zoneName: zone.name, ambientC: zone.ambientC, people: zone.people, placed: design.places[t.id] !== undefined };
  });
}
