import { SCHEMA_VERSION, type Design } from './schema.js';

/** A new job: the usual dual-cab with a lithium house battery, to be corrected rather than filled in. */
export function blankDesign(customer: string): Design {
  return {
    schemaVersion: SCHEMA_VERSION,
    brief: {
      customer,
      vehicleKind: 'canopy-ute',
      plate: '',
      vehicleV: 12,
      alternator: { ratedA: 150, voltage: 'variable' },
      trip: { days: 4, drivingH: 2, month: 1, latitudeDeg: -33, ambientC: 30 },
      payloadLeftKg: null,
      notes: '',
    },
    loads: {},
    supply: {
      houseV: 12,
      battery: { part: 'bat-lfp-100', count: 1 },
      isolation: 'dcdc',
      dcdc: 'dcdc-25-dual',
      isolator: null,
      sun: { panel: null, count: 1, controller: null },
      mains: { charger: null, hoursADay: 0 },
      inverter: null,
      fuseBlock: 'fb-6',
      startingAh: 80,
    },
    places: {},
    runs: {},
    accepted: {},
    settings: { series: 'metric', insulationC: 105, tinned: false, dropSchool: 'by purpose', usableShare: null },
  };
}
