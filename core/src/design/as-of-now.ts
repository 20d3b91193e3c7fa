import { loadNamed } from './refs.js';
import type { Design } from './schema.js';

/** Gear that may wait, with what of the supply goes with it. */
const WITHOUT: Readonly<Record<string, (s: Design['supply']) => Partial<Design['supply']>>> = {
  house: (s) => ({ battery: { ...s.battery, part: null } }),
  second: () => ({ second: null }),
  charger: (s) => ({ isolation: 'none', ...(s.sun.controller ? {} : { dcdc: null }) }),
  charger2: () => ({ dcdcSecond: null }),
  controller: (s) => ({ sun: { ...s.sun, controller: null } }),
  portable: (s) => ({ sun: { ...s.sun, portable: null } }),
  mains: () => ({ mains: { charger: null } }),
  inverter: () => ({ inverter: null }),
  display: (s) => (s.hub ? {} : { shunt: null }),
};

/** Id under which places know a panel of the roof, the first of them 0. */
export const panelId = (i: number): string => (i === 0 ? 'panel' : `panel:${i + 1}`);

/** The sun of those panels that do not wait. */
function sunNow(sun: Design['supply']['sun'], waiting: ReadonlySet<string>): Design['supply']['sun'] {
  const count = Array.from({ length: sun.count }, (_, i) => panelId(i)).filter((id) => !waiting.has(id)).length;
  return count === sun.count ? sun : { ...sun, panel: count ? sun.panel : null, count: Math.max(1, count) };
}

/** Ids of gear that is a provision or for later: it neither gives nor draws power now, and is not bought now. */
export const waitingIds = ({ places }: Pick<Design, 'places'>): readonly string[] => Object.entries(places).flatMap(([id, p]) => (p.when === 'now' ? [] : [id]));

/** The design as it works once what is for now is fitted; the same object where nothing waits. */
export function asOfNow(design: Design): Design {
  const waiting = waitingIds(design);
  if (!waiting.length) return design;
  let { supply } = design;
  for (const id of waiting) supply = { ...supply, ...(WITHOUT[id]?.(supply) ?? {}) };
  supply = { ...supply, sun: sunNow(supply.sun, new Set(waiting)) };
  const off = new Set(waiting.flatMap((id) => loadNamed(id) ?? []));
  const loads = off.size ? Object.fromEntries(Object.entries(design.loads).filter(([id]) => !off.has(id))) : design.loads;
  return { ...design, supply, loads };
}
