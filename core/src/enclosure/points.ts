import type { LayoutFigures } from '../routes/index.js';
import { figure } from '../quantity/index.js';
import type { Entry, Sheet } from './sheets.js';
import type { Vent } from './vent.js';

/** A box as it is built. */
export interface Built {
  readonly sheets: readonly Sheet[];
  readonly entries: readonly Entry[];
  /** Cables thicker than any gland, or for whose gland no side has room: by bulkhead studs. */
  readonly studs: readonly string[];
  /** Null: no battery is in it. */
  readonly vent: Vent | null;
  /** What holds the heaviest of it, N and straps; null: nothing heavy. */
  readonly restraint: { readonly name: string; readonly forwardN: number; readonly straps: number; readonly strapN: number } | null;
}

/** One thing that is checked of a box with a battery in it. */
export interface EnclosurePoint {
  readonly id: 'sealed' | 'lid' | 'glands' | 'vent' | 'isolator' | 'held' | 'bend' | 'posts';
  readonly what: string;
  /** The plan’s own figure. */
  readonly value: string;
  /** What of the plan is against it; null: nothing. */
  readonly against: string | null;
}

/** The step of the build that ends a point; null: the plan alone settles it. */
export type PointStep = 'build' | 'vent' | 'held' | 'posts' | 'close';
const STEP: Readonly<Record<EnclosurePoint['id'], PointStep | null>> = { sealed: 'close', lid: 'close', glands: 'build', vent: 'vent', isolator: null, held: 'held', bend: null, posts: 'posts' };

/** Id of a step of a box in the build. @example boxStep('box-1', 'vent') // 'box-box-1-vent' */
export const boxStep = (zone: string, step: PointStep): string => (step === 'build' ? `box-${zone}` : `box-${zone}-${step}`);

/** The step whose tick says that a point is done; null: the plan alone settles it. @example pointStep('box-1', 'isolator') // null */
export function pointStep(zone: string, point: EnclosurePoint['id']): string | null {
  const step = STEP[point];
  return step && boxStep(zone, step);
}

interface Around {
  readonly sealed: boolean;
  /** The main switch, where it stands in the box. */
  readonly isolatorIn: string | null;
  /** Of the gear in the box. */
  readonly troubles: LayoutFigures['troubles'];
}

/** Glands by their threads. @example glandsInWords([]) // '' */
export function glandsInWords(entries: readonly Entry[]): string {
  const threads = entries.map((e) => e.gland.thread);
  return [...new Set(threads)].map((t) => `${threads.filter((x) => x === t).length} × ${t}`).join(', ');
}

/** What is asked of a battery’s box, point by point, with what the plan says to each. Practice and common rules; check the edition in force. */
export function pointsOf(e: Built, { sealed, isolatorIn, troubles }: Around): readonly EnclosurePoint[] {
  if (!e.vent) return [];
  const screws = e.sheets.flatMap((s) => s.holes).filter((h) => h.kind === 'screw').length;
  const tight = troubles.filter((t) => t.kind === 'bend');
  const { vent, restraint } = e;
  return [
    {
      id: 'sealed',
      what: 'Sealed towards people',
      value: sealed ? 'sealed, vented outside' : 'open to the room',
      against: sealed ? null : 'gas of a failing battery would come into the room where people sit or sleep',
    },
    { id: 'lid', what: 'Lid that wants a tool', value: `${screws} screws`, against: null },
    {
      id: 'glands',
      what: 'Every cable through a gland of its own',
      value: glandsInWords(e.entries) || 'no cable',
      against: e.studs.length ? `${e.studs.length === 1 ? 'one cable finds' : `${e.studs.length} cables find`} no gland: bulkhead studs, or a larger box` : null,
    },
    {
      id: 'vent',
      what: vent.kind === 'ducts' ? 'Ducts to outside, low and high' : 'Vent that opens outwards only, low',
      value: vent.kind === 'ducts' ? `2 × ${vent.holeMm} mm for ${figure(vent.airM3h, 2)} m³/h` : `${vent.holeMm} mm hole`,
      against: null,
    },
    {
      id: 'isolator',
      what: 'Isolator outside the box',
      value: isolatorIn === null ? 'outside' : `${isolatorIn} is in it`,
      against: isolatorIn === null ? null : 'whoever must switch off would have to open the lid first',
    },
    {
      id: 'held',
      what: 'Battery held by itself, not by the sheets',
      value: restraint ? `${figure(restraint.forwardN / 1000, 1)}\u00a0kN forward: ${restraint.straps}\u00a0×\u00a0${figure(restraint.strapN / 1000, 0)}\u00a0kN` : 'by its own screws',
      against: null,
    },
    {
      id: 'bend',
      what: 'Room for lug, bend and hand',
      value: tight.length ? `${tight.length} too tight` : 'as the cables want',
      against: tight[0] ? `${tight[0].name} has ${tight[0].haveMm} mm before ${tight[0].with}; ${tight[0].wantMm} mm are wanted` : null,
    },
    { id: 'posts', what: 'Posts covered', value: 'a boot on each post', against: null },
  ];
}
