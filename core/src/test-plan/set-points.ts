import type { Catalogue } from '../catalogue/index.js';
import type { Design } from '../design/index.js';
import { hasFans } from '../places/index.js';
import { type Plant } from '../plant/index.js';
import { bankOf, distributionOf } from '../supply/index.js';
import { type Meters, readingTolerance } from '../verdicts/index.js';
import { vehicleOf } from '../vehicle/index.js';
import type { TestGroup, TestRow } from './rows.js';

/** What a relay, a disconnect and a thermostat keep to where their makers say nothing: V a 12 V battery, and °C with the thermometer. */
const KEEPS_TO = { volt: 0.1, celsius: 3 } as const;
const NOMINAL_V = 12;

interface Point {
  readonly id: string;
  readonly about: string;
  readonly where: string;
  readonly state: string;
  readonly expected: number;
  readonly unit: TestRow['unit'];
  readonly minutes: number;
  readonly look: string;
}

const SLOWLY = 'a bench supply on its sense lead, turned slowly; or on the day that it happens';

/** Isolators close and open, disconnects open and close, fans start: each at the figure of the settings sheet. */
function pointsOf(design: Design, catalogue: Catalogue, plant: Plant): readonly Point[] {
  const bank = bankOf(design, catalogue);
  const { disconnect } = distributionOf(design, catalogue);
  const look = 'set it to the figure of the settings sheet; then measure its sense lead, which must lose nothing';
  const volt = { unit: 'V', minutes: 5, look } as const;
  const isolators = plant.links.flatMap(({ ref: { id }, part }): Point[] => {
    const at = { ...volt, about: id, look: `is it a relay of ${part.closeV} V and ${part.openV} V? Then its sense lead, which must lose nothing` };
    return [
      {
        ...at,
        id: `set.closes:${id}`,
        where: `Volts at the starting battery as the ${part.name} closes`,
        state: `engine started on a rested battery; it closes after ${part.closeAfterS} s`,
        expected: part.closeV,
      },
      {
        ...at,
        id: `set.opens:${id}`,
        where: `Volts at the starting battery as the ${part.name} opens`,
        state: `engine off, a load on the starting battery; it opens after ${part.openAfterS} s`,
        expected: part.openV,
      },
    ];
  });
  const held: Point[] =
    bank && disconnect
      ? [
          { ...volt, about: 'disconnect', id: 'set.opens:disconnect', where: 'Volts of the bank as the disconnect opens', state: SLOWLY, expected: bank.openV },
          { ...volt, about: 'disconnect', id: 'set.closes:disconnect', where: 'Volts of the bank as the disconnect closes again', state: SLOWLY, expected: bank.closeV },
        ]
      : [];
  const names = new Map(vehicleOf(design).zones.map((z) => [z.id, z.name]));
  const fans = Object.entries(design.air)
    .filter(([, air]) => hasFans(air))
    .map(([zone, { fromC }]): Point => ({
      id: `set.fan:${zone}`,
      about: zone,
      where: `Thermometer beside the gear of the ${names.get(zone) ?? zone} as its fan starts`,
      state: 'warmed by its own chargers, or gently by hand',
      expected: fromC,
      unit: '°C',
      minutes: 10,
      look: 'is the thermostat’s bulb beside the warmest box, out of the fan’s own air, and set to this figure?',
    }));
  return [...isolators, ...held, ...fans];
}

/** Readings at the set points of what switches by itself; null: nothing does. */
export function setPoints(design: Design, catalogue: Catalogue, plant: Plant, meters: Meters): TestGroup | null {
  const rows = pointsOf(design, catalogue, plant).map(({ expected, unit, ...p }): TestRow => {
    const meter = { kind: 'volt', ...meters.volt } as const;
    const tolerance = unit === '°C' ? KEEPS_TO.celsius : KEEPS_TO.volt * Math.max(1, Math.round(expected / NOMINAL_V)) + readingTolerance(meter, expected, expected);
    return { ...p, expected, unit, tolerance, meter: { kind: 'volt', share: 0, absolute: tolerance }, dropV: 0, mostV: null, run: null, currentA: 0 };
  });
  return rows.length ? { id: 'set points', words: 'each as it comes to its set point', minutes: 0, also: [], rows } : null;
}
