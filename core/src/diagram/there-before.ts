import { existingKey, rigOf, type Design, type Existing } from '../design/index.js';
import type { Gear } from '../places/index.js';
import type { SymbolKind } from './element.js';

/** Gear of the plan that is in the vehicle already: its own battery always, the rest by the parts that stay. */
export function keptGear(design: Design, gear: readonly Gear[]): ReadonlySet<string> {
  const kept = new Set(Object.values(design.brief.existing).flatMap((e) => (e.verdict !== 'remove' && e.part ? [e.part] : [])));
  return new Set(gear.flatMap((g) => (g.ref.in === 'vehicles' || (g.part !== null && kept.has(g.part)) ? [g.id] : [])));
}

const SYMBOL: readonly (readonly [Existing['does'][number], SymbolKind])[] = [
  ['starts the engine', 'battery'],
  ['stores charge', 'battery'],
  ['charges from the vehicle', 'converter'],
  ['charges from the sun', 'regulator'],
  ['charges from mains', 'rectifier'],
  ['makes 230 V', 'inverter'],
  ['isolates the starting battery', 'contact'],
  ['low-voltage cut-off', 'contact'],
  ['measures', 'meter'],
  ['fuses', 'bars'],
];

/** What stays in the vehicle and has no part in the plan: shown, so that nobody takes it for forgotten. */
export function standingApart(design: Design): readonly { readonly id: string; readonly name: string; readonly symbol: SymbolKind; readonly does: string }[] {
  const { brief } = design;
  const planned = JSON.stringify(rigOf(design));
  return Object.entries(brief.existing)
    .filter(([, e]) => e.verdict !== 'remove' && !(e.part && planned.includes(JSON.stringify(e.part))) && !e.does.includes('starts the engine'))
    .sort(([, a], [, b]) => a.order - b.order)
    .map(([id, e]) => ({ id: existingKey(id), name: e.name || 'unnamed gear', symbol: SYMBOL.find(([f]) => e.does.includes(f))?.[1] ?? 'load', does: e.does.join(', ') }));
}
