import { type Asked } from '../commands/index.js';
import { catalogueOf } from '../catalogue/index.js';
import { controllersOf, plant } from '../plant/index.js';
import { type Design } from '../design/index.js';
import { selectorsOf } from '../supply/index.js';

/** What can be added at one press; the part is changed afterwards. */
export interface ShelfItem {
  readonly words: string;
  /** On a narrow shelf. */
  readonly short: string;
  readonly asked: (design: Design) => readonly Asked[];
}

const idleController = (d: Design): boolean => controllersOf(d, catalogueOf(d)).some((c) => !c.fed);

/** The usual maintainer for the volts of a job; of volts that none is made for the plainest, which a rule then stops. */
const maintainerFor = (d: Design): string => {
  const all = catalogueOf(d).usual('maintainer');
  return (all.find((p) => p.inputV === d.supply.houseV && p.outputV === d.brief.vehicleV) ?? all[0]!).id;
};

/** The usual charger from the vehicle for the volts of a job, the smallest of those. */
const chargerFor = (d: Design): string => {
  const all = [...catalogueOf(d).usual('dcdc')].sort((a, b) => a.outputA - b.outputA);
  return (all.find((p) => p.inputV === d.brief.vehicleV && p.outputV === d.supply.houseV && !p.sunInput && !p.mainsInput && p.inside === undefined) ?? all[0]!).id;
};

/** The smallest charger from the mains for the volts of a job. */
const mainsChargerFor = (d: Design): string => {
  const all = [...catalogueOf(d).usual('mains-charger')].sort((a, b) => a.outputA - b.outputA);
  return (all.find((p) => p.outputV === d.supply.houseV) ?? all[0]!).id;
};

/** Plain panels, as many in series as their volts ask for. */
const panelsFor = (d: Design): Asked => ({ do: 'addArray', with: { part: 'pv-160', ...(d.supply.houseV > 12 ? { count: 2, inSeries: 2 } : {}) } });

export const SHELF: readonly ShelfItem[] = [
  {
    words: 'an array with its own controller',
    short: 'array + controller',
    // One that nothing feeds is taken before another is added.
    asked: (d) => [...(idleController(d) ? [] : [{ do: 'addConverter', with: { part: 'mppt-20' } } as const]), panelsFor(d)],
  },
  { words: 'an array beside the others', short: 'array', asked: (d) => [panelsFor(d)] },
  { words: 'a portable panel', short: 'portable panel', asked: () => [{ do: 'addArray', with: { part: 'pv-120-fold', portable: { regulated: true } } }] },
  { words: 'a charger from the vehicle', short: 'vehicle charger', asked: (d) => [{ do: 'addConverter', with: { part: chargerFor(d) } }] },
  { words: 'a mains charger', short: 'mains charger', asked: (d) => [{ do: 'addConverter', with: { part: mainsChargerFor(d) } }] },
  { words: 'a charger for vehicle, sun and mains', short: 'three-input charger', asked: () => [{ do: 'addConverter', with: { part: 'dcdc-30-three' } }] },
  { words: 'an inverter', short: 'inverter', asked: (d) => [{ do: 'addConverter', with: { part: d.supply.houseV > 12 ? 'inv-24-1200' : 'inv-1000' } }] },
  {
    words: 'what keeps the starting battery up',
    short: 'maintainer',
    asked: (d) => [{ do: 'addConverter', with: { part: maintainerFor(d) } }],
  },
  { words: 'a fuse block nearer to what it feeds', short: 'fuse block', asked: (d) => [{ do: 'addBlock', with: { part: d.supply.houseV > 12 ? 'fb-8-c' : 'fb-6' } }] },
];

/** Where there is none: everything else hangs on it. */
const HOUSE_BATTERY: ShelfItem = {
  words: 'a house battery',
  short: 'house battery',
  asked: (d) => {
    const [lot] = Object.values(d.banks).flatMap((b) => Object.keys(b.batteries));
    return [lot === undefined ? { do: 'addBank', with: { id: 'house', part: 'bat-lfp-100' } } : { do: 'setBatteries', with: { batteries: lot, part: 'bat-lfp-100' } }];
  },
};

/** The selector to take in the place of a main switch of one position, rated no less; null: it is one already, or none is that large. */
export function selectorFor(d: Design): string | null {
  const catalogue = catalogueOf(d);
  const now = catalogue.find('switch', d.switchgear['switch']?.part ?? null);
  return now?.selects ? null : (selectorsOf(catalogue).find((p) => p.ratedA >= (now?.ratedA ?? 0))?.id ?? null);
}

/** Another of the same, and the main switch as what chooses between them. */
export const SECOND_BANK: ShelfItem = {
  words: 'a second bank behind a selector',
  short: 'second bank',
  asked: (d) => {
    const lots = Object.values(d.banks).flatMap((b) => Object.entries(b.batteries));
    const [, lot] = lots[0] ?? [];
    const part = selectorFor(d);
    // By its usual name it has its place in the form too.
    const id = lots.some(([key]) => key === 'second') ? {} : { id: 'second' };
    return [
      ...(part && d.switchgear['switch'] ? [{ do: 'changeThing', with: { thing: 'switch', set: { part } } } as const] : []),
      { do: 'addBank', with: { ...id, part: lot?.part ?? 'bat-lfp-100', count: lot?.count ?? 1, selector: 'switch' } },
    ];
  },
};

/** Everything hangs on a bank: where there is none that comes first, and a second one is the last of what a rig may want. */
export function shelfFor(d: Design): readonly ShelfItem[] {
  const { banks } = plant(d, catalogueOf(d));
  if (!banks.length) return [HOUSE_BATTERY, ...SHELF];
  return banks.length === 1 ? [...SHELF, SECOND_BANK] : SHELF;
}

/** A sender and a relay want something that shows and tells them: one is brought along where there is none. */
const screenFor = (d: Design): readonly Asked[] => (Object.values(d.monitors).some((m) => catalogueOf(d).find('remote', m.part)) ? [] : [{ do: 'addMonitor', with: { part: 'remote-touch' } }]);

/** What measures, shows and switches, in the order in which it is wanted. */
export const WATCH_SHELF: readonly ShelfItem[] = [
  { words: 'a meter in the panel', short: 'meter', asked: () => [{ do: 'addMonitor', with: { part: 'meter-panel' } }] },
  { words: 'a tank sender', short: 'tank sender', asked: (d) => [...screenFor(d), { do: 'addMonitor', with: { part: 'sender-tank', name: 'fresh water' } }] },
  { words: 'a remote unit with buttons', short: 'remote unit', asked: () => [{ do: 'addMonitor', with: { part: 'remote-touch' } }] },
  { words: 'a relay unit that switches loads', short: 'relay unit', asked: (d) => [...screenFor(d), { do: 'addMonitor', with: { part: 'relays-4' } }] },
  { words: 'a monitor of eight circuits', short: 'circuit monitor', asked: (d) => [...screenFor(d), { do: 'addMonitor', with: { part: 'meter-8' } }] },
  { words: 'a level sensor', short: 'level sensor', asked: (d) => [...screenFor(d), { do: 'addMonitor', with: { part: 'sender-tilt' } }] },
];
