import { VEHICLE_FORMAT, type Vehicle } from '../design/index.js';
import { axle, faces, keep, known, opening, point, way, zone, ZONE_C } from './build.js';

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
  side: {
    body: [
      'M90 2400 L80 1750 Q90 1650 160 1600 L330 760 Q350 680 450 680 L1480 680 Q1570 680 1570 780 L1570 2400 L1480 2400 Q1470 2020 1090 2020 Q710 2020 700 2400 Z',
      'M1720 300 L6480 300 L6480 2140 L1720 2140 Z',
    ],
    glass: ['M330 1500 L480 840 Q490 800 540 800 L1400 800 Q1450 800 1450 850 L1450 1500 Z'],
    lines: ['M1600 2240 L6450 2240', 'M1720 2020 L6480 2020', 'M4100 320 L4100 2020', 'M980 800 L980 2000', 'M1080 1640 L1230 1640', 'M100 1900 L260 1900 L260 2000 L100 2000 Z'],
  },
  plan: {
    body: ['M80 420 Q90 200 300 170 L1480 130 Q1570 130 1570 220 L1570 1980 Q1570 2070 1480 2070 L300 2030 Q90 2000 80 1780 Z', 'M1720 20 L6480 20 L6480 2180 L1720 2180 Z'],
    glass: ['M120 430 Q100 1100 120 1770 L420 1700 Q400 1100 420 500 Z'],
    lines: ['M480 260 L1480 260 M480 1940 L1480 1940', 'M1570 600 L1720 600 M1570 1600 L1720 1600', 'M4100 20 L4100 2180', 'M360 140 L330 30 L450 20 M360 2060 L330 2170 L450 2180'],
  },
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
