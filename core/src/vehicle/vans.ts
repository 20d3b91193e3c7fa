import { ZONE_C, type VehicleTemplate, type Zone } from './template.js';

const engine = (x: number, y: number, w: number, h: number): Zone => ({ id: 'engine', name: 'engine bay', ambientC: ZONE_C.engine, people: false, nameInside: true, x, y, w, h });

export const VAN: VehicleTemplate = {
  kind: 'van',
  name: 'van',
  w: 5400,
  h: 2500,
  body: [
    'M60 2060 L55 1650 Q60 1540 170 1500 L760 1330 L1330 420 Q1380 350 1500 345 L5180 345 Q5290 345 5300 450 L5330 2060 L4800 2060 Q4790 1640 4390 1640 Q3990 1640 3980 2060 L1420 2060 Q1410 1640 1010 1640 Q610 1640 600 2060 Z',
  ],
  glass: ['M980 1290 L1440 540 Q1460 500 1520 500 L1980 500 L1980 1290 Z'],
  lines: ['M2060 420 L2060 1980', 'M3500 420 L3500 1980', 'M2150 1420 L2290 1420', 'M70 1680 L230 1640 L240 1740 L75 1760 Z', 'M2060 1500 L5310 1500'],
  wheels: [
    { x: 1010, y: 2090, r: 365 },
    { x: 4390, y: 2090, r: 365 },
  ],
  zones: [
    engine(200, 1520, 480, 330),
    { id: 'cab', name: 'cab', ambientC: ZONE_C.cab, people: true, nameInside: true, x: 1150, y: 1340, w: 860, h: 560 },
    { id: 'load', name: 'load space', ambientC: ZONE_C.canopy, people: true, nameInside: true, x: 2160, y: 560, w: 3050, h: 920 },
    { id: 'roof', name: 'roof', ambientC: ZONE_C.roof, people: false, x: 2200, y: 270, w: 2800, h: 60 },
  ],
  chassisY: 2140,
  usual: { starting: 'engine', charger: 'load', house: 'load', bus: 'load', block: 'load', inverter: 'load', panel: 'roof', controller: 'load', mains: 'load', load: 'load' },
};

export const LIGHT_TRUCK: VehicleTemplate = {
  kind: 'light-truck',
  name: 'light truck, 24 V',
  w: 6600,
  h: 2900,
  body: [
    'M90 2400 L80 1750 Q90 1650 160 1600 L330 760 Q350 680 450 680 L1480 680 Q1570 680 1570 780 L1570 2400 L1480 2400 Q1470 2020 1090 2020 Q710 2020 700 2400 Z',
    'M1720 300 L6480 300 L6480 2140 L1720 2140 Z',
  ],
  glass: ['M330 1500 L480 840 Q490 800 540 800 L1400 800 Q1450 800 1450 850 L1450 1500 Z'],
  lines: ['M1600 2240 L6450 2240', 'M1720 2020 L6480 2020', 'M4100 320 L4100 2020', 'M980 800 L980 2000', 'M1080 1640 L1230 1640', 'M100 1900 L260 1900 L260 2000 L100 2000 Z'],
  wheels: [
    { x: 1090, y: 2430, r: 390 },
    { x: 5150, y: 2430, r: 390 },
  ],
  zones: [
    { id: 'engine', name: 'chassis', ambientC: ZONE_C.engine, people: false, x: 1800, y: 2260, w: 900, h: 300 },
    { id: 'cab', name: 'cab', ambientC: ZONE_C.cab, people: true, nameInside: true, x: 350, y: 1520, w: 1120, h: 440 },
    { id: 'body', name: 'body', ambientC: ZONE_C.canopy, people: false, nameInside: true, x: 1820, y: 480, w: 4560, h: 1500 },
    { id: 'roof', name: 'roof', ambientC: ZONE_C.roof, people: false, x: 2000, y: 230, w: 4200, h: 60 },
  ],
  chassisY: 2310,
  usual: { starting: 'engine', charger: 'body', house: 'body', bus: 'body', block: 'body', inverter: 'body', panel: 'roof', controller: 'body', mains: 'body', load: 'body' },
};
