import type { Design } from '../design/index.js';
import { designWith, onBoard, thereBefore } from './build.js';

/** How far a made-up job has come, for the bay sheet. */
export interface DemoJob {
  readonly key: string;
  readonly design: Design;
  /** Days from the day the demo is loaded to the promised day. */
  readonly promisedInDays: number;
  /** Days since it left the workshop; none: it is there still. */
  readonly leftDaysAgo?: number;
  readonly state: 'planning' | 'quoted' | 'fitting' | 'sign-off' | 'handed over' | 'in service';
  readonly note: string;
  /** Share of the fitting steps that are ticked, and whether readings were taken. */
  readonly tickedShare: number;
  readonly readings: 'none' | 'good' | 'one off';
}

/** The 230 V side of a camper with an inlet, a charger on it and a small inverter, as its electrician left it. */
const mainsSigned: Design['mains'] = {
  answers: {
    'inlet.rating': '15 A',
    'inlet.rcd': '30 mA, type A',
    'inlet.poles': 'yes',
    'inlet.lead': '1.5 mm², 15 m, 15 A plug',
    'inverter.output': 'floating',
    'inverter.used': 'by plugging in',
    'inverter.rcd': 'none',
    'inverter.outlets': 'one, its own, 10 A: for the urn alone',
    transfer: 'outlets of their own',
    apart: 'own conduit',
    circuits: 'charger circuit, 10 A; drawing in the glove box',
  },
  signed: { by: 'Wirrabel licensed electrician', licence: 'made up, 4711', on: '2026-10-30', statement: 'inlet, RCD and charger circuit done, tested and signed' },
  notOurs: null,
};

const vet: DemoJob = {
  key: 'vet',
  promisedInDays: 1,
  state: 'fitting',
  note: '',
  tickedShare: 0.35,
  readings: 'none',
  design: designWith('Bellbird Ranges Mobile Vet', {
    brief: {
      vehicleKind: 'canopy-ute',
      plate: 'BRV 27',
      alternator: { ratedA: 180, voltage: 'variable' },
      use: 'mobile workshop',
      trip: { region: 'wirrabel-plain', days: 5, drivingH: 3, parkedDays: 0, month: 1 },
      payloadLeftKg: 420,
      notes: 'The vaccine fridge must not go off. Steriliser twice a day, ten minutes each.',
    },
    supply: {
      battery: { part: 'bat-lfp-200', count: 1 },
      dcdc: 'dcdc-40-dual',
      sun: { panel: 'pv-200', count: 1, controller: null },
      inverter: 'inv-1600',
      fuseBlock: 'fb-12',
      mainSwitch: 'sw-500',
      shunt: 'shunt-1000',
      startingAh: 90,
    },
    loads: [
      ['vaccine fridge', '55 W', '45 %', 'all day', 'fridge', { critical: true }],
      ['canopy lights', '24 W', '3 h', 'evening', 'lights'],
      ['examination light', '18 W', '2 h', 'daytime', 'lights'],
      ['tablet and phone sockets', '30 W', '4 h', 'daytime', 'sockets'],
      ['water pump', '60 W', '0.3 h', 'daytime', 'pump'],
      [
        'instrument steriliser',
        '1400 W',
        '0.3 h',
        [
          [7, 8],
          [17, 18],
        ],
        'other',
        { supply: 'mains' },
      ],
    ],
    board: { face: 'canopy-front', u: 335, v: 30, w: 980, h: 600, thickMm: 12, entry: 'bottom' },
    places: onBoard('canopy', { shunt: [25, 115], switch: [205, 115], bus: [325, 195], disconnect: [545, 115], inverter: [725, 171], charger: [25, 398], block: [275, 450] }),
    runs: { 'start-charger': { outM: 6.4 }, 'charger-bus': { outM: 0.9 }, 'bus-inverter': { outM: 0.7 }, 'bus-block': { outM: 1.1 }, 'load-l1': { outM: 2.3 } },
  }),
};

const bookmobile: DemoJob = {
  key: 'bookmobile',
  promisedInDays: 0,
  state: 'sign-off',
  note: 'mains task not signed',
  tickedShare: 0.97,
  readings: 'good',
  design: designWith('Two Creeks Bookmobile', {
    brief: {
      vehicleKind: 'caravan',
      plate: 'TCB 08',
      alternator: { ratedA: 180, voltage: 'variable' },
      use: 'events',
      trip: { region: 'wirrabel-plain', days: 7, drivingH: 2, parkedDays: 2, month: 10 },
      payloadLeftKg: 260,
      notes: 'Reading lights on a timer, lift motor for the ramp, heat pump only on mains.',
    },
    supply: {
      battery: { part: 'bat-lfp-120', count: 2 },
      dcdc: 'dcdc-25-dual',
      sun: { panel: 'pv-160', count: 3, controller: 'mppt-40' },
      mains: { charger: 'mc-25' },
      inverter: 'inv-1000',
      fuseBlock: 'fb-12',
    },
    loads: [
      ['reading lights', '40 W', '5 h', [[9, 19]], 'lights'],
      ['step light', '5 W', '100 %', 'evening', 'lights'],
      ['ramp lift motor', '25 A', '0.2 h', 'daytime', 'tools'],
      ['lending computer', '65 W', '6 h', 'daytime', 'other', { supply: 'mains' }],
      ['modem', '12 W', '100 %', 'all day', 'electronics', { critical: true }],
      ['roof fan', '36 W', '4 h', 'daytime', 'other'],
    ],
    runs: { 'start-charger': { outM: 11.5 }, 'charger-bus': { outM: 1.2 }, 'load-l1': { outM: 5.5 }, 'load-l3': { outM: 4.2 } },
    accepted: { 'battery-among-people:house': { by: 'Tallowgum Auto Electrics', reason: 'sealed box under the front seat, vented through the floor, isolator outside', at: '2026-11-12' } },
  }),
};

