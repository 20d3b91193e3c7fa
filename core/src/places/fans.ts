import { blankLoad, fanLoad, fanPlace, type Air, type Design } from '../design/index.js';
import type { CompartmentHeat } from './heat.js';

/** What a brushless 12 V fan draws behind its filter, W per m³/h; and no less than its electronics and thermostat do, W. */
const FAN_W_PER_M3H = 0.04;
const LEAST_FAN_W = 2;
/** Share of the day's hours in which a thermostat lets them run, until somebody types or measures it. */
const FAN_DUTY = 0.3;

/** What the fans of a space draw, W. @example fanWatts({ outM3h: 100, inM3h: 50, fromC: 40 }) // 6 */
export const fanWatts = ({ outM3h, inM3h }: Air): number => Math.max(LEAST_FAN_W, Math.round(FAN_W_PER_M3H * (outM3h + inM3h)));

/** True of air that fans move; else vents alone let it through. */
export const hasFans = ({ outM3h, inM3h }: Air): boolean => outM3h + inM3h > 0;

/**
 * Gives a closed space its fans and vents, and the rig the load that its fans are: with a wire and a fuse like any other.
 * A load that was there already keeps what was typed of it but its watts. Vents alone draw nothing.
 */
export function fitFans(d: Design, { zone, name }: Pick<CompartmentHeat, 'zone' | 'name'>, air: Air): void {
  if (!hasFans(air)) {
    takeFansOut(d, zone);
    if (air.ventCm2) d.air[zone] = air;
    return;
  }
  d.air[zone] = air;
  const id = fanLoad(zone);
  const order = Math.max(0, ...Object.values(d.loads).map((l) => l.order)) + 1;
  d.loads[id] = {
    ...(d.loads[id] ?? { ...blankLoad(order), name: `fans of the ${name}`.slice(0, 80), purpose: 'fan', use: { by: 'duty', duty: FAN_DUTY }, when: { at: 'daytime' } }),
    draw: { by: 'plate', unit: 'W', value: fanWatts(air) },
  };
  d.places[fanPlace(zone)] ??= { zone, on: null, when: 'now' };
}

/** Takes the fans and vents of a space out, with the load that they are. */
export function takeFansOut(d: Design, zone: string): void {
  delete d.air[zone];
  delete d.loads[fanLoad(zone)];
  delete d.places[fanPlace(zone)];
}
