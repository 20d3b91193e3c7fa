import { catalogueOf, monitorIn, watchesOf } from '../catalogue/index.js';
import type { Design, Purpose } from '../design/index.js';
import type { Gear } from '../places/index.js';
import type { SymbolKind } from './element.js';

const BY_PURPOSE: Readonly<Record<Purpose, SymbolKind>> = {
  fridge: 'motor',
  pump: 'motor',
  fan: 'motor',
  lights: 'lamp',
  sockets: 'socket',
  electronics: 'load',
  heater: 'load',
  cooking: 'load',
  medical: 'load',
  brakes: 'load',
  tools: 'load',
  other: 'load',
};

const BY_ID: Readonly<Record<string, SymbolKind>> = { bus: 'bars', shunt: 'shunt', display: 'meter', remote: 'switch', portable: 'panel' };

function switchSymbol(design: Design, id: string): SymbolKind {
  const does = design.switchgear[id]?.does;
  if (does === 'disconnect') return 'contact';
  if (does === 'charging selector') return does;
  return Object.values(design.banks).some((b) => b.selector === id) ? 'selector' : 'switch';
}

/** The symbol of a piece of gear. */
export function symbolOf(gear: Gear, design: Design): SymbolKind {
  const known = BY_ID[gear.id];
  if (known) return known;
  if (gear.ref.in === 'inlets') return 'socket';
  if (gear.ref.in === 'switchgear') return switchSymbol(design, gear.ref.id);
  const monitor = monitorIn(catalogueOf(design), gear.part);
  if (monitor) return watchesOf(monitor).outputs(monitor) ? 'contact' : 'meter';
  switch (gear.role) {
    case 'starting':
    case 'house':
      return 'battery';
    case 'charger':
      return gear.ref.in === 'links' ? 'contact' : 'converter';
    case 'controller':
      return 'regulator';
    case 'mains':
      return 'rectifier';
    case 'inverter':
      return 'inverter';
    case 'block':
      return 'bars';
    case 'panel':
      return 'panel';
    case 'load':
      return BY_PURPOSE[gear.purpose ?? 'other'];
    default:
      return 'load';
  }
}
