import { VEHICLE_FORMAT, type Vehicle } from '../design/index.js';
import { axle, faces, keep, known, opening, point, way, zone, ZONE_C } from './build.js';
import * as drawn from './drawn/light-truck.js';

const engine = zone('engine', 'chassis', 'truck', ZONE_C.engine, [1800, 60, 340, 900, 480, 300], { weather: 'spray', stones: true, reach: 'behind a lid', surface: 'chassis rail' });
const cab = zone('cab', 'cab', 'truck', ZONE_C.cab, [350, 160, 940, 1120, 1880, 440], { people: true, weather: 'dry', surface: 'trim over sheet steel', nameInside: true });
const body = zone('body', 'body', 'truck', ZONE_C.canopy, [1820, 80, 920, 4560, 2040, 1500], { weather: 'dust', surface: 'ply 15 mm', nameInside: true });
const roof = zone('roof', 'roof', 'truck', ZONE_C.roof, [2000, 200, 2610, 4200, 1800, 60], { weather: 'spray', surface: 'composite panel' });

/** Light truck with a box body; the vehicle itself runs on 24 V. */
export const LIGHT_TRUCK: Vehicle = {
  format: VEHICLE_FORMAT,
  name: 'light truck, 24 V',
  lengthMm: 6600,
  widthMm: 2200,
  heightMm: 2900,
  side: drawn.side,
  plan: drawn.plan,
  wheels: [
    { x: 1090, r: 390, trackMm: 1750 },
    { x: 5150, r: 390, trackMm: 1700 },
  ],
  carriers: [{ id: 'truck', name: 'truck', payloadKg: 1900, drawbar: null }],
  zones: [engine, cab, body, roof],
  faces: [
    ...faces(engine, { floor: 90, right: 10 }, { floor: { name: 'battery carrier on the chassis', trim: 'lid with two catches' } }),
    ...faces(cab, { floor: 25, front: 4 }, { floor: { name: 'cab floor behind the seats' }, front: { name: 'dash', depthBehindMm: 80 } }),
    ...faces(body, { floor: 1500, left: 60, right: 60, front: 80, rear: 40, top: 15 }, { front: { name: 'front wall of the body', depthBehindMm: 40 } }),
    ...faces(roof, { floor: 80 }, { floor: { name: 'roof' } }),
  ],
  openings: [
    opening('side-hatch', 'door', 'side hatch, left', 'body', [4150, -1000, 920, 1900, 1080, 1500], 0, 'two gas struts'),
    opening('rear-doors', 'door', 'rear doors', 'body', [6330, 60, 900, 1000, 2080, 1560], 0, 'check straps'),
    opening('cab-tilt', 'roof', 'tilting cab', 'cab', [-900, 130, 600, 2500, 1940, 1700], 0, 'stay and lock'),
  ],
  axles: [axle('front', 'front axle', 'truck', 1090, 1450, 2600), axle('rear', 'rear axle', 'truck', 5150, 1150, 3800)],
  keep: [keep('spare', 'spare wheel behind the axle', [5700, 750, 420, 700, 700, 250]), keep('filler', 'fuel filler', [2900, -40, 500, 260, 160, 200])],
  points: [
    known('battery', 'starting battery', 'starting batteries, 24 V', 'battery-post', 'two in series on the chassis'),
    known('alternator', 'alternator', 'alternator', 'gearbox', ''),
    known('earth', 'earth stud', 'chassis earth', 'rail-middle', 'M10, bared to metal'),
    known('mains', 'mains inlet', 'mains inlet, right rear', 'inlet', 'by the licensed electrician'),
  ],
  waypoints: [
    point('battery-post', 'battery post', 'truck', 1950, 300, 620, 'engine'),
    point('gearbox', 'gearbox member', 'truck', 1650, 1000, 700),
    point('rail-middle', 'left chassis rail', 'truck', 2400, 620, 690),
    point('rail-rear', 'left chassis rail, rear', 'truck', 5900, 620, 690),
    point('cab-floor', 'cab floor, rear', 'truck', 1400, 700, 960, 'cab'),
    point('dash', 'behind the dash', 'truck', 420, 700, 1200, 'cab'),
    point('entry', 'body floor, front left', 'truck', 1900, 180, 940, 'body'),
    point('front-low', 'front wall, low', 'truck', 1840, 1100, 980, 'body'),
    point('front-high', 'front wall, top', 'truck', 1840, 300, 2380, 'body'),
    point('left-low', 'left wall, low, middle', 'truck', 4000, 110, 980, 'body'),
    point('left-high', 'left cant rail, middle', 'truck', 4100, 110, 2380, 'body'),
    point('left-rear', 'left rear post', 'truck', 6250, 110, 2380, 'body'),
    point('right-low', 'right wall, low, middle', 'truck', 4100, 2090, 980, 'body'),
    point('inlet', 'right wall at the inlet', 'truck', 6000, 2090, 1100, 'body'),
    point('roof-gland', 'roof gland', 'truck', 2100, 400, 2620, 'roof'),
    point('roof-middle', 'roof, middle', 'truck', 4100, 400, 2620, 'roof'),
  ],
  ways: [
    way('battery-post', 'rail-middle', 'chassis rail', ZONE_C.underFloor, { conduit: true, near: { stones: 0 } }),
    way('battery-post', 'gearbox', 'cross-member', ZONE_C.engine, { conduit: true, near: { exhaust: 180 } }),
    way('gearbox', 'cab-floor', 'up through the cab floor, with the tilt loop', ZONE_C.engine, { conduit: true, through: 'gear linkage below', outside: true, movingMm: 350, near: { moving: 0 } }),
    way('cab-floor', 'dash', 'under the floor mat', ZONE_C.cab, { moreMm: 200 }),
    way('rail-middle', 'rail-rear', 'chassis rail, top inside', ZONE_C.underFloor, { conduit: true, near: { suspension: 150, stones: 0 } }),
    way('rail-middle', 'entry', 'up through the body floor', ZONE_C.underFloor, { conduit: true, moreMm: 120, through: 'body bearer at 90 mm', outside: true }),
    way('rail-rear', 'left-low', 'up through the floor, middle', ZONE_C.underFloor, { conduit: true, moreMm: 200, through: 'bearer at 60 mm', outside: true }),
    way('entry', 'front-low', 'foot of the front wall', ZONE_C.canopy),
    way('entry', 'left-low', 'left wall, floor line', ZONE_C.canopy),
    way('front-low', 'right-low', 'right wall, floor line', ZONE_C.canopy, { moreMm: 700 }),
    way('right-low', 'inlet', 'right wall', ZONE_C.canopy),
    way('entry', 'front-high', 'front left post', ZONE_C.canopy),
    way('front-high', 'left-high', 'left cant rail', ZONE_C.canopy),
    way('left-high', 'left-rear', 'left cant rail', ZONE_C.canopy),
    way('left-low', 'left-high', 'side post', ZONE_C.canopy),
    way('front-high', 'roof-gland', 'through the roof', ZONE_C.roof, { through: 'composite panel: sleeve the hole', outside: true }),
    way('roof-gland', 'roof-middle', 'along the panel rail', ZONE_C.roof, { conduit: true }),
  ],
  usual: {
    starting: 'engine-floor',
    charger: 'body-front',
    house: 'body-floor',
    bus: 'body-front',
    block: 'body-front',
    inverter: 'body-front',
    panel: 'roof-floor',
    controller: 'body-front',
    mains: 'body-right',
    control: 'body-right',
    load: 'body-left',
  },
};
