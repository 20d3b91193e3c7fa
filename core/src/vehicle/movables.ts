import { VEHICLE_FORMAT, type Vehicle } from '../design/index.js';
import { axle, faces, known, opening, point, way, zone, ZONE_C } from './build.js';
import * as boxDrawn from './drawn/portable-box.js';
import * as slideDrawn from './drawn/slide-on.js';

const boot = zone('tow', 'vehicle', 'vehicle', ZONE_C.engine, [130, 700, 720, 800, 1000, 220], { weather: 'spray', reach: 'behind a lid' });
const power = zone('box', 'box', 'box', ZONE_C.canopy, [2100, 300, 60, 760, 480, 420], { weather: 'dust', reach: 'behind a lid', surface: 'ply 9 mm', nameInside: true });
const lid = zone('lid', 'on and around the box', 'box', ZONE_C.caravan, [2100, 850, 60, 2400, 1500, 620], { weather: 'dust', surface: 'lid of the box' });

/** A box that moves between vehicles: everything in it, one plug to whatever carries it. */
export const PORTABLE_BOX: Vehicle = {
  format: VEHICLE_FORMAT,
  name: 'portable box',
  lengthMm: 4560,
  widthMm: 2400,
  heightMm: 1500,
  side: boxDrawn.side,
  plan: boxDrawn.plan,
  wheels: [{ x: 620, r: 330, trackMm: 1560 }],
  carriers: [
    { id: 'vehicle', name: 'whatever carries it', payloadKg: null, drawbar: null },
    { id: 'box', name: 'box', payloadKg: 90, drawbar: null },
  ],
  zones: [boot, power, lid],
  faces: [
    ...faces(boot, { floor: 60 }, { floor: { name: 'battery tray of the vehicle' } }),
    ...faces(power, { floor: 90, left: 12, right: 12, front: 10, rear: 10 }, { floor: { name: 'floor of the box' } }),
    ...faces(lid, { floor: 60 }, { floor: { name: 'beside the box' } }),
  ],
  openings: [opening('box-lid', 'lid', 'lid of the box', 'box', [2060, 250, 485, 840, 560, 420], 0, 'two stays')],
  axles: [],
  keep: [],
  points: [known('battery', 'starting battery', 'starting battery of the vehicle', 'vehicle-battery', 'off the picture'), known('socket', 'trailer socket', 'socket in the load space', 'socket')],
  waypoints: [
    point('vehicle-battery', 'battery post of the vehicle', 'vehicle', 200, 870, 860, 'tow'),
    point('socket', 'socket in the load space', 'vehicle', 1160, 1200, 560),
    point('box-plug', 'plug of the box', 'box', 2070, 700, 300, 'box'),
    point('box-rear', 'rear of the box', 'box', 2850, 700, 300, 'box'),
    point('outlets', 'outlets of the box', 'box', 2480, 860, 380, 'lid'),
  ],
  ways: [
    way('vehicle-battery', 'socket', 'along the vehicle’s chassis', ZONE_C.engine, { conduit: true, moreMm: 3200, near: { exhaust: 200, stones: 0 } }),
    way('socket', 'box-plug', 'loose lead with a plug', ZONE_C.canopy, { coupling: true, movingMm: 600, near: { moving: 0 } }),
    way('box-plug', 'box-rear', 'along the box wall', ZONE_C.canopy),
    way('box-rear', 'outlets', 'through the wall of the box', ZONE_C.canopy, { through: 'nothing behind' }),
  ],
  usual: {
    starting: 'tow-floor',
    charger: 'box-right',
    house: 'box-floor',
    bus: 'box-left',
    block: 'box-left',
    inverter: 'box-left',
    panel: 'lid-floor',
    controller: 'box-right',
    mains: 'box-right',
    control: 'lid-floor',
    load: 'lid-floor',
  },
};

const engine = zone('engine', 'engine bay', 'ute', ZONE_C.engine, [230, 300, 590, 900, 1250, 330], { weather: 'spray', reach: 'behind a lid', nameInside: true });
const locker = zone('locker', 'front locker', 'slide', ZONE_C.canopy, [2760, 150, 930, 700, 1550, 560], { weather: 'dust', reach: 'behind a lid', surface: 'ply 12 mm', nameInside: true });
const living = zone('living', 'living space', 'slide', ZONE_C.caravan, [3560, 130, 930, 2000, 1590, 1000], { people: true, weather: 'dry', surface: 'ply 9 mm, lined', nameInside: true });
const top = zone('roof', 'roof', 'slide', ZONE_C.roof, [2500, 250, 2130, 2900, 1350, 60], { weather: 'spray', surface: 'composite panel' });

