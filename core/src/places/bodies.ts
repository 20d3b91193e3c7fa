import type { GearRole, Load, Weather } from '../design/index.js';

/** What a piece of gear does; `there`: it was in the vehicle before and stays, where a person saw it. */
export type PlacedRole = GearRole | 'there';

/** Side of a thing's outline at which its cables leave, as it is fixed: along u, along v, or out of the face. */
export type Exit = 'down' | 'up' | 'left' | 'right' | 'out';

/** How a sort of gear is fixed: defaults that the maker's sheet overrules. */
export interface Fixing {
  /** It stands on floors instead of lying on them. */
  readonly stands: boolean;
  readonly exit: Exit;
  /** Air it needs around its body, mm. */
  readonly airMm: number;
  /** Hottest sort of weather that it bears. */
  readonly weather: Weather;
  /** Someone must get at it on the road: a fuse, an isolator. */
  readonly reach: boolean;
  /** What comes off to service it, beside whatever stands before it. */
  readonly service: string;
}

const plain: Fixing = { stands: false, exit: 'down', airMm: 25, weather: 'dust', reach: false, service: 'its own screws' };

export const FIXING: Readonly<Record<PlacedRole, Fixing>> = {
  starting: { ...plain, stands: true, exit: 'out', airMm: 10, weather: 'spray', reach: true, service: 'clamp' },
  charger: { ...plain, airMm: 50, service: 'four screws and its plugs' },
  house: { ...plain, stands: true, exit: 'out', airMm: 10, reach: true, service: 'strap or box lid' },
  bus: { ...plain, exit: 'down', airMm: 20, reach: true, service: 'cover' },
  block: { ...plain, exit: 'down', airMm: 20, reach: true, service: 'cover' },
  inverter: { ...plain, airMm: 100, service: 'four screws and its battery leads' },
  panel: { ...plain, airMm: 20, weather: 'spray', service: 'clamps and glands on the roof' },
  controller: { ...plain, airMm: 50, service: 'four screws and its cables' },
  mains: { ...plain, airMm: 80, service: 'plug of its mains lead, four screws' },
  control: { ...plain, airMm: 10, exit: 'out', reach: true, service: 'bezel and its keyed plug' },
  load: { ...plain, airMm: 10, weather: 'splash' },
  there: { ...plain, exit: 'out', airMm: 0, weather: 'spray' },
};

export interface Body {
  readonly mm: readonly [across: number, up: number, out: number];
  readonly kg: number;
}

/** Gear that is no part of the catalogue, at usual sizes and weights. */
export const USUAL_BODY = {
  starting: { mm: [260, 200, 172], kg: 0 },
  bus: { mm: [190, 110, 50], kg: 0.6 },
  display: { mm: [90, 70, 30], kg: 0.2 },
  remote: { mm: [60, 60, 30], kg: 0.1 },
} as const satisfies Record<string, Body>;

interface LoadBody extends Body {
  /** Where such a thing usually goes within its zone. */
  readonly wall: 'floor' | 'wall' | 'top';
  readonly fixing?: Partial<Fixing>;
}

const box = (mm: Body['mm'], kg: number, wall: LoadBody['wall'] = 'wall', fixing: Partial<Fixing> = {}): LoadBody => ({ mm, kg, wall, fixing });

/** Size and weight of a load by its purpose, where its own are not known. */
export const LOAD_BODY: Readonly<Record<Load['purpose'], LoadBody>> = {
  fridge: box([620, 470, 400], 22, 'floor', { stands: true, exit: 'left', airMm: 80, service: 'strap and tie-downs' }),
  electronics: box([180, 60, 160], 1.2),
  lights: box([300, 30, 20], 0.4, 'top', { airMm: 0, exit: 'left', weather: 'spray' }),
  // Its room keeps plugs clear of what a door or drawer sweeps.
  sockets: box([120, 60, 60], 0.3, 'wall', { reach: true, airMm: 45 }),
  pump: box([210, 130, 130], 2, 'floor', { exit: 'left', weather: 'spray' }),
  heater: box([320, 140, 130], 4, 'floor', { exit: 'left', airMm: 100 }),
  tools: box([300, 220, 200], 8, 'floor', { exit: 'left' }),
  cooking: box([320, 250, 300], 5, 'floor', { stands: true, exit: 'left', airMm: 100 }),
  medical: box([260, 180, 160], 4),
  brakes: box([90, 60, 50], 0.3),
  fan: box([80, 80, 25], 0.2, 'top', { airMm: 0, exit: 'out' }),
  other: box([200, 150, 120], 2),
};

/** Order of weathers: gear may stand in its own and in any before it. */
export const WEATHER_ORDER: readonly Weather[] = ['dry', 'dust', 'splash', 'spray'];
