import { OWN } from './in-job.js';

/** What a rig is made of: every thing belongs to one of these. */
export type Collection = 'vehicles' | 'banks' | 'arrays' | 'converters' | 'links' | 'distribution' | 'switchgear' | 'monitors' | 'outlets' | 'inlets' | 'loads' | 'groups' | 'traces' | 'existing';

/** One thing of the rig. */
export interface Ref {
  readonly in: Collection;
  readonly id: string;
}

export const refTo = (collection: Collection, id: string): Ref => ({ in: collection, id });

/** Marks before the ids of things that people name themselves, under which places and runs know them. */
const MARKS: readonly (readonly [collection: Collection, place: string, run: string])[] = [
  ['loads', 'load:', 'load-'],
  ['groups', 'group:', 'group-'],
  ['traces', 'wire:', 'wire-'],
  ['existing', 'existing:', 'existing-'],
];

/** Key under which places know a thing. @example gearKey(refTo('loads', 'l1')) // 'load:l1' */
export const gearKey = (ref: Ref): string => (MARKS.find(([c]) => c === ref.in)?.[1] ?? '') + ref.id;

/** Key under which runs know the one run that ends at a load, a group or a traced wire. @example runKey(refTo('loads', 'l1')) // 'load-l1' */
export const runKey = (ref: Ref): string => (MARKS.find(([c]) => c === ref.in)?.[2] ?? '') + ref.id;

/** The load, group, traced wire or gear that was there before that a key of places, runs or findings names; null: it names another thing. @example namedBy('load:l1') // { in: 'loads', id: 'l1' } */
export function namedBy(key: string): Ref | null {
  for (const [collection, ...marks] of MARKS) for (const mark of marks) if (key.startsWith(mark)) return refTo(collection, key.slice(mark.length));
  return null;
}

/** What a finding is about, from its key: behind the rule’s id. @example aboutOf('tap-unknown:wire:w1') // 'wire:w1' */
export const aboutOf = (findingKey: string): string => findingKey.slice(findingKey.indexOf(':') + 1);

/** The same thing without the detail that a finding’s key adds to it behind a colon. */
export const withoutDetail = (ref: Ref): Ref => refTo(ref.in, ref.id.split(':')[0]!);

/** Key under which places, findings and pictures know a piece of gear that was in the vehicle before. */
export const existingKey = (id: string): string => gearKey(refTo('existing', id));

/** True of a key that names something that was in the vehicle before the job: gear, or a traced wire. */
export const isThereBefore = (key: string | undefined): boolean => key !== undefined && ['existing', 'traces'].includes(namedBy(key)?.in ?? '');

/** The load that a key names; null: none. */
export function loadNamed(key: string | undefined): string | null {
  const ref = key === undefined ? null : namedBy(key);
  return ref?.in === 'loads' ? ref.id : null;
}

/** Key under which a tick or reading of a vehicle is kept in the job's record. @example recordKey('caravan', 'house-rest') // 'caravan/house-rest' */
export const recordKey = (vehicle: string, key: string): string => (vehicle === OWN ? key : `${vehicle}/${key}`);

/** The records of one vehicle among all of a job, by its own keys. @example recordsOf('caravan', { 'caravan/a': 1, b: 2 }) // { a: 1 } */
export function recordsOf<T>(vehicle: string, all: Readonly<Record<string, T>>): Record<string, T> {
  const mark = recordKey(vehicle, '');
  return Object.fromEntries(Object.entries(all).flatMap(([key, value]) => ((vehicle === OWN ? !key.includes('/') : key.startsWith(mark)) ? [[key.slice(mark.length), value] as const] : [])));
}
