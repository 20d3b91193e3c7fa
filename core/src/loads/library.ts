import { blankLoad, type Load } from '../design/index.js';
import { COOKING } from './library-cooking.js';
import { LIGHTS } from './library-lights.js';
import { FRIDGES } from './library-fridges.js';
import { GEAR } from './library-gear.js';
import type { LibraryItem } from './library-item.js';
import { POWER } from './library-power.js';

/** The shipped library of loads. */
export const LOAD_LIBRARY: readonly LibraryItem[] = [...FRIDGES, ...LIGHTS, ...GEAR, ...COOKING, ...POWER];

/** A load from the library; `size` where it has one. Null for an unknown id. @example loadFromLibrary('fridge', 1, 40).draw.value // 45.8 */
export function loadFromLibrary(id: string, order: number, size?: number): Load | null {
  const item = LOAD_LIBRARY.find((i) => i.id === id);
  if (!item) return null;
  const of = size ?? item.size?.usual ?? 0;
  return { ...blankLoad(order), name: item.size ? `${item.name} ${of} ${item.size.unit}` : item.name, ...item.make(of) };
}
