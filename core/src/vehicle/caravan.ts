import { VEHICLE_FORMAT, type Vehicle } from '../design/index.js';
import { axle, faces, keep, known, opening, point, shifted, way, zone, ZONE_C } from './build.js';
import { TOW, TOW_GLASS, TOW_PLAN, TOW_PLAN_GLASS } from './tow.js';

const tow = zone('tow', 'tow vehicle', 'tow', ZONE_C.engine, [130, 700, 760, 800, 1000, 230], { weather: 'spray', reach: 'behind a lid' });
const front = zone('front', 'front box', 'van', ZONE_C.frontBox, [2440, 250, 640, 560, 1900, 440], {
  weather: 'dust',
  stones: true,
  reach: 'behind a lid',
  surface: 'ply 12 mm, checker plate outside',
  nameInside: true,
});
const seat = zone('seat', 'seat box', 'van', ZONE_C.caravan, [3120, 160, 605, 900, 2080, 350], { people: true, weather: 'dry', reach: 'behind a lid', surface: 'ply 12 mm', nameInside: true });
const inside = zone('inside', 'inside', 'van', ZONE_C.caravan, [3120, 130, 960, 4800, 2140, 640], { people: true, weather: 'dry', surface: 'ply 12 mm, lined', nameInside: true });
const roof = zone('roof', 'roof', 'van', ZONE_C.roof, [3000, 250, 2405, 4700, 1900, 60], { weather: 'spray', surface: 'aluminium over foam' });

