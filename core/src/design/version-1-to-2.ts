type Loose = Record<string, unknown>;

const plate = (load: Loose): Loose => ({
  ...load,
  draw: { by: 'plate', ...(load['draw'] as Loose) },
  standbyW: 0,
  surge: 1,
  dim: 1,
  neverWith: {},
  also: { mains: false, vehicle: false, gas: false },
  light: null,
});

/**
 * Version 1 knew one kind of day, loads by plate only, one bank and one charger. Every day of an old trip was driven, so
 * no day is parked; its mains hours were every night's.
 */
export function version1To2(old: Loose): Loose {
  // What is not even shaped like a design goes on to the schema, which names what is missing.
  const shaped = ['brief', 'loads', 'supply', 'settings'].every((k) => typeof old[k] === 'object' && old[k] !== null);
  if (!shaped || typeof (old['supply'] as Loose)['mains'] !== 'object') return { ...old, schemaVersion: 2 };
  const brief = old['brief'] as Loose;
  const supply = old['supply'] as Loose;
  const mains = supply['mains'] as { charger: unknown; hoursADay: number };
  return {
    ...old,
    schemaVersion: 2,
    brief: {
      ...brief,
      alternator: { ...(brief['alternator'] as Loose), vehicleA: null, measured: null },
      use: 'touring',
      trip: { region: null, ...(brief['trip'] as Loose), parkedDays: 0, mainsH: mains.hoursADay, mainsNights: mains.hoursADay > 0 ? 'every night' : 'never', dayEdits: {} },
      budget: null,
      existing: {},
      traces: {},
    },
    loads: Object.fromEntries(Object.entries(old['loads'] as Record<string, Loose>).map(([id, load]) => [id, plate(load)])),
    supply: {
      ...supply,
      second: null,
      dcdcHalf: false,
      dcdcSecond: null,
      trigger: 'ignition wire',
      inhibit: false,
      sun: { ...(supply['sun'] as Loose), inSeries: 1, shade: 0, portable: null, startBelow: null },
      mains: { charger: mains.charger },
      parkedMa: 30,
      otherChargersA: 0,
      seen: {},
    },
    settings: { ...(old['settings'] as Loose), batterySchool: 'lithium', sunSchool: 'through the charger', regulatorSchool: 'MPPT', variableSchool: 'DC-DC charger', voltsChart: 'rested' },
  };
}