const survey: DemoJob = {
  key: 'survey',
  promisedInDays: 9,
  state: 'quoted',
  note: 'quote sent',
  tickedShare: 0,
  readings: 'none',
  design: designWith('Stonefly Catchment Survey', {
    brief: {
      vehicleKind: 'wagon',
      plate: 'SCS 11',
      alternator: { ratedA: 150, voltage: 'variable' },
      use: 'remote work',
      trip: { region: 'stonefly-catchment', days: 6, drivingH: 4, parkedDays: 1, month: 7 },
      payloadLeftKg: 310,
      existing: {
        e1: thereBefore(1, 'starting battery', { does: ['starts the engine'], own: { capacityAh: 95, outputA: null, watts: null }, ageYears: 2, kg: 24 }),
        e2: thereBefore(2, 'old sensing relay', { verdict: 'remove', does: ['isolates the starting battery', 'charges from the vehicle'], ageYears: 9, kg: 0.5 }),
      },
      notes: 'Samples below −20 °C. Winter trips with little sun; the kept starting battery is two years old.',
    },
    supply: {
      battery: { part: 'bat-lfp-280', count: 1 },
      dcdc: 'dcdc-40-dual',
      sun: { panel: 'pv-110', count: 2, controller: null },
      mains: { charger: 'mc-40' },
      fuseBlock: 'fb-12',
      startingAh: 95,
    },
    loads: [
      ['sample freezer', '75 W', '50 %', 'all day', 'fridge', { critical: true }],
      ['water recorders', '20 W', '10 h', 'daytime', 'electronics'],
      ['two-way radio', '1.5 A', '100 %', 'daytime', 'electronics'],
      ['laptop socket', '65 W', '3 h', 'evening', 'sockets'],
      ['work lights', '30 W', '2 h', 'evening', 'lights'],
    ],
    runs: { 'start-charger': { outM: 5.2 } },
    accepted: { 'battery-among-people:house': { by: 'Tallowgum Auto Electrics', reason: 'sealed box behind the seat, vented low through the floor', at: '2026-11-18' } },
  }),
};

const bees: DemoJob = {
  key: 'bees',
  promisedInDays: 51,
  leftDaysAgo: 25,
  state: 'handed over',
  note: 'first service: re-tighten the joints',
  tickedShare: 1,
  readings: 'good',
  design: designWith('Cinderbush Orchard Bees', {
    brief: {
      vehicleKind: 'tray-back',
      plate: 'COB 05',
      alternator: { ratedA: 140, voltage: 'fixed' },
      use: 'mobile workshop',
      trip: { region: 'wirrabel-plain', days: 2, drivingH: 3, parkedDays: 0, month: 11 },
      payloadLeftKg: 650,
      notes: 'Simple and cheap, done right: red lights for the hives, a pump, a small fridge for lunch and queens.',
    },
    supply: { battery: { part: 'bat-agm-120', count: 1 }, isolation: 'isolator', dcdc: null, isolator: 'iso-140', sun: { panel: null, count: 1, controller: null }, fuseBlock: 'fb-6' },
    loads: [
      ['small fridge', '38 W', '35 %', 'all day', 'fridge'],
      ['red hive lights', '15 W', '3 h', 'night', 'lights'],
      ['smoker fan', '12 W', '2 h', 'daytime', 'other'],
      ['syrup pump', '72 W', '0.5 h', 'daytime', 'pump'],
    ],
    places: { 'load:l1': { zone: 'cab', on: null, when: 'now' }, 'load:l3': { zone: 'cab', on: null, when: 'now' } },
    runs: {
      'start-isolator': { outM: 1.8 },
      'isolator-bus': { outM: 3.1 },
      'house-bus': { outM: 0.4 },
      'bus-block': { outM: 0.8 },
      'load-l1': { outM: 2.4 },
      'load-l2': { outM: 3.6 },
      'load-l3': { outM: 2.2 },
      'load-l4': { outM: 2.8 },
    },
  }),
};

