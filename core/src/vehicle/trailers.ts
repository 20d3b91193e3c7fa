import { ZONE_C, type VehicleTemplate } from './template.js';

/** Rear of the vehicle in front, to which a trailer's feed is coupled. */
const TOW = 'M60 1750 L60 760 Q60 700 120 700 L900 700 Q960 700 980 760 L1120 1180 Q1140 1240 1140 1320 L1140 1750 L880 1750 Q870 1420 620 1420 Q370 1420 360 1750 Z';
const TOW_GLASS = 'M160 800 L860 800 Q890 800 900 830 L990 1120 L160 1120 Z';

export const CARAVAN: VehicleTemplate = {
  kind: 'caravan',
  name: 'caravan 5.4 m',
  w: 8300,
  h: 2700,
  body: [
    'M2500 2200 L2380 1500 L2640 520 Q2700 320 2900 310 L7800 310 Q7980 310 8000 480 L8150 1750 L8020 2200 L6180 2200 Q6170 1840 5840 1840 Q5510 1840 5500 2200 Z',
    TOW.replace(/(\d+) (\d+)/g, (_, x: string, y: string) => `${x} ${Number(y) + 450}`),
  ],
  glass: [
    'M3050 700 L3900 700 Q3950 700 3950 750 L3950 1150 Q3950 1200 3900 1200 L3000 1200 Q2950 1200 2950 1150 L3000 750 Q3005 700 3050 700 Z',
    'M6350 700 L7500 700 Q7550 700 7550 750 L7550 1150 Q7550 1200 7500 1200 L6350 1200 Q6300 1200 6300 1150 L6300 750 Q6300 700 6350 700 Z',
    TOW_GLASS.replace(/(\d+) (\d+)/g, (_, x: string, y: string) => `${x} ${Number(y) + 450}`),
  ],
  lines: [
    'M4300 2150 L4300 560 Q4300 520 4340 520 L5000 520 Q5040 520 5040 560 L5040 2150',
    'M1140 2080 L1600 2130 L2500 2130',
    'M2480 2060 L2000 2060 L2000 2130',
    'M1960 2130 L1960 2380',
    'M2390 1560 L8120 1560',
  ],
  wheels: [
    { x: 620, y: 2230, r: 330 },
    { x: 5840, y: 2240, r: 330 },
  ],
  zones: [
    { id: 'tow', name: 'tow vehicle', ambientC: ZONE_C.engine, people: false, x: 130, y: 1710, w: 800, h: 230 },
    { id: 'front', name: 'front box', ambientC: ZONE_C.frontBox, people: false, nameInside: true, x: 2440, y: 1620, w: 620, h: 440 },
    { id: 'inside', name: 'inside', ambientC: ZONE_C.caravan, people: true, nameInside: true, x: 3150, y: 1230, w: 4750, h: 600 },
    { id: 'roof', name: 'roof', ambientC: ZONE_C.roof, people: false, x: 3000, y: 235, w: 4700, h: 60 },
  ],
  chassisY: 2210,
  usual: { starting: 'tow', charger: 'inside', house: 'inside', bus: 'inside', block: 'inside', inverter: 'inside', panel: 'roof', controller: 'inside', mains: 'inside', load: 'inside' },
};

export const CAMPER: VehicleTemplate = {
  kind: 'camper',
  name: 'camper trailer',
  w: 5900,
  h: 2000,
  body: [
    'M2350 1520 L2350 820 Q2350 760 2410 760 L5640 760 Q5700 760 5720 820 L5780 1400 L5700 1520 L4640 1520 Q4630 1160 4290 1160 Q3950 1160 3940 1520 Z',
    'M1700 1500 L1700 1080 L2300 1080 L2300 1500 Z',
    TOW.replace(/(\d+) (\d+)/g, (_, x: string, y: string) => `${x} ${Number(y) - 180}`),
  ],
  glass: [TOW_GLASS.replace(/(\d+) (\d+)/g, (_, x: string, y: string) => `${x} ${Number(y) - 180}`)],
  lines: [
    'M2400 760 L2700 380 L5350 380 L5660 760',
    'M2700 380 L2900 760 M5350 380 L5200 760',
    'M1140 1470 L1500 1530 L2360 1530',
    'M1560 1530 L1560 1800',
    'M2350 1180 L5750 1180',
    'M3500 780 L3500 1160',
  ],
  wheels: [
    { x: 620, y: 1600, r: 330 },
    { x: 4290, y: 1600, r: 340 },
  ],
  zones: [
    { id: 'tow', name: 'tow vehicle', ambientC: ZONE_C.engine, people: false, x: 130, y: 1060, w: 800, h: 220 },
    { id: 'front', name: 'front box', ambientC: ZONE_C.frontBox, people: false, nameInside: true, x: 1720, y: 1100, w: 560, h: 380 },
    { id: 'body', name: 'body', ambientC: ZONE_C.canopy, people: false, nameInside: true, x: 2420, y: 800, w: 3220, h: 370 },
    { id: 'tent', name: 'tent', ambientC: ZONE_C.caravan, people: true, x: 2850, y: 420, w: 2350, h: 320 },
  ],
  chassisY: 1570,
  usual: { starting: 'tow', charger: 'front', house: 'body', bus: 'body', block: 'body', inverter: 'body', panel: 'tent', controller: 'front', mains: 'body', load: 'body' },
};
