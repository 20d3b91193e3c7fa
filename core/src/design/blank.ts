import { SCHEMA_VERSION, type Design, type Load } from './schema.js';

/** A new job: the usual dual-cab with a lithium house battery, to be corrected rather than filled in. */
export function blankDesign(customer: string): Design {
  return {
    schemaVersion: SCHEMA_VERSION,
    brief: {
      customer,
      vehicleKind: 'canopy-ute',
      plate: '',
      vehicleV: 12,
      alternator: { ratedA: 150, voltage: 'variable', vehicleA: null, measured: null },
      use: 'touring',
      trip: { region: 'wirrabel-plain', month: 1, latitudeDeg: -33, ambientC: 30, days: 6, drivingH: 3, parkedDays: 1, mainsH: 0, mainsNights: 'never', dayEdits: {} },
      payloadLeftKg: null,
      budget: null,
      existing: {},
      traces: {},
      notes: '',
    },
    loads: {},
    supply: {
      houseV: 12,
      battery: { part: 'bat-lfp-100', count: 1 },
      second: null,
      isolation: 'dcdc',
      dcdc: 'dcdc-25-dual',
      dcdcHalf: false,
      dcdcSecond: null,
      trigger: 'ignition wire',
      inhibit: false,
      isolator: null,
      sun: { panel: null, count: 1, inSeries: 1, controller: null, shade: 0, portable: null, startBelow: null },
      mains: { charger: null },
      inverter: null,
      fuseBlock: 'fb-6',
      startingAh: 80,
      parkedMa: 30,
      otherChargersA: 0,
      seen: {},
    },
    vehicle: null,
    places: {},
    board: null,
    plugs: {},
    runs: {},
    accepted: {},
    settings: {
      series: 'metric',
      insulationC: 105,
      tinned: false,
      dropSchool: 'by purpose',
      usableShare: null,
      batterySchool: 'lithium',
      sunSchool: 'through the charger',
      regulatorSchool: 'MPPT',
      variableSchool: 'DC-DC charger',
      voltsChart: 'rested',
      plugColours: { 'house battery': 'grey', panels: 'black', 'trailer feed': 'red', 'fridge socket': 'blue' },
      bending: { thick: 6, thin: 4 },
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
    light: null,
  };
}
