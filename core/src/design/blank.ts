import { PLAIN_MONITOR } from './rig-schema.js';
import { nothingSaid } from './mains-schema.js';
import { SCHEMA_VERSION, USUAL_CUSTOM, USUAL_MARKS, USUAL_METERS, USUAL_TERMS, USUAL_TORQUE_NM, type Design, type Existing, type Load, type Trace } from './schema.js';

/** A new job: the usual dual-cab with a lithium house battery, to be corrected rather than filled in. */
export function blankDesign(customer: string): Design {
  return {
    schemaVersion: SCHEMA_VERSION,
    brief: {
      customer,
      vehicleKind: 'canopy-ute',
      plate: '',
      vehicleV: 12,
      alternator: { ratedA: 150, voltage: 'variable', vehicleA: null, measured: null, idlesForHours: false },
      use: 'touring',
      trip: { region: 'wirrabel-plain', month: 1, latitudeDeg: -33, ambientC: 30, days: 6, drivingH: 3, parkedDays: 1, mainsH: 0, mainsNights: 'never', dayEdits: {} },
      payloadLeftKg: null,
      budget: null,
      careFrom: null,
      existing: {},
      traces: {},
      notes: '',
    },
    loads: {},
    groups: {},
    multicores: {},
    bought: {},
    prices: {},
    supply: { houseV: 12, startingAh: 80, parkedMa: 30, otherChargersA: 0, seen: {} },
    banks: { house: { order: 1, name: '', batteries: { house: { order: 1, part: 'bat-lfp-100', count: 1 } }, selector: null } },
    arrays: {},
    converters: {
      charger: { order: 1, name: '', part: 'dcdc-25-dual', bank: 'house', from: { in: 'vehicles', id: 'starting' }, inlet: null, half: false, trigger: 'ignition wire', inhibit: false },
    },
    links: {},
    inlets: { inlet: { order: 1, name: '', hours: [], dc: null } },
    distribution: { bus: { order: 1, name: '', kind: 'bars', part: null }, block: { order: 2, name: '', kind: 'fuse block', part: 'fb-6' } },
    switchgear: {
      switch: { order: 1, name: '', does: 'main switch', part: 'sw-300', pole: 'positive' },
      disconnect: { order: 2, name: '', does: 'disconnect', part: 'lvd-65', pole: 'positive' },
    },
    monitors: { shunt: { ...PLAIN_MONITOR, order: 1, part: 'shunt-500', measures: 'house' } },
    parts: {},
    vehicles: {},
    couplings: {},
    vehicle: null,
    places: {},
    board: null,
    air: {},
    plugs: {},
    runs: {},
    accepted: {},
    mains: nothingSaid(),
    settings: {
      series: 'metric',
      insulationC: 105,
      tinned: false,
      dropSchool: 'by purpose',
      usableShare: null,
      batterySchool: 'lithium',
      sunSchool: 'through the charger',
      regulatorSchool: 'MPPT',
      boardSchool: 'separate parts',
      variableSchool: 'DC-DC charger',
      voltsChart: 'rested',
      plugColours: { 'house battery': 'grey', panels: 'black', 'trailer feed': 'red', 'fridge socket': 'blue' },
      bending: { thick: 6, thin: 4 },
      custom: USUAL_CUSTOM,
      backup: 'look',
      meters: USUAL_METERS,
      torqueNm: USUAL_TORQUE_NM,
      fuseMarks: USUAL_MARKS,
      money: { sign: '', tax: '', taxPercent: 0 },
      quote: USUAL_TERMS,
    },
  };
}

/** A load to be corrected: an hour of nothing, all day. */
export function blankLoad(order: number): Load {
  return {
    order,
    name: '',
    purpose: 'other',
    supply: 'dc',
    draw: { by: 'plate', unit: 'W', value: 0 },
    use: { by: 'hours', hours: 1 },
    when: { at: 'all day' },
    critical: false,
    standbyW: 0,
    surge: 1,
    dim: 1,
    neverWith: {},
    also: { mains: false, vehicle: false, gas: false },
    feed: { by: 'own' },
    plugA: null,
    light: null,
  };
}

/** Gear that is there, of which nothing is known yet: it stays. */
export const BLANK_EXISTING: Omit<Existing, 'order' | 'name'> = {
  part: null,
  verdict: 'keep',
  does: [],
  omitted: {},
  own: { capacityAh: null, outputA: null, watts: null },
  ageYears: null,
  kg: null,
  mm: null,
  notes: '',
};

/** A wire of which nothing is known yet. */
export const BLANK_TRACE: Omit<Trace, 'order'> = {
  colour: '',
  from: '',
  to: '',
  live: 'not tested',
  areaMm2: null,
  lengthM: null,
  fuseA: null,
  verdict: 'undecided',
  fedFrom: 'vehicle',
  presentA: null,
  slot: '',
  safety: false,
  run: null,
};
