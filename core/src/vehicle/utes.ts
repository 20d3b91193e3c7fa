import { ZONE_C, type VehicleTemplate, type Zone } from './template.js';

const engine = (x: number, y: number, w: number, h: number): Zone => ({ id: 'engine', name: 'engine bay', ambientC: ZONE_C.engine, people: false, nameInside: true, x, y, w, h });
const cab = (x: number, y: number, w: number, h: number): Zone => ({ id: 'cab', name: 'cab', ambientC: ZONE_C.cab, people: true, nameInside: true, x, y, w, h });

export const CANOPY_UTE: VehicleTemplate = {
  kind: 'canopy-ute',
  name: 'dual-cab ute, canopy',
  w: 5400,
  h: 2000,
  body: [
    'M70 1560 L60 1200 Q62 1090 170 1060 L1180 950 L1760 470 Q1810 430 1900 430 L3020 430 Q3120 430 3125 530 L3130 1560 L2960 1560 Q2960 1560 1400 1560 Q1390 1110 960 1110 Q530 1110 520 1560 Z',
    'M3190 380 Q3190 330 3240 330 L5290 330 Q5340 330 5340 380 L5340 1470 Q5340 1540 5270 1560 L4630 1560 Q4610 1120 4190 1120 Q3770 1120 3750 1560 L3190 1560 Z',
  ],
  glass: ['M1400 900 L1810 545 Q1830 530 1870 530 L2260 530 L2260 900 Z', 'M2340 530 L2950 530 Q3020 530 3022 600 L3030 900 L2340 900 Z'],
  lines: ['M2300 500 L2300 1500', 'M1330 960 L1330 1400', 'M3200 1010 L5330 1010', 'M2480 1010 L2620 1010', 'M1640 1010 L1780 1010', 'M80 1220 L210 1200 L220 1290 L85 1300 Z'],
  wheels: [
    { x: 960, y: 1600, r: 385 },
    { x: 4190, y: 1600, r: 385 },
  ],
  zones: [
    engine(230, 1080, 900, 330),
    cab(1420, 960, 1560, 520),
    { id: 'canopy', name: 'canopy', ambientC: ZONE_C.canopy, people: false, x: 3270, y: 420, w: 1990, h: 660 },
    { id: 'roof', name: 'canopy roof', ambientC: ZONE_C.roof, people: false, x: 3400, y: 262, w: 1700, h: 60 },
  ],
  chassisY: 1640,
  usual: { starting: 'engine', charger: 'canopy', house: 'canopy', bus: 'canopy', block: 'canopy', inverter: 'canopy', panel: 'roof', controller: 'canopy', mains: 'canopy', load: 'canopy' },
};

export const TRAY_BACK: VehicleTemplate = {
  kind: 'tray-back',
  name: 'single-cab tray-back',
  w: 5200,
  h: 2000,
  body: [
    'M70 1560 L60 1200 Q62 1090 170 1060 L1180 950 L1700 500 Q1750 455 1850 455 L2360 455 Q2450 455 2455 550 L2470 1560 L1400 1560 Q1390 1110 960 1110 Q530 1110 520 1560 Z',
    'M2560 1130 L5120 1130 L5120 1240 L2560 1240 Z',
    'M2620 1260 L3420 1260 L3420 1560 L2620 1560 Z',
  ],
  glass: ['M1390 900 L1750 575 Q1775 555 1820 555 L2290 555 Q2350 555 2352 610 L2360 900 Z'],
  lines: [
    'M2560 1130 L2560 560 L2640 560 L2640 1130',
    'M2560 700 L2640 700',
    'M3400 1130 L3400 880 M4260 1130 L4260 880 M5110 1130 L5110 880',
    'M2560 880 L5120 880',
    'M1980 1010 L2120 1010',
    'M80 1220 L210 1200 L220 1290 L85 1300 Z',
    'M2500 1300 L5050 1300',
  ],
  wheels: [
    { x: 960, y: 1600, r: 385 },
    { x: 4100, y: 1600, r: 385 },
  ],
  zones: [
    engine(230, 1080, 900, 330),
    cab(1420, 960, 960, 520),
    { id: 'box', name: 'under-tray box', ambientC: ZONE_C.canopy, people: false, nameInside: true, x: 2640, y: 1270, w: 760, h: 280 },
    { id: 'tray', name: 'tray', ambientC: ZONE_C.canopy, people: false, x: 2700, y: 640, w: 2380, h: 480 },
  ],
  chassisY: 1640,
  usual: { starting: 'engine', charger: 'box', house: 'box', bus: 'box', block: 'box', inverter: 'tray', panel: 'tray', controller: 'box', mains: 'box', load: 'tray' },
};

export const WAGON: VehicleTemplate = {
  kind: 'wagon',
  name: '4x4 wagon',
  w: 4950,
  h: 2000,
  body: [
    'M70 1560 L60 1180 Q62 1070 170 1040 L1150 930 L1680 450 Q1730 405 1830 405 L4560 405 Q4660 405 4690 500 L4830 1000 Q4860 1090 4860 1200 L4850 1560 L4320 1560 Q4310 1110 3880 1110 Q3450 1110 3440 1560 L1400 1560 Q1390 1110 960 1110 Q530 1110 520 1560 Z',
  ],
  glass: ['M1370 880 L1740 535 Q1765 510 1810 510 L2330 510 L2330 880 Z', 'M2420 510 L3250 510 L3250 880 L2420 880 Z', 'M3340 510 L4500 510 Q4560 510 4580 570 L4660 880 L3340 880 Z'],
  lines: ['M2375 480 L2375 1500', 'M3295 480 L3295 1400', 'M1310 940 L1310 1400', 'M2480 1010 L2620 1010', 'M80 1200 L210 1180 L220 1270 L85 1280 Z', 'M1750 370 L4500 370'],
  wheels: [
    { x: 960, y: 1600, r: 390 },
    { x: 3880, y: 1600, r: 390 },
  ],
  zones: [
    engine(230, 1060, 900, 340),
    cab(1420, 940, 1830, 540),
    { id: 'cargo', name: 'cargo space', ambientC: ZONE_C.cab, people: true, nameInside: true, x: 3330, y: 560, w: 1270, h: 520 },
    { id: 'roof', name: 'roof', ambientC: ZONE_C.roof, people: false, x: 1900, y: 300, w: 2500, h: 60 },
  ],
  chassisY: 1640,
  usual: { starting: 'engine', charger: 'cargo', house: 'cargo', bus: 'cargo', block: 'cargo', inverter: 'cargo', panel: 'roof', controller: 'cargo', mains: 'cargo', load: 'cargo' },
};
