import { VEHICLE_FORMAT, type Vehicle } from '../design/index.js';
import { axle, faces, keep, known, opening, point, way, zone, ZONE_C } from './build.js';
import * as drawn from './drawn/wagon.js';

const engine = zone('engine', 'engine bay', 'wagon', ZONE_C.engine, [230, 330, 600, 900, 1240, 340], { weather: 'spray', reach: 'behind a lid', nameInside: true });
const cab = zone('cab', 'cab', 'wagon', ZONE_C.cab, [1420, 180, 520, 1830, 1540, 540], { people: true, weather: 'dry', surface: 'trim over sheet steel', nameInside: true });
const cargo = zone('cargo', 'cargo space', 'wagon', ZONE_C.cab, [3330, 190, 920, 1270, 1520, 520], { people: true, weather: 'dust', surface: 'ply 12 mm over steel', nameInside: true });
const underFloor = zone('floor', 'under the false floor', 'wagon', ZONE_C.cab, [3330, 190, 680, 1000, 1520, 235], { weather: 'dust', reach: 'behind a lid', surface: 'steel floor' });
const roof = zone('roof', 'roof', 'wagon', ZONE_C.roof, [1900, 250, 1640, 2500, 1400, 60], { weather: 'spray', surface: 'rack bars' });

/** Five-door 4x4 wagon with a false floor that can be made to lift. */
export const WAGON: Vehicle = {
  format: VEHICLE_FORMAT,
  name: '4x4 wagon',
  lengthMm: 4950,
  widthMm: 1900,
  heightMm: 2000,
  side: drawn.side,
  plan: drawn.plan,
  wheels: [
    { x: 960, r: 390, trackMm: 1600 },
    { x: 3880, r: 390, trackMm: 1600 },
  ],
  carriers: [{ id: 'wagon', name: 'wagon', payloadKg: 640, drawbar: null }],
  zones: [engine, cab, cargo, underFloor, roof],
  faces: [
    ...faces(engine, { floor: 60, front: 6 }, { floor: { name: 'battery tray', trim: 'clamp over the battery' } }),
    ...faces(cab, { floor: 20, front: 4 }, { front: { name: 'dash', trim: 'clips, pull from the top', depthBehindMm: 60 } }),
    ...faces(
      cargo,
      { floor: 180, left: 25, right: 25, front: 20, top: 4 },
      {
        floor: { name: 'false floor' },
        left: { name: 'left quarter panel', trim: 'seven clips and two bolts', depthBehindMm: 110, protrusions: [{ name: 'wheel arch, left', u: 180, v: 0, w: 740, h: 190, outMm: 170 }] },
        right: { name: 'right quarter panel', trim: 'seven clips and two bolts', depthBehindMm: 110, protrusions: [{ name: 'wheel arch, right', u: 180, v: 0, w: 740, h: 190, outMm: 170 }] },
        front: { name: 'seat-back board' },
      },
    ),
    ...faces(underFloor, { floor: 120, left: 10 }, { floor: { name: 'steel floor under the false floor', protrusions: [{ name: 'seat anchor', u: 380, v: 740, w: 120, h: 60, outMm: 35 }] } }),
    ...faces(roof, { floor: 60 }, { floor: { name: 'roof rack' } }),
  ],
  openings: [
    opening('bonnet', 'lid', 'bonnet', 'engine', [230, 280, 945, 950, 1340, 700], 0, 'one stay'),
    opening('tailgate', 'door', 'tailgate', 'cargo', [4640, 150, 900, 900, 1600, 1000], 0, 'two gas struts'),
    opening('floor-lid', 'lifting floor', 'lifting floor', 'floor', [4150, 900, 915, 420, 760, 430], 0, 'hinge at the front, stay'),
    opening('cargo-drawer', 'drawer', 'left drawer', 'cargo', [4150, 210, 925, 1300, 560, 250], 900, 'lock at both ends'),
  ],
  axles: [axle('front', 'front axle', 'wagon', 960, 1230, 1480), axle('rear', 'rear axle', 'wagon', 3880, 1090, 1780)],
  keep: [keep('spare', 'spare wheel under the floor', [4200, 550, 420, 640, 700, 250]), keep('jack', 'jack behind the left quarter panel', [4350, 190, 930, 200, 90, 240])],
  points: [
    known('battery', 'starting battery', 'starting battery', 'battery-post', 'right front of the engine bay'),
    known('alternator', 'alternator', 'alternator', 'engine-left', 'low, behind the guard'),
    known('firewall-grommet', 'grommet', 'factory grommet, 35 mm', 'firewall', 'above the pedals'),
    known('earth', 'earth stud', 'body earth, left rear', 'quarter-left', 'M8 weld stud'),
    { ...known('tow', 'trailer socket', 'trailer socket', 'tow-bar', '12 pins; pin 2 marked for a fridge'), feedsFridge: true },
  ],
  waypoints: [
    point('battery-post', 'battery post', 'wagon', 420, 430, 880, 'engine'),
    point('engine-left', 'left inner guard', 'wagon', 960, 360, 850, 'engine'),
    point('firewall', 'firewall grommet', 'wagon', 1200, 420, 860),
    point('dash', 'behind the dash', 'wagon', 1440, 420, 840, 'cab'),
    point('sill-front', 'left sill, front', 'wagon', 1600, 200, 540, 'cab'),
    point('sill-rear', 'left sill, rear', 'wagon', 3200, 200, 560, 'cab'),
    point('drop-left', 'down the guard, left', 'wagon', 1220, 400, 480),
    point('rail-front', 'left chassis rail, front', 'wagon', 1500, 480, 470),
    point('rail-middle', 'left chassis rail, middle', 'wagon', 2500, 480, 460),
    point('rail-rear', 'left chassis rail, before the axle', 'wagon', 3350, 480, 540),
    point('tow-bar', 'tow bar', 'wagon', 4820, 950, 480),
    point('arch-left', 'foot of the left quarter panel', 'wagon', 3380, 230, 930, 'cargo'),
    point('quarter-left', 'left quarter panel, rear', 'wagon', 4500, 210, 950, 'cargo'),
    point('quarter-right', 'right quarter panel, rear', 'wagon', 4500, 1690, 950, 'cargo'),
    point('seat-board', 'seat-back board', 'wagon', 3350, 950, 960, 'cargo'),
    point('pillar', 'left rear pillar, top', 'wagon', 4480, 240, 1430, 'cargo'),
    point('under', 'under the false floor', 'wagon', 3400, 300, 700, 'floor'),
    point('under-rear', 'under the lifting floor', 'wagon', 4250, 900, 700, 'floor'),
    point('roof-gland', 'roof gland, left rear', 'wagon', 4300, 300, 1650, 'roof'),
    point('roof-middle', 'roof rack, middle', 'wagon', 3200, 300, 1650, 'roof'),
  ],
  ways: [
    way('battery-post', 'engine-left', 'inner guard', ZONE_C.engine, { conduit: true, near: { edge: 20 } }),
    way('engine-left', 'firewall', 'factory loom', ZONE_C.engine, { conduit: true }),
    way('firewall', 'dash', 'through the firewall', ZONE_C.cab, { through: 'pedal box below', stockMm: 35 }),
    way('dash', 'sill-front', 'kick panel', ZONE_C.cab),
    way('sill-front', 'sill-rear', 'under the sill trim, beside the factory loom', ZONE_C.cab),
    way('sill-rear', 'arch-left', 'over the wheel arch, behind the trim', ZONE_C.cab, { moreMm: 150, near: { edge: 10 } }),
    way('engine-left', 'drop-left', 'down behind the guard liner', ZONE_C.engine, { conduit: true, near: { steering: 180 } }),
    way('drop-left', 'rail-front', 'chassis rail, top inside', ZONE_C.underFloor, { conduit: true, near: { suspension: 130 } }),
    way('rail-front', 'rail-middle', 'chassis rail, beside the exhaust shield', ZONE_C.exhaust, { conduit: true, near: { exhaust: 200, stones: 0 } }),
    way('rail-middle', 'rail-rear', 'chassis rail, top inside', ZONE_C.underFloor, { conduit: true, near: { stones: 0 } }),
    way('rail-rear', 'under', 'up through the body floor', ZONE_C.underFloor, { conduit: true, through: 'fuel tank breather 90 mm to the right', outside: true }),
    way('rail-rear', 'tow-bar', 'chassis rail over the axle', ZONE_C.underFloor, { conduit: true, near: { suspension: 160, stones: 0 } }),
    way('under', 'arch-left', 'beside the false floor', ZONE_C.cab),
    way('under', 'under-rear', 'between the floor bearers', ZONE_C.cab, { near: { moving: 0 } }),
    way('arch-left', 'quarter-left', 'behind the left quarter panel', ZONE_C.cab, { moreMm: 120 }),
    way('arch-left', 'seat-board', 'behind the seat backs', ZONE_C.cab),
    way('seat-board', 'quarter-right', 'right side of the false floor', ZONE_C.cab, { moreMm: 500 }),
    way('quarter-left', 'pillar', 'inside the rear pillar', ZONE_C.cab),
    way('pillar', 'roof-gland', 'through the roof gutter', ZONE_C.roof, { moreMm: 80, through: 'roof lining and curtain bag: keep behind the bag', outside: true }),
    way('roof-gland', 'roof-middle', 'along the rack side rail', ZONE_C.roof, { conduit: true }),
  ],
  usual: {
    starting: 'engine-floor',
    charger: 'cargo-left',
    house: 'cargo-floor',
    bus: 'cargo-left',
    block: 'cargo-left',
    inverter: 'cargo-right',
    panel: 'roof-floor',
    controller: 'cargo-left',
    mains: 'cargo-right',
    control: 'cargo-right',
    load: 'cargo-right',
  },
};
