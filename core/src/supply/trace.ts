import type { Catalogue } from '../catalogue/index.js';
import type { Design } from '../design/index.js';
import { plant, type LinkThing } from '../plant/index.js';
import { alternatorTrace, closedShare, closedSpans, type Sensing, type TracePiece } from './alternator.js';
import { alternatorOf } from './isolation.js';

/** The alternator's volts through a drive and when a sensing isolator would be closed. */
export interface TraceFigures {
  readonly pieces: readonly TracePiece[];
  readonly measured: boolean;
  readonly closed: readonly (readonly [fromS: number, toS: number])[];
  /** Share of the drive, 0–1. */
  readonly closedShare: number;
}

/** Thresholds of a sensing isolator at the volts of a vehicle; those of a part are for 12 V. */
export function sensingAt(part: LinkThing['part'], vehicleV: number): Sensing {
  const scale = vehicleV / 12;
  return { ...part, closeV: part.closeV * scale, openV: part.openV * scale };
}

/** Share of a drive in which a link is closed, 0–1. */
export const linkShare = (design: Design, { part }: Pick<LinkThing, 'part'>): number =>
  closedShare(alternatorTrace(alternatorOf(design), design.brief.vehicleV), sensingAt(part, design.brief.vehicleV));

/** The volts of a drive with the isolator whose thresholds they are held against: the first that is there, or the catalogue’s. */
export function traceOf(design: Design, catalogue: Catalogue): TraceFigures {
  const alternator = alternatorOf(design);
  const pieces = alternatorTrace(alternator, design.brief.vehicleV);
  const part = plant(design, catalogue).links[0]?.part ?? catalogue.usual('isolator')[0];
  const sensing = part ? sensingAt(part, design.brief.vehicleV) : null;
  return { pieces, measured: alternator.measured !== null, closed: sensing ? closedSpans(pieces, sensing) : [], closedShare: sensing ? closedShare(pieces, sensing) : 0 };
}
