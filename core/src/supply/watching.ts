import { watchesOf, type Catalogue } from '../catalogue/index.js';
import type { Design } from '../design/index.js';
import { plant, type Plant } from '../plant/index.js';
import type { SolarArray } from './array.js';
import { monitorName } from './watch-settings.js';
import type { Bank } from './bank.js';
import { dcdcsOf, leadChargersOf, mainsChargersOf } from './chargers.js';

export type SeenAt = Design['supply']['seen'][string];
export const SEEN_AT = ['cab', 'beside the gear', 'living space', 'phone', 'nowhere'] as const satisfies readonly SeenAt[];

/** One quantity that is watched. */
export interface Watched {
  readonly id: string;
  readonly quantity: string;
  readonly instrument: string;
  readonly range: string;
  /** What one would do about it. */
  readonly why: string;
  readonly seenAt: SeenAt;
  readonly chosen: boolean;
}

const OF = {
  volts: { quantity: 'volts', range: '8–32 V' },
  'volts and amps': { quantity: 'volts and amps', range: '8–32 V, ±200 A' },
  'amps of circuits': { quantity: 'amps of each circuit', range: '0–30 A' },
  tank: { quantity: 'level', range: '0–100 %' },
  tilt: { quantity: 'tilt', range: '±15°' },
  temperature: { quantity: 'temperature', range: '−30…+80 °C' },
} as const;

/** What the meters and senders that a person fitted measure. */
const watchedBy = (rig: Plant): Omit<Watched, 'seenAt' | 'chosen'>[] =>
  rig.monitors.flatMap((m) => {
    const read = m.part && watchesOf(m.part).reads(m.part);
    if (!m.part || !read || read === 'charge') return [];
    const { quantity, range } = OF[read];
    const screen = rig.monitors.find((x) => x.ref.id === m.shownBy?.id);
    return [{ id: m.ref.id, quantity: m.name ? `${m.name}: ${quantity}` : quantity, instrument: screen ? `${m.part.name}, on the ${monitorName(screen)}` : m.part.name, range, why: 'fitted for it' }];
  });

/** What is worth watching in this supply, by which instrument; where it is seen is the person's choice. */
export function watchingPlan(design: Design, catalogue: Catalogue, bank: Bank | null, arrays: readonly SolarArray[]): readonly Watched[] {
  if (!bank) return [];
  const peakA = Math.ceil(Math.max(bank.continuousA, bank.maxChargeA) / 50) * 50;
  const rows: Omit<Watched, 'seenAt' | 'chosen'>[] = [
    {
      id: 'charge',
      quantity: 'state of charge',
      instrument: 'shunt, in the battery’s negative',
      range: '0–100 %',
      why: bank.part.chemistry === 'lfp' ? 'lithium is too flat to read by volts' : 'volts tell only after hours of rest',
    },
    { id: 'current', quantity: 'battery current', instrument: 'the same shunt', range: `±${peakA} A`, why: 'shows at once whether it charges' },
    { id: 'volts', quantity: 'battery volts', instrument: 'the same shunt', range: bank.nominalV === 24 ? '18–32 V' : '9–16 V', why: 'what the disconnect goes by' },
  ];
  if (dcdcsOf(design, catalogue).length || plant(design, catalogue).links.length)
    rows.push({
      id: 'vehicle',
      quantity: 'charge from the vehicle',
      instrument: 'charger’s lamp, or a meter in its output',
      range: `0–${Math.ceil(bank.maxChargeA / 10) * 10} A`,
      why: 'a dead trigger shows here first',
    });
  if (leadChargersOf(design, catalogue).length)
    rows.push({
      id: 'lead',
      quantity: 'charge over the lead',
      instrument: 'charger’s lamp, or a meter in its output',
      range: `0–${Math.ceil(bank.maxChargeA / 10) * 10} A`,
      why: 'a plug that is out, or a bank at the other end that is flat',
    });
  if (arrays.length)
    rows.push({
      id: 'sun',
      quantity: 'sun',
      instrument: arrays[0]!.controller ? 'controller’s own display' : 'charger’s lamp',
      range: `0–${Math.ceil(arrays.reduce((s, a) => s + a.ratedW + a.portables.reduce((t, p) => t + p.ratedW, 0), 0) / 50) * 50} W`,
      why: 'shade, dirt and a tripped breaker',
    });
  if (mainsChargersOf(design, catalogue).length) rows.push({ id: 'mains', quantity: 'mains charging', instrument: 'charger’s lamp', range: 'on, absorption, float', why: 'a dead outlet in the park' });
  rows.push({ id: 'starting', quantity: 'starting battery volts', instrument: 'second input of the shunt', range: '9–16 V', why: 'parked draw, before it will not crank' });
  if (Object.values(design.loads).some((l) => l.purpose === 'fridge' || (l.critical && l.purpose === 'medical')))
    rows.push({ id: 'cold', quantity: 'fridge temperature', instrument: 'probe with an alarm', range: '−30…+30 °C', why: 'the only reading that says the food or medicine is safe' });
  if (bank.part.chemistry === 'lfp')
    rows.push({ id: 'battery-temp', quantity: 'battery temperature', instrument: 'battery’s own board, or a probe', range: '−20…+60 °C', why: 'no charge below 0 °C' });
  rows.push(...watchedBy(plant(design, catalogue)));
  const usual: Readonly<Record<string, SeenAt>> = {
    charge: 'cab',
    current: 'beside the gear',
    volts: 'beside the gear',
    vehicle: 'cab',
    sun: 'beside the gear',
    mains: 'living space',
    starting: 'cab',
    cold: 'cab',
    'battery-temp': 'beside the gear',
  };
  return rows.map((r) => ({ ...r, seenAt: design.supply.seen[r.id] ?? usual[r.id] ?? 'beside the gear', chosen: design.supply.seen[r.id] !== undefined }));
}