/** A living body that slides on to the tray of a single-cab ute; its feed is coupled behind the cab. */
export const SLIDE_ON: Vehicle = {
  format: VEHICLE_FORMAT,
  name: 'slide-on, single-cab ute',
  lengthMm: 5700,
  widthMm: 1850,
  heightMm: 2450,
  side: slideDrawn.side,
  plan: slideDrawn.plan,
  wheels: [
    { x: 960, r: 385, trackMm: 1560 },
    { x: 4100, r: 385, trackMm: 1560 },
  ],
  carriers: [
    { id: 'ute', name: 'ute', payloadKg: 1150, drawbar: null },
    { id: 'slide', name: 'slide-on', payloadKg: 250, drawbar: null },
  ],
  zones: [engine, locker, living, top],
  faces: [
    ...faces(engine, { floor: 60 }, { floor: { name: 'battery tray' } }),
    ...faces(locker, { floor: 120, front: 20, rear: 25, right: 20 }, { floor: { name: 'floor of the front locker' } }),
    ...faces(living, { floor: 150, left: 20, right: 20, front: 15, top: 5 }),
    ...faces(top, { floor: 60 }, { floor: { name: 'roof' } }),
  ],
  openings: [
    opening('locker-lid', 'door', 'left locker door', 'locker', [2760, -500, 930, 700, 600, 560], 0, 'hinge'),
    opening('entry', 'door', 'entry door, rear', 'living', [5600, 550, 900, 700, 620, 1200], 0, 'hinge'),
  ],
  axles: [axle('front', 'front axle', 'ute', 960, 1090, 1450), axle('rear', 'rear axle', 'ute', 4100, 1010, 1850)],
  keep: [],
  points: [
    known('battery', 'starting battery', 'starting battery', 'battery-post', 'left front of the engine bay'),
    known('plug', 'trailer socket', 'plug behind the cab', 'cab-plug'),
    known('mains', 'mains inlet', 'mains inlet, left side', 'living-left', 'by the licensed electrician'),
  ],
  waypoints: [
    point('battery-post', 'battery post', 'ute', 420, 420, 860, 'engine'),
    point('engine-left', 'left inner guard', 'ute', 980, 330, 840, 'engine'),
    point('rail-front', 'left chassis rail, front', 'ute', 1400, 520, 480),
    point('cab-plug', 'plug behind the cab', 'ute', 2520, 520, 760),
    point('locker-gland', 'front locker, gland', 'slide', 2780, 520, 960, 'locker'),
    point('locker-rear', 'front locker, rear wall', 'slide', 3440, 520, 960, 'locker'),
    point('locker-top', 'front locker, top', 'slide', 3440, 300, 1460, 'locker'),
    point('living-left', 'left wall, low', 'slide', 4500, 150, 960, 'living'),
    point('living-high', 'left wall, under the roof', 'slide', 4500, 150, 1880, 'living'),
    point('living-right', 'right wall, low', 'slide', 4500, 1700, 960, 'living'),
    point('roof-gland', 'roof gland', 'slide', 3400, 400, 2140, 'roof'),
    point('roof-middle', 'roof, middle', 'slide', 4300, 400, 2140, 'roof'),
  ],
  ways: [
    way('battery-post', 'engine-left', 'inner guard', ZONE_C.engine, { conduit: true, near: { edge: 20 } }),
    way('engine-left', 'rail-front', 'down behind the guard liner', ZONE_C.engine, { conduit: true, near: { steering: 180 } }),
    way('rail-front', 'cab-plug', 'chassis rail, top inside', ZONE_C.underFloor, { conduit: true, near: { stones: 0 } }),
    way('cab-plug', 'locker-gland', 'plug and lead behind the cab', ZONE_C.canopy, { coupling: true, movingMm: 300, near: { moving: 0, stones: 0 } }),
    way('locker-gland', 'locker-rear', 'locker floor', ZONE_C.canopy),
    way('locker-rear', 'locker-top', 'locker rear wall', ZONE_C.canopy),
    way('locker-rear', 'living-left', 'into the living space, left wall', ZONE_C.caravan, { moreMm: 100, through: 'bed frame behind' }),
    way('locker-rear', 'living-right', 'under the step to the right wall', ZONE_C.caravan, { moreMm: 300, through: 'bed frame behind' }),
    way('living-left', 'living-high', 'left wall post', ZONE_C.caravan),
    way('locker-top', 'roof-gland', 'through the roof', ZONE_C.roof, { moreMm: 120, through: 'composite panel: sleeve the hole', outside: true }),
    way('roof-gland', 'roof-middle', 'along the panel rail', ZONE_C.roof, { conduit: true }),
  ],
  usual: {
    starting: 'engine-floor',
    charger: 'locker-front',
    house: 'locker-floor',
    bus: 'locker-rear',
    block: 'locker-rear',
    inverter: 'locker-rear',
    panel: 'roof-floor',
    controller: 'locker-front',
    mains: 'locker-right',
    control: 'living-left',
    load: 'living-left',
  },
};
