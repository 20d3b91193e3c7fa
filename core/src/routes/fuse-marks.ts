import type { Settings } from '../design/index.js';
import type { RunSpec } from './spec.js';

type Marked = { readonly spec: Pick<RunSpec, 'id' | 'number' | 'ends'> };

/** What stands on a fuse, by the run that it protects and the end where it sits. */
export type FuseMarks = (run: string, at: 'from' | 'to') => string;

/**
 * The numbers of fuses as the workshop writes them: each its run's number, with a and b where a run has one at both ends,
 * or counted by themselves in the order of the runs; a prefix before either. A run without a fuse has no mark: empty.
 * @example fuseMarks({ by: 'their own count', prefix: 'F' }, [{ spec: { id: 'x', number: 7, ends: [{ at: 'from' }] } }])('x', 'from') // 'F1'
 */
export function fuseMarks({ by, prefix }: Settings['fuseMarks'], runs: readonly Marked[]): FuseMarks {
  const marks = new Map<string, string>();
  for (const { spec } of runs)
    for (const { at } of spec.ends) {
      const count = by === 'their own count' ? `${marks.size + 1}` : `${spec.number}${spec.ends.length < 2 ? '' : at === 'from' ? 'a' : 'b'}`;
      marks.set(`${at} ${spec.id}`, prefix + count);
    }
  return (run, at) => marks.get(`${at} ${run}`) ?? '';
}

/** The same where a run's number is said already: empty while a fuse goes by that alone. */
export const ownFuseMarks = (own: Settings['fuseMarks'], runs: readonly Marked[]): FuseMarks => (own.by === 'their run' && !own.prefix ? () => '' : fuseMarks(own, runs));
