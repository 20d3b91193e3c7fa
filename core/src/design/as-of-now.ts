import type { Design } from './schema.js';

/** Gear that may wait, with what of the supply goes with it. */
const WITHOUT: Readonly<Record<string, (s: Design['supply']) => Partial<Design['supply']>>> = {
  house: (s) => ({ battery: { ...s.battery, part: null } }),
  second: () => ({ second: null }),
  charger: (s) => ({ isolation: 'none', ...(s.sun.controller ? {} : { dcdc: null }) }),
  charger2: () => ({ dcdcSecond: null }),
  panel: (s) => ({ sun: { ...s.sun, panel: null } }),
  controller: (s) => ({ sun: { ...s.sun, controller: null } }),
  portable: (s) => ({ sun: { ...s.sun, portable: null } }),
  mains: () => ({ mains: { charger: null } }),
  inverter: () => ({ inverter: null }),
  display: (s) => (s.hub ? {} : { shunt: null }),
};

/** Ids of gear that is a provision or for later: it neither gives nor draws power now, and is not bought now. */
export const waitingIds = ({ places }: Pick<Design, 'places'>): readonly string[] => Object.entries(places).flatMap(([id, p]) => (p.when === 'now' ? [] : [id]));

/** The design as it works once what is for now is fitted; the same object where nothing waits. */
export function asOfNow(design: Design): Design {
  const waiting = waitingIds(design);
  if (!waiting.length) return design;
  let { supply } = design;
  for (const id of waiting) supply = { ...supply, ...(WITHOUT[id]?.(supply) ?? {}) };
  const off = new Set(waiting.flatMap((id) => (id.startsWith('load:') ? [id.slice('load:'.length)] : [])));
  const loads = off.size ? Object.fromEntries(Object.entries(design.loads).filter(([id]) => !off.has(id))) : design.loads;
  return { ...design, supply, loads };
}
