import type { Catalogue, Part } from '../catalogue/index.js';
import type { Design } from '../design/index.js';

/** Parts of one kind that the supply calls for and that are still to be bought. */
export interface Device {
  readonly part: Part;
  readonly quantity: number;
}

function called(design: Design, catalogue: Catalogue): readonly (readonly [Part | null, number])[] {
  const { supply } = design;
  const panel = catalogue.find('panel', supply.sun.panel);
  const hub = catalogue.find('hub', supply.hub);
  const separate = [
    [catalogue.find('fuse-block', supply.fuseBlock), 1],
    [catalogue.find('shunt', supply.shunt), 1],
    [catalogue.find('disconnect', supply.disconnect.part), 1],
  ] as const;
  const dcdc = supply.isolation === 'dcdc' ? [supply.dcdc, supply.dcdcSecond] : [];
  return [
    [catalogue.find('battery', supply.battery.part), supply.battery.count],
    [supply.second && catalogue.find('battery', supply.second.part), supply.second?.count ?? 0],
    ...dcdc.map((id) => [catalogue.find('dcdc', id), 1] as const),
    [supply.isolation === 'isolator' ? catalogue.find('isolator', supply.isolator) : null, 1],
    [panel, supply.sun.count],
    [supply.sun.portable && catalogue.find('panel', supply.sun.portable.panel), 1],
    [panel || supply.sun.portable ? catalogue.find('solar-controller', supply.sun.controller) : null, 1],
    [catalogue.find('mains-charger', supply.mains.charger), 1],
    [catalogue.find('inverter', supply.inverter), 1],
    ...(hub ? [[hub, 1] as const] : separate),
    [hub?.mainSwitch ? null : catalogue.find('switch', supply.mainSwitch), 1],
  ];
}

/** What the supply calls for, less what is in the vehicle already and stays: that is not bought again, and adds no weight. */
export function devicesOf(design: Design, catalogue: Catalogue): readonly Device[] {
  const kept = new Map<string, number>();
  for (const e of Object.values(design.brief.existing)) if (e.part && e.verdict !== 'remove') kept.set(e.part, (kept.get(e.part) ?? 0) + 1);
  return called(design, catalogue).flatMap(([part, wanted]) => {
    if (!part) return [];
    const have = Math.min(wanted, kept.get(part.id) ?? 0);
    kept.set(part.id, (kept.get(part.id) ?? 0) - have);
    return wanted > have ? [{ part, quantity: wanted - have }] : [];
  });
}
