import { VEHICLE_FORMAT, type Vehicle } from '../design/index.js';
import { axle, faces, keep, known, opening, point, way, zone, ZONE_C } from './build.js';
import * as drawn from './drawn/van.js';

const engine = zone('engine', 'engine bay', 'van', ZONE_C.engine, [200, 400, 650, 480, 1250, 330], { weather: 'spray', reach: 'behind a lid', nameInside: true });
const cab = zone('cab', 'cab', 'van', ZONE_C.cab, [1150, 150, 600, 860, 1750, 560], { people: true, weather: 'dry', surface: 'trim over sheet steel', nameInside: true });
const load = zone('load', 'load space', 'van', ZONE_C.canopy, [2160, 150, 1020, 3050, 1750, 920], { people: true, weather: 'dust', surface: 'ply 9 mm over ribs', nameInside: true });
const roof = zone('roof', 'roof', 'van', ZONE_C.roof, [2200, 250, 2170, 2800, 1550, 60], { weather: 'spray', surface: 'steel roof, bonded rails' });

/** Medium van with a high roof and a lined load space. */
export const VAN: Vehicle = {
  format: VEHICLE_FORMAT,
  name: 'van',
  lengthMm: 5400,
  widthMm: 2050,
  heightMm: 2500,
  side: drawn.side,
  plan: drawn.plan,
  wheels: [
    { x: 1010, r: 365, trackMm: 1700 },
    { x: 4390, r: 365, trackMm: 1700 },
  ],
  carriers: [{ id: 'van', name: 'van', payloadKg: 1050, drawbar: null }],
  zones: [engine, cab, load, roof],
  faces: [
    ...faces(engine, { floor: 50, front: 5 }, { floor: { name: 'battery tray', trim: 'clamp over the battery' } }),
    ...faces(cab, { floor: 40, front: 4 }, { floor: { name: 'seat box', trim: 'seat lifts on four bolts' }, front: { name: 'dash', depthBehindMm: 70 } }),
    ...faces(
      load,
      { floor: 500, left: 40, right: 40, front: 40, top: 8 },
      {
        floor: {
          protrusions: [
            { name: 'wheel arch, left', u: 1850, v: 0, w: 760, h: 220, outMm: 260 },
            { name: 'wheel arch, right', u: 1850, v: 1530, w: 760, h: 220, outMm: 260 },
          ],
        },
        left: { trim: 'ply lining, screws every 200 mm', depthBehindMm: 60 },
        front: { name: 'bulkhead' },
      },
    ),
    ...faces(roof, { floor: 90 }, { floor: { name: 'roof' } }),
  ],
  openings: [
    opening('bonnet', 'lid', 'bonnet', 'engine', [150, 350, 1000, 650, 1350, 600], 0, 'one stay'),
    opening('side-door', 'door', 'sliding side door, left', 'load', [2150, -120, 700, 2700, 290, 1240], 0, 'rail'),
    opening('rear-doors', 'door', 'rear doors', 'load', [5150, 100, 650, 900, 1850, 1290], 0, 'check straps'),
  ],
  axles: [axle('front', 'front axle', 'van', 1010, 1180, 1650), axle('rear', 'rear axle', 'van', 4390, 820, 1800)],
  keep: [keep('spare', 'spare wheel under the rear', [4800, 650, 330, 480, 700, 220]), keep('filler', 'fuel filler', [2120, -40, 900, 160, 130, 200])],
  points: [
    known('battery', 'starting battery', 'starting battery', 'battery-post', 'under the bonnet, left'),
    known('alternator', 'alternator', 'alternator', 'engine-right', ''),
    known('firewall-grommet', 'grommet', 'factory grommet, 32 mm', 'firewall', 'above the passenger’s feet'),
    known('earth', 'earth stud', 'body earth, B-pillar', 'pillar-low', 'M8 weld stud'),
    known('mains', 'mains inlet', 'place for a mains inlet', 'inlet', 'by the licensed electrician'),
  ],
  waypoints: [
    point('battery-post', 'battery post', 'van', 420, 560, 900, 'engine'),
    point('engine-right', 'right inner guard', 'van', 460, 1500, 880, 'engine'),
    point('firewall', 'firewall grommet', 'van', 900, 500, 900),
    point('dash', 'behind the dash', 'van', 1180, 480, 980, 'cab'),
    point('seat-box', 'under the passenger’s seat', 'van', 1600, 380, 640, 'cab'),
    point('pillar-low', 'foot of the left pillar', 'van', 2170, 190, 1040, 'load'),
    point('bulkhead', 'bulkhead, middle', 'van', 2170, 1025, 1060, 'load'),
    point('bulkhead-top', 'bulkhead, top', 'van', 2170, 1025, 1900, 'load'),
    point('left-rear', 'left wall, rear', 'van', 5100, 180, 1060, 'load'),
    point('right-rear', 'right wall, rear', 'van', 5100, 1870, 1060, 'load'),
    point('left-high', 'left cant rail, middle', 'van', 3600, 180, 1900, 'load'),
    point('inlet', 'right wall at the inlet', 'van', 4900, 1880, 1200, 'load'),
    point('roof-gland', 'roof gland', 'van', 2600, 500, 2180, 'roof'),
    point('roof-middle', 'roof, middle', 'van', 3600, 500, 2180, 'roof'),
  ],
  ways: [
    way('battery-post', 'engine-right', 'slam panel', ZONE_C.engine, { conduit: true }),
    way('battery-post', 'firewall', 'scuttle, beside the factory loom', ZONE_C.engine, { conduit: true, near: { edge: 15 } }),
    way('firewall', 'dash', 'through the firewall', ZONE_C.cab, { through: 'heater box behind', stockMm: 32 }),
    way('dash', 'seat-box', 'down the kick panel', ZONE_C.cab, { moreMm: 200 }),
    way('seat-box', 'pillar-low', 'under the step trim', ZONE_C.cab, { near: { moving: 120 } }),
    way('seat-box', 'bulkhead', 'under the floor mat', ZONE_C.cab, { moreMm: 100 }),
    way('pillar-low', 'bulkhead', 'foot of the bulkhead', ZONE_C.canopy),
    way('bulkhead', 'bulkhead-top', 'bulkhead rib', ZONE_C.canopy),
    way('bulkhead', 'right-rear', 'right wall, low, behind the ply', ZONE_C.canopy, { moreMm: 300 }),
    way('pillar-low', 'left-rear', 'left wall, behind the ply, clear of the door rail', ZONE_C.canopy, { moreMm: 400, near: { moving: 60 } }),
    way('bulkhead-top', 'left-high', 'left cant rail', ZONE_C.canopy),
    way('left-high', 'left-rear', 'down the rear left rib', ZONE_C.canopy),
    way('right-rear', 'inlet', 'up the rear right rib', ZONE_C.canopy),
    way('bulkhead-top', 'roof-gland', 'through the roof', ZONE_C.roof, { through: 'roof bow at 150 mm', outside: true }),
    way('roof-gland', 'roof-middle', 'along the panel rail', ZONE_C.roof, { conduit: true }),
  ],
  usual: {
    starting: 'engine-floor',
    charger: 'load-front',
    house: 'load-floor',
    bus: 'load-front',
    block: 'load-front',
    inverter: 'load-front',
    panel: 'roof-floor',
    controller: 'load-front',
    mains: 'load-right',
    control: 'load-right',
    load: 'load-left',
  },
};
