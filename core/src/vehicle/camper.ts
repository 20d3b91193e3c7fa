import { VEHICLE_FORMAT, type Vehicle } from '../design/index.js';
import { axle, faces, keep, known, opening, point, way, zone, ZONE_C } from './build.js';
import * as drawn from './drawn/camper.js';

const tow = zone('tow', 'tow vehicle', 'tow', ZONE_C.engine, [130, 450, 720, 800, 1000, 220], { weather: 'spray', reach: 'behind a lid' });
const front = zone('front', 'front box', 'trailer', ZONE_C.frontBox, [1720, 350, 520, 560, 1200, 380], {
  weather: 'splash',
  stones: true,
  reach: 'behind a lid',
  surface: 'checker plate 2 mm',
  nameInside: true,
});
const body = zone('body', 'body', 'trailer', ZONE_C.canopy, [2420, 120, 640, 3220, 1660, 560], { weather: 'dust', surface: 'sheet steel 1.2 mm', reach: 'behind a lid', nameInside: true });
const tent = zone('tent', 'tent', 'trailer', ZONE_C.caravan, [2850, 150, 1260, 2350, 1600, 320], { people: true, weather: 'splash', surface: 'tent poles' });

/** Camper trailer with a tent over its body, behind any vehicle. */
export const CAMPER: Vehicle = {
  format: VEHICLE_FORMAT,
  name: 'camper trailer',
  lengthMm: 5900,
  widthMm: 1900,
  heightMm: 2000,
  side: drawn.side,
  plan: drawn.plan,
  wheels: [
    { x: 620, r: 330, trackMm: 1560 },
    { x: 4290, r: 340, trackMm: 1620 },
  ],
  carriers: [
    { id: 'tow', name: 'tow vehicle', payloadKg: null, drawbar: null },
    { id: 'trailer', name: 'trailer', payloadKg: 420, drawbar: { x: 1400, emptyKg: 85, limitKg: 150 } },
  ],
  zones: [tow, front, body, tent],
  faces: [
    ...faces(tow, { floor: 60 }, { floor: { name: 'battery tray of the tow vehicle' } }),
    ...faces(front, { floor: 80, rear: 15 }, { floor: { name: 'floor of the front box' }, rear: { name: 'back wall of the front box', depthBehindMm: 40 } }),
    ...faces(
      body,
      { floor: 350, left: 25, right: 25, front: 30 },
      {
        floor: {
          protrusions: [
            { name: 'wheel arch, left', u: 1450, v: 0, w: 800, h: 200, outMm: 190 },
            { name: 'wheel arch, right', u: 1450, v: 1460, w: 800, h: 200, outMm: 190 },
          ],
        },
      },
    ),
    ...faces(tent, { floor: 40, top: 4 }, { floor: { name: 'bed base' }, top: { name: 'tent poles' } }),
  ],
  openings: [
    opening('front-lid', 'lid', 'lid of the front box', 'front', [1650, 320, 905, 680, 1260, 560], 0, 'one stay'),
    opening('kitchen', 'slide', 'slide-out kitchen', 'body', [4800, 900, 835, 800, 1900, 350], 1000, 'lock at both ends'),
    opening('bed', 'roof', 'tent folds over the body', 'tent', [2420, 120, 1585, 3220, 1660, 800], 400, 'winch'),
  ],
  axles: [axle('axle', 'trailer axle', 'trailer', 4290, 620, 1250)],
  keep: [keep('spare', 'spare wheel on the drawbar', [1420, 680, 520, 260, 540, 540])],
  points: [
    known('battery', 'starting battery', 'starting battery of the tow vehicle', 'tow-battery', 'under its bonnet, off the picture'),
    known('tow', 'trailer socket', 'trailer socket', 'tow-bar', '7 pins'),
    known('earth', 'earth stud', 'trailer chassis earth', 'a-frame', 'M8; the coupling is no return'),
    known('mains', 'mains inlet', 'mains inlet, left side', 'left-rear', 'by the licensed electrician'),
  ],
  waypoints: [
    point('tow-battery', 'battery post of the tow vehicle', 'tow', 200, 620, 860, 'tow'),
    point('tow-bar', 'tow bar', 'tow', 1160, 950, 540),
    point('coupling', 'drawbar, trailer plug', 'trailer', 1380, 950, 500),
    point('a-frame', 'left drawbar leg', 'trailer', 1900, 700, 470),
    point('front-floor', 'floor of the front box', 'trailer', 1900, 650, 540, 'front'),
    point('front-wall', 'back wall of the front box', 'trailer', 2260, 650, 760, 'front'),
    point('body-front', 'body, front left', 'trailer', 2440, 300, 700, 'body'),
    point('left-middle', 'left wall, over the wheel', 'trailer', 4290, 140, 900, 'body'),
    point('left-rear', 'left wall, rear', 'trailer', 5500, 140, 720, 'body'),
    point('right-front', 'right wall, front', 'trailer', 2700, 1760, 700, 'body'),
    point('kitchen', 'kitchen slide, fixed end', 'trailer', 4800, 1700, 700, 'body'),
    point('tent-foot', 'foot of the tent pole', 'trailer', 2900, 300, 1270, 'tent'),
    point('tent-ridge', 'tent ridge', 'trailer', 4000, 950, 1560, 'tent'),
    point('rail-rear', 'left chassis rail, rear', 'trailer', 5400, 500, 500),
  ],
  ways: [
    way('tow-battery', 'tow-bar', 'along the tow vehicle’s chassis', ZONE_C.engine, { conduit: true, moreMm: 3600, near: { exhaust: 200, stones: 0, suspension: 160 } }),
    way('tow-bar', 'coupling', 'over the coupling', ZONE_C.underFloor, { coupling: true, movingMm: 500, near: { moving: 0, stones: 0 } }),
    way('coupling', 'a-frame', 'inside the drawbar leg', ZONE_C.underFloor, { conduit: true, near: { stones: 0 } }),
    way('a-frame', 'front-floor', 'up through the floor of the front box', ZONE_C.underFloor, { conduit: true, through: 'drawbar gusset to the right', outside: true }),
    way('front-floor', 'front-wall', 'front box, back wall', ZONE_C.frontBox),
    way('front-wall', 'body-front', 'out of the box, into the body', ZONE_C.frontBox, { conduit: true, through: 'gap between box and body: glands both sides', outside: true, near: { stones: 0 } }),
    way('body-front', 'left-middle', 'left wall, under the coaming', ZONE_C.canopy, { moreMm: 80 }),
    way('left-middle', 'left-rear', 'left wall', ZONE_C.canopy),
    way('body-front', 'right-front', 'foot of the front wall', ZONE_C.canopy),
    way('right-front', 'kitchen', 'right wall, floor line', ZONE_C.canopy, { movingMm: 1000, near: { moving: 0 } }),
    way('body-front', 'tent-foot', 'up the front corner to the tent', ZONE_C.canopy, { movingMm: 400, near: { moving: 0 } }),
    way('tent-foot', 'tent-ridge', 'along the ridge pole', ZONE_C.caravan),
    way('a-frame', 'rail-rear', 'chassis rail to the rear', ZONE_C.underFloor, { conduit: true, near: { suspension: 140, stones: 0 } }),
    way('rail-rear', 'left-rear', 'up through the floor, rear', ZONE_C.underFloor, { conduit: true, moreMm: 120, through: 'nothing behind', outside: true }),
  ],
  usual: {
    starting: 'tow-floor',
    charger: 'body-front',
    house: 'body-floor',
    bus: 'body-front',
    block: 'body-front',
    inverter: 'body-front',
    panel: 'tent-floor',
    controller: 'body-front',
    mains: 'body-left',
    control: 'body-right',
    load: 'body-right',
  },
};
