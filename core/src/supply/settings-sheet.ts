import { CHEMISTRY, type Catalogue } from '../catalogue/index.js';
import type { Design } from '../design/index.js';
import { plant, suppliesV, withPort, type Supplied } from '../plant/index.js';
import type { SolarArray } from './array.js';
import type { Bank } from './bank.js';
import { mainsChargersOf } from './chargers.js';
import { watchSettings } from './watch-settings.js';
import { distributionOf } from './distribution.js';

/** One thing to set on a device, and why so. */
export interface DeviceSetting {
  readonly id: string;
  readonly device: string;
  readonly setting: string;
  readonly value: string;
  readonly why: string;
}

const MAKER = 'the battery maker’s own figure wins';

function profile(bank: Bank): readonly Omit<DeviceSetting, 'id' | 'device'>[] {
  const f = CHEMISTRY[bank.part.chemistry];
  const lead = bank.part.chemistry !== 'lfp';
  return [
    { setting: 'charge profile', value: f.name, why: MAKER },
    { setting: 'absorption', value: `${bank.absorptionV.toFixed(1)} V`, why: lead ? 'at 25 °C; −24 mV a kelvin per 12 V with a probe on the battery' : 'no correction by temperature' },
    { setting: 'float', value: `${bank.floatV.toFixed(1)} V`, why: lead ? 'holds it full' : 'or off, where the charger allows it' },
    {
      setting: 'equalise',
      value: bank.part.chemistry === 'flooded' ? 'by hand, vented, loads off' : 'off',
      why: bank.part.chemistry === 'flooded' ? 'only flooded batteries want it' : 'it would ruin this bank',
    },
  ];
}

function triggerRow(inputs: readonly Supplied[], trigger: string): Omit<DeviceSetting, 'id' | 'device'> {
  if (inputs.some((i) => i.through)) return { setting: 'trigger', value: 'joined to its own input', why: 'on while the box before it gives; that one is switched' };
  if (inputs.some((i) => i.by === 'lead'))
    return { setting: 'trigger', value: 'joined to its own input', why: 'on while the lead is plugged in; its low-volt cut-out spares the bank at the other end' };
  return { setting: 'trigger', value: trigger, why: trigger === 'ignition wire' ? 'live with the engine only, dead in accessory and off' : 'see the check' };
}

function outputWhy(share: number, feedsABox: boolean, bank: Bank): string {
  if (share < 1) return 'half power: spares the alternator or the battery';
  return feedsABox ? 'the charger behind it takes what it needs' : `the bank takes ${Math.round(bank.maxChargeA)} A`;
}

/** The settings of every device that has any; Fit ticks them, Prove reads them back, the pack prints them. */
export function settingsSheet(design: Design, catalogue: Catalogue, bank: Bank | null, arrays: readonly SolarArray[]): readonly DeviceSetting[] {
  if (!bank) return [];
  const rig = plant(design, catalogue);
  const out: DeviceSetting[] = [];
  const seen = new Map<string, number>();
  // Of two alike each has its own rows.
  const add = (device: string, rows: readonly Omit<DeviceSetting, 'id' | 'device'>[]): void => {
    const nth = 1 + (seen.get(device) ?? 0);
    seen.set(device, nth);
    const name = nth > 1 ? `${device}, ${nth}` : device;
    rows.forEach((r) => out.push({ id: `${name}: ${r.setting}`, device: name, ...r }));
  };
  for (const {
    part,
    ports: { dcIn },
    share,
    ref,
    inputs,
    feeds,
  } of withPort(rig, 'dcIn')) {
    const { trigger, inhibit } = design.converters[ref.id]!;
    add(part.name, [
      ...(feeds.length ? [{ setting: 'charge profile', value: `power supply, ${suppliesV(dcIn).toFixed(1)} V`, why: 'it feeds another charger, not a battery: no stages, no probe' }] : profile(bank)),
      { setting: 'output', value: `${dcIn.outputA * share} A`, why: outputWhy(share, feeds.length > 0, bank) },
      triggerRow(inputs, trigger),
      ...(bank.part.chemistry === 'lfp' && !feeds.length
        ? [{ setting: 'cold lock', value: dcIn.coldLock ? 'on, below 0 °C' : 'none: the battery’s own board must do it', why: 'a lithium bank is harmed by charge below 0 °C' }]
        : []),
      ...(inhibit ? [{ setting: 'inhibit switch', value: 'in the trigger, marked', why: 'off on a steep climb or a hot engine' }] : []),
    ]);
  }
  for (const { controller, startBelow } of arrays)
    if (controller)
      add(controller.name, [
        ...profile(bank),
        ...(startBelow === null ? [] : [{ setting: 'starts below', value: `${Math.round(100 * startBelow)} %`, why: 'lets the bank fall before it is filled again' }]),
      ]);
  for (const mains of mainsChargersOf(design, catalogue)) add(mains.name, [...profile(bank), { setting: 'output', value: `${mains.outputA} A`, why: `takes about ${mains.acW} W of the outlet` }]);
  for (const { part: isolator } of rig.links)
    add(isolator.name, [{ setting: 'closes / opens', value: `${isolator.closeV} V / ${isolator.openV} V`, why: `after ${isolator.closeAfterS} s and ${isolator.openAfterS} s` }]);
  for (const {
    part: inverter,
    ports: { mainsOut },
  } of withPort(rig, 'mainsOut'))
    add(inverter.name, [
      { setting: 'low-volt cut-out', value: `${(bank.openV - 0.5 * bank.inSeries).toFixed(1)} V`, why: 'below the disconnect’s: the disconnect is the first line' },
      { setting: 'standby search', value: 'on, where it has one', why: `left on it draws ${Math.round(0.012 * mainsOut.ratedW)} W all day` },
    ]);
  for (const {
    part,
    ports: { startOut },
  } of withPort(rig, 'startOut'))
    add(part.name, [
      {
        setting: 'gives above',
        value: `${startOut.aboveV.toFixed(1)} V of the house battery`,
        why: `holds ${startOut.holdV.toFixed(1)} V at the starting battery; below that, and while the engine runs, it rests`,
      },
    ]);
  for (const { device, rows } of watchSettings(design, rig)) add(device, rows);
  const { disconnect, shunt } = distributionOf(design, catalogue);
  if (disconnect)
    add('low-voltage disconnect', [
      { setting: 'opens', value: `${bank.openV.toFixed(1)} V for 60 s`, why: 'the first line; the battery’s own board is the last' },
      { setting: 'closes', value: `${bank.closeV.toFixed(1)} V for 60 s, not within 10 min`, why: 'so that it does not chatter' },
    ]);
  if (shunt)
    add('shunt', [
      { setting: 'capacity', value: `${bank.capacityAh} Ah`, why: 'counts from here' },
      {
        setting: 'full at',
        value: `${(bank.absorptionV - 0.2 * bank.inSeries).toFixed(1)} V and under ${Math.max(1, Math.round(0.04 * bank.capacityAh))} A for 2 min`,
        why: 'unknown until the first full charge',
      },
      { setting: 'charge efficiency', value: `${Math.round(100 * CHEMISTRY[bank.part.chemistry].coulombic)} %`, why: 'of its chemistry' },
    ]);
  return out;
}
