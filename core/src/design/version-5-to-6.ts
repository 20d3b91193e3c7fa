type Loose = Record<string, unknown>;

const isLoose = (v: unknown): v is Loose => typeof v === 'object' && v !== null && !Array.isArray(v);
const loose = (v: unknown): Loose => (isLoose(v) ? v : {});
const only = (id: string, thing: Loose | null): Loose => (thing ? { [id]: { order: 1, name: '', ...thing } } : {});

/** The converters that version 5 had places for. What was chosen for a way of charging that is not in use is left behind. */
function converters(s: Loose): Loose {
  const { isolation, dcdc, dcdcHalf, dcdcSecond, trigger, inhibit } = s;
  const [controller, mains] = [loose(s['sun'])['controller'], loose(s['mains'])['charger']];
  const usual = { name: '', bank: 'house', from: null, inlet: null, half: false, trigger: 'ignition wire', inhibit: false };
  const fromVehicle = { ...usual, from: { in: 'vehicles', id: 'starting' }, trigger, inhibit };
  return {
    ...(isolation === 'dcdc' ? { charger: { ...fromVehicle, order: 1, part: dcdc, half: dcdcHalf } } : {}),
    ...(isolation === 'dcdc' && dcdcSecond !== null ? { charger2: { ...fromVehicle, order: 2, part: dcdcSecond } } : {}),
    ...(controller === null ? {} : { controller: { ...usual, order: 3, part: controller } }),
    ...(mains === null ? {} : { mains: { ...usual, order: 4, part: mains, inlet: 'inlet' } }),
    ...(s['inverter'] === null ? {} : { inverter: { ...usual, order: 5, part: s['inverter'], inlet: 'inlet' } }),
  };
}

function arrays(s: Loose): Loose {
  const sun = loose(s['sun']);
  const { portable } = sun;
  const regulator = sun['controller'] === null ? (s['isolation'] === 'dcdc' ? { in: 'converters', id: 'charger' } : null) : { in: 'converters', id: 'controller' };
  const roof = { part: sun['panel'], count: sun['count'], inSeries: sun['inSeries'], shade: sun['shade'], portable: null, into: regulator, startBelow: sun['startBelow'] };
  const own = (p: Loose): Loose => ({
    order: 2,
    name: '',
    part: p['panel'],
    count: 1,
    inSeries: 1,
    shade: 0,
    portable: { regulated: p['regulated'], hours: p['hours'] },
    into: p['into'] === 'bank' ? { in: 'banks', id: 'house' } : regulator,
    startBelow: null,
  });
  return { ...only('panel', roof), ...(isLoose(portable) ? { portable: own(portable) } : {}) };
}

function banks(s: Loose): Loose {
  const { second } = s;
  const more = isLoose(second) ? { order: 2, part: second['part'], count: second['count'] } : null;
  const apart = isLoose(second) && second['joined'] === 'selector';
  return {
    house: { order: 1, name: '', batteries: { house: { order: 1, ...loose(s['battery']) }, ...(more && !apart ? { second: more } : {}) }, selector: null },
    ...(more && apart ? { second: { order: 2, name: '', batteries: { second: more }, selector: 'switch' } } : {}),
  };
}

/** Version 5 said one of each, in fields; version 6 has collections of things that refer to one another. */
export function version5To6(old: Loose): Loose {
  const { supply } = old;
  if (!isLoose(supply)) return { ...old, schemaVersion: 6 };
  const { houseV, startingAh, parkedMa, otherChargersA, seen } = supply;
  return {
    ...old,
    schemaVersion: 6,
    parts: {},
    supply: { houseV, startingAh, parkedMa, otherChargersA, seen },
    banks: banks(supply),
    arrays: arrays(supply),
    converters: converters(supply),
    links: supply['isolation'] === 'isolator' ? only('charger', { part: supply['isolator'], vehicle: 'starting', bank: 'house' }) : {},
    inlets: only('inlet', {}),
    distribution: { ...only('bus', { kind: 'bars', part: supply['hub'] }), block: { order: 2, name: '', kind: 'fuse block', part: supply['fuseBlock'] } },
    switchgear: {
      ...only('switch', supply['mainSwitch'] === null ? null : { does: 'main switch', part: supply['mainSwitch'], pole: 'positive' }),
      disconnect: { order: 2, name: '', does: 'disconnect', ...loose(supply['disconnect']) },
    },
    monitors: only('shunt', supply['shunt'] === null ? null : { part: supply['shunt'], measures: 'house' }),
  };
}
