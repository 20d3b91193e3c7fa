type Loose = Record<string, unknown>;

const isLoose = (v: unknown): v is Loose => typeof v === 'object' && v !== null && !Array.isArray(v);
const each = (all: unknown, more: Loose): unknown => (isLoose(all) ? Object.fromEntries(Object.entries(all).map(([id, one]) => [id, isLoose(one) ? { ...more, ...one } : one])) : all);

/** Version 4 had each load on a way of its own, traced wires that nothing new was hung on, and separate parts only. */
export function version4To5(old: Loose): Loose {
  const { brief, supply, settings } = old;
  return {
    ...old,
    schemaVersion: 5,
    groups: {},
    loads: each(old['loads'], { feed: { by: 'own' } }),
    supply: isLoose(supply) ? { ...supply, hub: null } : supply,
    settings: isLoose(settings) ? { ...settings, boardSchool: 'separate parts' } : settings,
    brief: isLoose(brief) ? { ...brief, traces: each(brief['traces'], { fedFrom: 'vehicle', presentA: null, slot: '', safety: false }) } : brief,
  };
}