const cinema: DemoJob = {
  key: 'cinema',
  promisedInDays: 6,
  state: 'planning',
  note: '',
  tickedShare: 0,
  readings: 'none',
  design: designWith('Lantern Street Cinema', {
    brief: {
      vehicleKind: 'light-truck',
      plate: 'LSC 24',
      vehicleV: 24,
      alternator: { ratedA: 110, voltage: 'fixed' },
      use: 'events',
      trip: { region: 'saltpan-coast', days: 3, drivingH: 0, parkedDays: 0, month: 2, mainsH: 9, mainsNights: 'every night' },
      payloadLeftKg: 900,
      notes: 'Runs still: no driving on show nights. Projector and sound together for three hours; mains at the hall overnight.',
    },
    supply: {
      houseV: 24,
      battery: { part: 'bat-lfp-280', count: 4 },
      dcdc: 'dcdc-24-24-25',
      mains: { charger: 'mc-24-25' },
      inverter: 'inv-24-2400',
      fuseBlock: 'fb-8-c',
      sun: { panel: null, count: 1, controller: null },
      startingAh: 120,
    },
    loads: [
      ['projector', '650 W', '3 h', [[19, 23]], 'other', { supply: 'mains', critical: true }],
      ['sound desk and amplifiers', '900 W', '3 h', [[19, 23]], 'other', { supply: 'mains' }],
      ['screen blower', '14 A', '3.5 h', [[18.5, 23]], 'tools'],
      ['path lights', '60 W', '4 h', 'evening', 'lights'],
      ['popcorn cooler', '110 W', '40 %', 'evening', 'fridge'],
    ],
    board: { face: 'body-front', u: 370, v: 30, w: 1300, h: 900, thickMm: 12, entry: 'bottom' },
    places: onBoard('body', { bus: [25, 130], shunt: [245, 115], switch: [395, 115], disconnect: [495, 115], inverter: [675, 130], charger: [1055, 121], mains: [310, 361], block: [25, 375] }),
  }),
};

const playgroup: DemoJob = {
  key: 'playgroup',
  promisedInDays: 16,
  leftDaysAgo: 200,
  state: 'in service',
  note: 'fault: pump stops at dusk',
  tickedShare: 1,
  readings: 'one off',
  design: designWith('Gumnut Travelling Playgroup', {
    brief: {
      vehicleKind: 'camper',
      plate: 'GTP 03',
      alternator: { ratedA: 130, voltage: 'variable' },
      use: 'events',
      trip: { region: 'saltpan-coast', days: 4, drivingH: 2, parkedDays: 1, month: 9, mainsH: 8, mainsNights: 'parked days' },
      payloadLeftKg: 180,
      existing: {
        e1: thereBefore(1, 'old combined manager', {
          verdict: 'remove',
          does: ['charges from the vehicle', 'charges from mains', 'fuses', 'low-voltage cut-off'],
          own: { capacityAh: null, outputA: 15, watts: null },
          ageYears: 11,
          kg: 4,
        }),
        e2: thereBefore(2, 'cut-off relay', { does: ['low-voltage cut-off'], ageYears: 3, kg: 0.6 }),
      },
      traces: {
        t1: {
          order: 1,
          colour: 'green',
          from: 'tow plug 4',
          to: 'manager',
          live: 'ignition on',
          areaMm2: 2.5,
          lengthM: 6.2,
          fuseA: 20,
          verdict: 'remove',
          run: null,
          fedFrom: 'vehicle',
          presentA: null,
          slot: '',
          safety: false,
        },
        t2: {
          order: 2,
          colour: 'red',
          from: 'manager',
          to: 'pump',
          live: 'always',
          areaMm2: 2.5,
          lengthM: 3.4,
          fuseA: 10,
          verdict: 'keep',
          run: 'load-l1',
          fedFrom: 'house',
          presentA: null,
          slot: '',
          safety: false,
        },
      },
      notes: 'Behind a loaned van. Mains at halls; pump and urn.',
    },
    supply: {
      battery: { part: 'bat-gel-100', count: 2 },
      dcdc: 'dcdc-25-dual',
      sun: { panel: 'pv-120-fold', count: 1, controller: null },
      mains: { charger: 'mc-25' },
      inverter: 'inv-600',
      fuseBlock: 'fb-6',
    },
    loads: [
      ['water pump', '60 W', '1 h', 'daytime', 'pump'],
      ['awning lights', '20 W', '3 h', 'evening', 'lights'],
      ['music player', '25 W', '4 h', 'daytime', 'electronics'],
      ['urn, half power', '500 W', '0.4 h', [[9, 11]], 'other', { supply: 'mains' }],
      ['fridge for milk', '40 W', '40 %', 'all day', 'fridge'],
    ],
    mains: mainsSigned,
    accepted: {
      ...Object.fromEntries(
        ['charges from the vehicle', 'charges from mains'].map((what) => [
          `swap-grows:existing:e1:${what}`,
          { by: 'Tallowgum Auto Electrics', reason: 'new cable and fuses throughout; nothing of the old feed stays', at: '2026-10-30' },
        ]),
      ),
    },
    runs: { 'start-charger': { outM: 7.8 }, 'bus-block': { outM: 0.8 }, 'load-l1': { outM: 3.4 } },
  }),
};

/** The made-up workshop's six jobs, in the order of its bay sheet. */
export const DEMO_JOBS: readonly DemoJob[] = [bookmobile, vet, cinema, survey, playgroup, bees];
