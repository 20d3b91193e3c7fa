import { VEHICLE_FORMAT, type Vehicle } from '../design/index.js';
import { axle, faces, keep, known, opening, point, way, zone, ZONE_C } from './build.js';
import * as drawn from './drawn/tray-back.js';

const engine = zone('engine', 'engine bay', 'ute', ZONE_C.engine, [230, 300, 590, 900, 1250, 330], { weather: 'spray', reach: 'behind a lid', nameInside: true });
const cab = zone('cab', 'cab', 'ute', ZONE_C.cab, [1420, 170, 520, 960, 1510, 520], { people: true, weather: 'dry', surface: 'trim over sheet steel', nameInside: true });
const box = zone('box', 'under-tray box', 'ute', ZONE_C.canopy, [2640, 40, 450, 760, 460, 280], { weather: 'dust', reach: 'behind a lid', surface: 'aluminium sheet 2.5 mm', nameInside: true });
const tray = zone('tray', 'tray', 'ute', ZONE_C.canopy, [2700, 60, 880, 2380, 1730, 480], { weather: 'spray', stones: true, surface: 'aluminium deck' });

/** Single-cab ute with an open tray and a box under it. */
export const TRAY_BACK: Vehicle = {
  format: VEHICLE_FORMAT,
  name: 'single-cab tray-back',
  lengthMm: 5200,
  widthMm: 1850,
  heightMm: 2000,
  side: drawn.side,
  plan: drawn.plan,
  wheels: [
    { x: 960, r: 385, trackMm: 1560 },
    { x: 4100, r: 385, trackMm: 1560 },
  ],
  carriers: [{ id: 'ute', name: 'ute', payloadKg: 1150, drawbar: null }],
  zones: [engine, cab, box, tray],
  faces: [
    ...faces(engine, { floor: 60, front: 6 }, { floor: { name: 'battery tray', trim: 'clamp over the battery' } }),
    ...faces(cab, { floor: 40, front: 4, rear: 8 }, { front: { name: 'dash', trim: 'clips, pull from the top', depthBehindMm: 60 }, rear: { depthBehindMm: 70 } }),
    ...faces(box, { floor: 80, right: 15, front: 10 }, { right: { name: 'back wall of the under-tray box', depthBehindMm: 120 } }),
    ...faces(tray, { floor: 700, front: 25 }, { front: { name: 'headboard' } }),
  ],
  openings: [
    opening('bonnet', 'lid', 'bonnet', 'engine', [230, 250, 930, 950, 1350, 700], 0, 'one stay'),
    opening('box-lid', 'lid', 'lid of the under-tray box', 'box', [2640, -300, 440, 760, 340, 300], 0, 'drop-down, two cables'),
    opening('drop-side', 'door', 'left drop side', 'tray', [2700, -260, 640, 2380, 310, 500], 0, 'two latches'),
  ],
  axles: [axle('front', 'front axle', 'ute', 960, 1090, 1450), axle('rear', 'rear axle', 'ute', 4100, 640, 1850)],
  keep: [keep('spare', 'spare wheel under the tray', [4450, 600, 400, 600, 650, 250]), keep('jack', 'jack behind the seat', [2250, 250, 530, 110, 320, 260])],
  points: [
    known('battery', 'starting battery', 'starting battery', 'battery-post', 'left front of the engine bay'),
    known('alternator', 'alternator', 'alternator', 'engine-cross', 'belts beside it'),
    known('firewall-grommet', 'grommet', 'factory grommet, 32 mm', 'firewall', 'behind the glove box'),
    known('earth', 'earth stud', 'chassis earth, under the tray', 'rail-rear', 'M8, bared to metal'),
    known('tow', 'trailer socket', 'trailer socket', 'tow-bar', '7 pins'),
  ],
  waypoints: [
    point('battery-post', 'battery post', 'ute', 420, 420, 860, 'engine'),
    point('engine-cross', 'radiator support', 'ute', 300, 1350, 860, 'engine'),
    point('engine-left', 'left inner guard', 'ute', 980, 330, 840, 'engine'),
    point('firewall', 'firewall grommet', 'ute', 1240, 420, 860),
    point('dash', 'behind the dash', 'ute', 1440, 420, 840, 'cab'),
    point('cab-back', 'behind the seat', 'ute', 2340, 220, 700, 'cab'),
    point('drop-left', 'down the guard, left', 'ute', 1240, 380, 480),
    point('rail-front', 'left chassis rail, front', 'ute', 1500, 520, 500),
    point('rail-rear', 'left chassis rail, at the box', 'ute', 2700, 520, 560),
    point('rail-end', 'left chassis rail, rear', 'ute', 4900, 520, 600),
    point('tow-bar', 'tow bar', 'ute', 5100, 900, 480),
    point('box-gland', 'back wall of the box, low', 'ute', 2700, 480, 560, 'box'),
    point('box-front', 'box, front', 'ute', 2680, 300, 700, 'box'),
    point('deck', 'through the deck, front left', 'ute', 2720, 120, 890, 'tray'),
    point('headboard', 'headboard, foot', 'ute', 2720, 925, 900, 'tray'),
    point('headboard-top', 'headboard, top', 'ute', 2720, 925, 1340, 'tray'),
    point('tray-left', 'left tray edge, rear', 'ute', 5000, 90, 890, 'tray'),
    point('tray-right', 'right tray edge, rear', 'ute', 5000, 1760, 890, 'tray'),
  ],
  ways: [
    way('battery-post', 'engine-left', 'inner guard', ZONE_C.engine, { conduit: true, near: { edge: 20 } }),
    way('battery-post', 'engine-cross', 'radiator support', ZONE_C.engine, { conduit: true }),
    way('engine-left', 'firewall', 'factory loom', ZONE_C.engine, { conduit: true }),
    way('firewall', 'dash', 'through the firewall', ZONE_C.cab, { through: 'carpet and heater box behind', stockMm: 32 }),
    way('dash', 'cab-back', 'under the sill trim', ZONE_C.cab, { moreMm: 500 }),
    way('engine-left', 'drop-left', 'down behind the guard liner', ZONE_C.engine, { conduit: true, near: { steering: 180 } }),
    way('drop-left', 'rail-front', 'chassis rail, top inside', ZONE_C.underFloor, { conduit: true, near: { suspension: 120 } }),
    way('rail-front', 'rail-rear', 'chassis rail, beside the brake pipes', ZONE_C.underFloor, { conduit: true, near: { stones: 0 } }),
    way('rail-rear', 'rail-end', 'chassis rail over the axle', ZONE_C.underFloor, { conduit: true, near: { suspension: 160, stones: 0 } }),
    way('rail-end', 'tow-bar', 'rear cross-member', ZONE_C.underFloor, { conduit: true, near: { stones: 0 } }),
    way('rail-rear', 'box-gland', 'into the back of the box', ZONE_C.underFloor, { conduit: true, through: 'nothing behind; keep 40 mm from the lower edge', outside: true }),
    way('box-gland', 'box-front', 'along the box floor', ZONE_C.canopy),
    way('box-front', 'deck', 'out of the box and up through the deck', ZONE_C.canopy, { conduit: true, through: 'tray bearer 80 mm to the rear', outside: true }),
    way('deck', 'headboard', 'foot of the headboard', ZONE_C.canopy, { conduit: true }),
    way('headboard', 'headboard-top', 'inside the headboard post', ZONE_C.canopy),
    way('deck', 'tray-left', 'under the left coaming', ZONE_C.canopy, { conduit: true, near: { stones: 0 } }),
    way('headboard', 'tray-right', 'under the right coaming', ZONE_C.canopy, { conduit: true, moreMm: 400, near: { stones: 0 } }),
    way('cab-back', 'headboard', 'cab back to headboard', ZONE_C.canopy, { conduit: true, through: 'cab and tray flex against each other', outside: true, movingMm: 80, near: { moving: 0 } }),
  ],
  usual: {
    starting: 'engine-floor',
    charger: 'box-right',
    house: 'box-floor',
    bus: 'box-right',
    block: 'box-right',
    inverter: 'tray-front',
    panel: 'tray-floor',
    controller: 'box-right',
    mains: 'tray-front',
    control: 'cab-front',
    load: 'tray-front',
  },
};
