import { valueAt, type Patch } from './edit.js';
import type { Design } from './schema.js';

/** Above this an edit is told thing by thing and no more field by field. */
const FIELD_BY_FIELD = 400;
type Op = Patch[number];

const above = (path: string): string => path.slice(0, path.lastIndexOf('/'));
const last = (path: string): string => path.slice(path.lastIndexOf('/') + 1);
const inList = (path: string): boolean => /^(\d+|-)$/.test(last(path));
const holds = (a: string, b: string): boolean => b === a || b.startsWith(`${a}/`);
const placesOf = (op: Op): readonly string[] => ('from' in op ? [op.path, op.from] : [op.path]);
/** Sets the value at its path, whatever was there. */
const sets = (op: Op): boolean => op.op === 'replace' || (op.op === 'add' && !inList(op.path));

function lastAt(ops: Patch, is: (op: Op) => boolean): number {
  for (let n = ops.length - 1; n >= 0; n--) if (is(ops[n]!)) return n;
  return -1;
}

/** Whether what stands at `path` may be another thing after this op. */
function touches(op: Op, path: string): boolean {
  const shifts = (place: string): boolean => op.op !== 'replace' && inList(place) && holds(above(place), path);
  return placesOf(op).some((place) => holds(place, path) || holds(path, place) || shifts(place));
}

/**
 * The same edit in fewer steps: of several values that one field was given only the last stays, where nothing between
 * them touched it. What is typed letter by letter while nothing can be sent stays as small as what came of it.
 *
 * @example
 * squash([{ op: 'replace', path: '/brief/plate', value: 'B' }, { op: 'replace', path: '/brief/plate', value: 'BR' }]).length // 1
 */
export function squash(patch: Patch): Patch {
  const kept: Op[] = [];
  for (const op of patch) {
    const at = sets(op) ? lastAt(kept, (k) => touches(k, op.path)) : -1;
    const before = kept[at];
    if (before && 'value' in before && 'value' in op && before.path === op.path && sets(before)) kept[at] = { ...before, value: op.value as unknown };
    else kept.push(op);
  }
  return kept;
}

/**
 * An edit of very many fields as one of the things they stand in (a load, a run, the supply), whole. `before` and `after`
 * are the document without and with it. Small edits stay as they are, so that others' edits of the same thing merge.
 */
export function coarse(patch: Patch, before: Design, after: Design): Patch {
  if (patch.length <= FIELD_BY_FIELD) return patch;
  const things = new Set(patch.flatMap(placesOf).map((path) => path.split('/').slice(0, 3).join('/')));
  return [...things].flatMap((path): Op[] => {
    const [was, is] = [valueAt(before, path), valueAt(after, path)];
    if (is === undefined) return was === undefined ? [] : [{ op: 'remove', path }];
    return [{ op: was === undefined ? 'add' : 'replace', path, value: is }];
  });
}

/** What is left of an edit without the values at, above or within these paths: what a clash was not about. */
export function without(patch: Patch, paths: readonly string[]): Patch {
  return patch.filter((op) => !paths.some((path) => placesOf(op).some((place) => holds(path, place) || holds(place, path))));
}
