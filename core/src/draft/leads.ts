import { sunOnly } from '../catalogue/index.js';
import type { Gear } from '../places/index.js';
import { standsIn, withPort } from '../plant/index.js';
import { sentence } from '../quantity/index.js';
import { cutLengthM, routeBetween, type Lead, type Route, type Stand } from '../routes/index.js';
import { standOf, type DraftContext } from './context.js';
import { watchLeads } from './watch-leads.js';

type Given = Omit<Lead, 'number' | 'route' | 'lengthM'>;

function ends(c: DraftContext, from: Stand, to: Stand, given: Given, number: number): Lead {
  const routed = routeBetween(c.vehicle, from, to);
  const route: Route | null = routed.ok ? routed.route : null;
  return { ...given, number, route, lengthM: route ? cutLengthM(route) : 0 };
}

/** Where the ignition's signal is picked up: behind the dash where the vehicle has one on the plan, else at its own battery. */
function ignition(c: DraftContext): { readonly stand: Stand; readonly name: string } | null {
  const dash = c.vehicle.waypoints.find((w) => w.id === 'dash');
  if (dash?.zone) return { stand: { zone: dash.zone, at: dash.at }, name: 'ignition circuit behind the dash' };
  const starting = c.gear.get('starting');
  return starting ? { stand: standOf(starting), name: 'ignition circuit of the tow vehicle' } : null;
}

/** The first charger's leads keep the plain key; those of the next ones name theirs. */
const leadKey = (key: string, unit: string, nth: number): string => (nth ? `${key}-${unit}` : key);

/** What switches each charger from the vehicle on. */
function triggers(c: DraftContext): Given[] {
  return withPort(c.plant, 'dcIn').flatMap((thing, nth): Given[] => {
    const { ref } = thing;
    const charger = c.gear.get(standsIn(thing).id);
    const trigger = c.design.converters[ref.id]?.trigger;
    // On a lead, or behind another box, its trigger is joined to its own input.
    if (!charger || trigger === undefined || trigger === 'volts' || thing.inputs.some((i) => i.by === 'lead' || i.through)) return [];
    const live = trigger === 'always-live wire';
    return [
      {
        id: leadKey('lead-trigger', ref.id, nth),
        kind: 'trigger',
        name: `${live ? 'Always-live wire' : 'Ignition trigger'} → ${charger.name}`,
        from: live ? 'starting battery' : 'ignition',
        to: charger.id,
        cable: '1.5 mm², plum sleeve at both ends',
        diameterMm: 3,
        plugMm: 8,
        longestM: 20,
        polarity: 'one wire; the charger’s own negative is its return',
        fuseA: 3,
      },
    ];
  });
}

function probes(c: DraftContext): Given[] {
  const out: Given[] = [];
  const warm = (device: string, name: string): Given => ({
    id: `lead-temperature-${device}`,
    kind: 'temperature',
    name: `Battery temperature probe → ${name}`,
    from: 'house',
    to: device,
    cable: 'two cores, with its ring',
    diameterMm: 4,
    plugMm: 12,
    longestM: 3,
    polarity: 'none: a resistor',
    fuseA: null,
  });
  for (const { ref, ports, feeds } of withPort(c.plant, 'dcIn')) {
    const charger = c.gear.get(ref.id);
    if (ports.dcIn.coldLock && charger && !feeds.length) out.push(warm(ref.id, charger.name));
  }
  for (const { ref } of c.plant.converters.filter((x) => sunOnly(x.ports))) {
    const controller = c.gear.get(ref.id);
    if (!controller) continue;
    out.push({
      ...warm(ref.id, controller.name),
      id: `lead-sense-${ref.id}`,
      kind: 'sense',
      name: `Battery volts sense → ${controller.name}`,
      cable: '2 × 1 mm²',
      polarity: 'red to positive, black to negative',
      fuseA: 1,
      longestM: 5,
    });
  }
  for (const { ref } of withPort(c.plant, 'mainsOut')) {
    const inverter = c.gear.get(ref.id);
    if (!inverter || !c.gear.has('remote')) continue;
    out.push({
      id: `lead-data-${ref.id}`,
      kind: 'data',
      name: `${ref.id === 'inverter' ? 'Inverter' : sentence(inverter.name)} → its switch`,
      from: ref.id,
      to: 'remote',
      cable: 'flat six-core',
      diameterMm: 5,
      plugMm: 14,
      longestM: 10,
      polarity: 'keyed plug',
      fuseA: null,
    });
  }
  if (c.gear.has('display'))
    out.push({
      id: 'lead-data-display',
      kind: 'data',
      name: 'Shunt → battery display',
      from: 'shunt',
      to: 'display',
      cable: 'the display’s own lead',
      diameterMm: 5,
      plugMm: 14,
      longestM: 10,
      polarity: 'keyed plug',
      fuseA: 1,
    });
  return out;
}

/** Sense, data, temperature and trigger leads of a design, each with its way: they pass the same holes as the rest. */
export function draftLeads(c: DraftContext, firstNumber: number): Lead[] {
  let number = firstNumber;
  const stand = (id: string): Stand | null => {
    if (id === 'ignition') return ignition(c)?.stand ?? null;
    const g: Gear | undefined = c.gear.get(id === 'starting battery' ? 'starting' : id) ?? (id === 'shunt' ? c.gear.get('bus') : undefined);
    return g ? standOf(g) : null;
  };
  return [...triggers(c), ...probes(c), ...watchLeads(c)].flatMap((given) => {
    const [from, to] = [stand(given.from), stand(given.to)];
    return from && to ? [ends(c, from, to, given, number++)] : [];
  });
}
