import type { Load } from '../design/index.js';

/** What the person says of the appliance before it is drawn: litres, watts, lumens. */
export interface LibrarySize {
  readonly name: string;
  readonly unit: string;
  readonly usual: number;
  readonly min: number;
  readonly max: number;
}

/** A generic appliance with honest defaults; every figure is a planning default that the plate or a measurement beats. */
export interface LibraryItem {
  readonly id: string;
  readonly name: string;
  readonly shelf: 'cold' | 'light' | 'air and heat' | 'water' | 'cooking' | 'talk and work' | 'charging' | 'tools and gear';
  readonly size?: LibrarySize;
  /** Why the figures are what they are, in a line. */
  readonly note: string;
  make(size: number): Partial<Load>;
}

export const SHELVES = ['cold', 'light', 'air and heat', 'water', 'cooking', 'talk and work', 'charging', 'tools and gear'] as const satisfies readonly LibraryItem['shelf'][];
