import { copyDesign, patchBetween, type Design, type Patch } from '../design/index.js';
import type { Catalogue, Part } from '../catalogue/index.js';

/** A fix that the program can make by itself: what is pressed, and the edit that it is; undone like any other. */
export interface Press {
  readonly label: string;
  readonly patch: Patch;
}

/** The press that changes a design so. */
export function press(design: Design, label: string, change: (d: Design) => void): Press {
  const next = copyDesign(design);
  change(next);
  return { label, patch: patchBetween(design, next) };
}

/** A run's size, as typed. */
export const takeSize = (design: Design, run: string, areaMm2: number, label: string): Press => press(design, label, (d) => (d.runs[run] = { ...d.runs[run], areaMm2 }));

interface Stronger {
  readonly part: Part;
  readonly set: (supply: Design['supply']) => void;
}

const least = <P extends Part>(parts: readonly P[], rating: (p: P) => number, wants: number): P | null => parts.filter((p) => rating(p) >= wants).sort((a, b) => rating(a) - rating(b))[0] ?? null;

/** The smallest part of the catalogue to put in the place of one that is too weak for so many amps; null: none, or it is no part of its own. */
export function strongerPart(catalogue: Catalogue, what: string, wantsA: number): Stronger | null {
  const made = (part: Part | null, set: (s: Design['supply'], id: string) => void): Stronger | null => part && { part, set: (s) => set(s, part.id) };
  switch (what) {
    case 'main switch':
      return made(
        least(catalogue.ofKind('switch'), (p) => p.ratedA, wantsA),
        (s, id) => (s.mainSwitch = id),
      );
    case 'shunt':
      return made(
        least(catalogue.ofKind('shunt'), (p) => p.ratedA, wantsA),
        (s, id) => (s.shunt = id),
      );
    case 'low-voltage disconnect':
      return made(
        least(catalogue.ofKind('disconnect'), (p) => p.ratedA, wantsA),
        (s, id) => (s.disconnect.part = id),
      );
    case 'fuse block':
      return made(
        least(catalogue.ofKind('fuse-block'), (p) => p.totalA, wantsA),
        (s, id) => (s.fuseBlock = id),
      );
    case 'isolator':
      return made(
        least(catalogue.ofKind('isolator'), (p) => p.ratedA, wantsA),
        (s, id) => (s.isolator = id),
      );
    case 'hub board’s bars':
      return made(
        least(catalogue.ofKind('hub'), (p) => p.barsA, wantsA),
        (s, id) => (s.hub = id),
      );
    default:
      return null;
  }
}
