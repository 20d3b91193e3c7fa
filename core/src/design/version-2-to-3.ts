type Loose = Record<string, unknown>;

/** Version 2 knew a zone by gear and no more; the vehicle was always a shipped one. */
export function version2To3(old: Loose): Loose {
  const places = old['places'];
  const shaped = typeof places === 'object' && places !== null && typeof old['settings'] === 'object' && old['settings'] !== null;
  if (!shaped) return { ...old, schemaVersion: 3 };
  return {
    ...old,
    schemaVersion: 3,
    vehicle: null,
    places: Object.fromEntries(Object.entries(places).map(([gear, zone]) => [gear, { zone, on: null, when: 'now' }])),
    board: null,
    plugs: {},
    settings: { ...(old['settings'] as Loose), plugColours: { 'house battery': 'grey', panels: 'black', 'trailer feed': 'red', 'fridge socket': 'blue' }, bending: { thick: 6, thin: 4 } },
  };
}