/** Caravan of 5.4 m with the rear of the vehicle that tows it. */
export const CARAVAN: Vehicle = {
  format: VEHICLE_FORMAT,
  name: 'caravan 5.4 m',
  lengthMm: 8300,
  widthMm: 2400,
  heightMm: 2700,
  side: {
    body: ['M2500 2200 L2380 1500 L2640 520 Q2700 320 2900 310 L7800 310 Q7980 310 8000 480 L8150 1750 L8020 2200 L6180 2200 Q6170 1840 5840 1840 Q5510 1840 5500 2200 Z', shifted(TOW, 0, 450)],
    glass: [
      'M3050 700 L3900 700 Q3950 700 3950 750 L3950 1150 Q3950 1200 3900 1200 L3000 1200 Q2950 1200 2950 1150 L3000 750 Q3005 700 3050 700 Z',
      'M6350 700 L7500 700 Q7550 700 7550 750 L7550 1150 Q7550 1200 7500 1200 L6350 1200 Q6300 1200 6300 1150 L6300 750 Q6300 700 6350 700 Z',
      shifted(TOW_GLASS, 0, 450),
    ],
    lines: [
      'M4300 2150 L4300 560 Q4300 520 4340 520 L5000 520 Q5040 520 5040 560 L5040 2150',
      'M1140 2080 L1600 2130 L2500 2130',
      'M2480 2060 L2000 2060 L2000 2130',
      'M1960 2130 L1960 2380',
      'M2390 1560 L8120 1560',
    ],
  },
  plan: {
    body: ['M2400 320 Q2420 100 2640 90 L7900 70 Q8120 80 8140 280 L8140 2120 Q8120 2320 7900 2330 L2640 2310 Q2420 2300 2400 2080 Z', shifted(TOW_PLAN, 0, 275)],
    glass: [shifted(TOW_PLAN_GLASS, 0, 275)],
    lines: [
      'M1140 1200 L1500 1200 L2410 700 M1500 1200 L2410 1700',
      'M3040 90 L3040 2310',
      'M4300 80 L4300 150 L5040 150 L5040 80',
      'M3050 1050 L4000 1050 M3050 1350 L4000 1350',
      'M6300 90 L6300 1500 L8130 1500',
    ],
  },
  wheels: [
    { x: 620, r: 330, trackMm: 1600 },
    { x: 5840, r: 330, trackMm: 1950 },
  ],
  carriers: [
    { id: 'tow', name: 'tow vehicle', payloadKg: null, drawbar: null },
    { id: 'van', name: 'caravan', payloadKg: 450, drawbar: { x: 1500, emptyKg: 145, limitKg: 250 } },
  ],
  zones: [tow, front, seat, inside, roof],
  faces: [
    ...faces(tow, { floor: 60 }, { floor: { name: 'battery tray of the tow vehicle' } }),
    ...faces(front, { floor: 90, rear: 20 }, { floor: { name: 'floor of the front box' }, rear: { name: 'back wall of the front box', depthBehindMm: 30 } }),
    ...faces(seat, { floor: 120, front: 20, right: 25 }, { floor: { name: 'floor under the front seat' }, front: { name: 'front wall under the seat', depthBehindMm: 30 } }),
    ...faces(inside, { floor: 100, left: 30, right: 30, front: 15, rear: 20, top: 5 }, { left: { depthBehindMm: 25, trim: 'wall lining glued: surface mount' }, right: { depthBehindMm: 25 } }),
    ...faces(roof, { floor: 70 }, { floor: { name: 'roof' } }),
  ],
  openings: [
    opening('front-lid', 'lid', 'lid of the front box', 'front', [2050, 200, 1080, 900, 2000, 600], 0, 'two gas struts'),
    opening('seat-lid', 'lid', 'seat lid', 'seat', [3120, 160, 955, 900, 900, 500], 0, 'piano hinge'),
    opening('door', 'door', 'entry door', 'inside', [4300, -600, 500, 740, 750, 1700], 0, 'check strap'),
  ],
  axles: [axle('axle', 'caravan axle', 'van', 5840, 1420, 2000)],
  keep: [keep('spare', 'spare wheel on the drawbar', [1900, 950, 500, 300, 550, 550]), keep('gas', 'gas bottles in the front box', [2460, 1500, 650, 330, 640, 420])],
  points: [
    known('battery', 'starting battery', 'starting battery of the tow vehicle', 'tow-battery', 'under its bonnet, off the picture'),
    { ...known('tow', 'trailer socket', 'trailer socket', 'tow-bar', '12 pins; pin 2 marked for a fridge'), feedsFridge: true },
    known('earth', 'earth stud', 'caravan chassis earth', 'a-frame', 'M8; the coupling is no return'),
    known('mains', 'mains inlet', 'mains inlet, right side', 'inlet', 'by the licensed electrician'),
  ],
  waypoints: [
    point('tow-battery', 'battery post of the tow vehicle', 'tow', 200, 900, 900, 'tow'),
    point('tow-bar', 'tow bar', 'tow', 1160, 1200, 620),
    point('coupling', 'drawbar, trailer plug', 'van', 1400, 1200, 600),
    point('a-frame', 'left drawbar leg', 'van', 2350, 800, 560),
    point('front-floor', 'floor of the front box', 'van', 2600, 700, 660, 'front'),
    point('front-wall', 'back wall of the front box', 'van', 2990, 700, 660, 'front'),
    point('seat-front', 'under the front seat', 'van', 3150, 700, 700, 'seat'),
    point('seat-rear', 'seat frame, rear', 'van', 3980, 700, 700, 'seat'),
    point('chassis', 'left chassis member, front', 'van', 3400, 600, 500),
    point('chassis-rear', 'left chassis member, rear', 'van', 7700, 600, 520),
    point('step', 'floor edge behind the step', 'van', 5250, 150, 660),
    point('left-low', 'behind the left cupboards', 'van', 5250, 150, 1000, 'inside'),
    point('left-rear', 'rear cupboards, left', 'van', 7800, 150, 1000, 'inside'),
    point('left-high', 'left overhead lockers, middle', 'van', 5250, 150, 1580, 'inside'),
    point('left-high-rear', 'left overhead lockers, rear', 'van', 7800, 150, 1580, 'inside'),
    point('door-post', 'door post', 'van', 4250, 160, 1300, 'inside'),
    point('right-high', 'right overhead lockers, middle', 'van', 5200, 2250, 1580, 'inside'),
    point('inlet', 'right wall at the inlet', 'van', 6800, 2250, 1000, 'inside'),
    point('roof-gland', 'roof gland over the wardrobe', 'van', 5250, 300, 2415, 'roof'),
    point('roof-middle', 'roof, middle', 'van', 4000, 300, 2415, 'roof'),
  ],
  ways: [
    way('tow-battery', 'tow-bar', 'along the tow vehicle’s chassis', ZONE_C.engine, { conduit: true, moreMm: 4200, near: { exhaust: 200, stones: 0, suspension: 160 } }),
    way('tow-bar', 'coupling', 'over the coupling', ZONE_C.underFloor, { coupling: true, movingMm: 500, near: { moving: 0, stones: 0 } }),
    way('coupling', 'a-frame', 'inside the drawbar leg', ZONE_C.underFloor, { conduit: true, near: { stones: 0 } }),
    way('a-frame', 'front-floor', 'up through the floor of the front box', ZONE_C.underFloor, { conduit: true, through: 'chassis member 70 mm behind', outside: true }),
    way('a-frame', 'chassis', 'chassis member, top inside', ZONE_C.underFloor, { conduit: true, near: { stones: 0 } }),
    way('chassis', 'seat-front', 'up through the floor under the seat', ZONE_C.underFloor, { conduit: true, through: 'floor joist at 100 mm, water pipe beside it', outside: true }),
    way('front-floor', 'front-wall', 'front box, back wall', ZONE_C.frontBox),
    way('front-wall', 'seat-front', 'through the front wall', ZONE_C.frontBox, { through: 'frame timber at 50 mm', outside: true }),
    way('chassis', 'chassis-rear', 'chassis member to the rear', ZONE_C.underFloor, { conduit: true, near: { suspension: 200, stones: 0 } }),
    way('chassis-rear', 'left-rear', 'up through the rear floor', ZONE_C.underFloor, { conduit: true, moreMm: 200, through: 'water tank straps', outside: true }),
    way('seat-front', 'seat-rear', 'seat frame', ZONE_C.caravan),
    way('seat-rear', 'step', 'under the step, along the left wall', ZONE_C.caravan, { moreMm: 500 }),
    way('step', 'left-low', 'up behind the left cupboards', ZONE_C.caravan),
    way('seat-rear', 'door-post', 'up the front side of the door', ZONE_C.caravan, { moreMm: 300 }),
    way('left-low', 'left-rear', 'behind the left cupboards', ZONE_C.caravan),
    way('left-low', 'left-high', 'inside the wardrobe', ZONE_C.caravan),
    way('left-high', 'left-high-rear', 'back of the overhead lockers', ZONE_C.caravan),
    way('left-rear', 'left-high-rear', 'rear corner post', ZONE_C.caravan),
    way('door-post', 'left-high', 'over the door', ZONE_C.caravan, { moreMm: 350 }),
    way('left-high', 'right-high', 'over the ceiling bow', ZONE_C.roof, { moreMm: 200 }),
    way('right-high', 'inlet', 'behind the right cupboards', ZONE_C.caravan, { moreMm: 100 }),
    way('left-high', 'roof-gland', 'through the roof', ZONE_C.roof, { moreMm: 150, through: 'foam core: sleeve the hole', outside: true }),
    way('roof-gland', 'roof-middle', 'along the panel rail', ZONE_C.roof, { conduit: true }),
  ],
  usual: {
    starting: 'tow-floor',
    charger: 'seat-front',
    house: 'seat-floor',
    bus: 'seat-front',
    block: 'seat-front',
    inverter: 'seat-right',
    panel: 'roof-floor',
    controller: 'seat-front',
    mains: 'seat-right',
    control: 'inside-left',
    load: 'inside-left',
  },
};
