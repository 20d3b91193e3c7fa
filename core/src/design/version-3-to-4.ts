type Loose = Record<string, unknown>;

/** Version 3 had a shunt on the order only, and neither main switch nor disconnect as parts: an old job gets none that nobody chose. */
export function version3To4(old: Loose): Loose {
  const supply = old['supply'];
  if (typeof supply !== 'object' || supply === null) return { ...old, schemaVersion: 4 };
  return { ...old, schemaVersion: 4, supply: { ...supply, mainSwitch: null, shunt: 'shunt-500', disconnect: { part: null, pole: 'positive' } } };
}
