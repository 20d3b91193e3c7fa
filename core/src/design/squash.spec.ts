import fc from 'fast-check';
import { applyPatch } from 'rfc6902';
import { blankDesign, clean, coarse, copyDesign, editDesign, type Patch, patchBetween, squash, without } from './index.js';

/** Whether the document takes the step; a place inside a number is refused by an exception. */
function taken(document: object, op: Patch[number]): boolean {
  try {
    return applyPatch(document, [op])[0] === null;
  } catch {
    return false;
  }
}

const set = (path: string, value: unknown): Patch[number] => ({ op: 'replace', path, value });

describe('an edit in fewer steps', () => {
  it('keeps of 2005 letters typed into one field the last text alone', () => {
    const typed = Array.from({ length: 2005 }, (_, n) => set('/brief/notes', 'x'.repeat(n + 1)));
    expect(squash(typed)).toEqual([set('/brief/notes', 'x'.repeat(2005))]);
  });
  it('keeps both values where the thing between them was taken out or moved along', () => {
    const patches: Patch[] = [
      [set('/loads/a/name', 'one'), { op: 'remove', path: '/loads/a' }, { op: 'add', path: '/loads/a', value: { name: '' } }, set('/loads/a/name', 'two')],
      [set('/list/1', 'one'), { op: 'remove', path: '/list/0' }, set('/list/1', 'two')],
      [set('/a', 'one'), { op: 'copy', from: '/a', path: '/b' }, set('/a', 'two')],
    ];
    for (const patch of patches) expect(squash(patch)).toEqual(patch);
  });
  it('comes to the same document, whatever is done', () => {
    const path = fc.constantFrom('/a', '/b', '/c/x', '/c/y', '/c', '/l/0', '/l/1', '/l/-');
    const value = fc.oneof(fc.integer({ min: 0, max: 9 }), fc.constant({ x: 1, y: 2 }));
    const op = fc.oneof(
      fc.record({ op: fc.constantFrom('add' as const, 'replace' as const), path, value }),
      fc.record({ op: fc.constant('remove' as const), path }),
      fc.record({ op: fc.constantFrom('copy' as const, 'move' as const), from: path, path }),
    );
    // Built op by op from those that the document takes, as edits are.
    fc.assert(
      fc.property(fc.array(op, { maxLength: 14 }), (ops) => {
        const start = { a: 1, b: 2, c: { x: 1, y: 2 }, l: [1, 2, 3] };
        const patch: Patch = [];
        let want = structuredClone(start);
        for (const o of ops) {
          const next = structuredClone(want);
          if (o.op === 'move' && o.path.startsWith(o.from)) continue;
          if (!taken(next, o)) continue;
          want = next;
          patch.push(o);
        }
        const got = structuredClone(start);
        const troubles = applyPatch(got, squash(patch)).filter((e) => e !== null);
        expect(troubles).toEqual([]);
        expect(got).toEqual(want);
      }),
      { numRuns: 400 },
    );
  });
});

describe('a very large edit', () => {
  it('names whole things, and comes to the same document', () => {
    const before = blankDesign('Spinifex Track Care');
    const after = copyDesign(before);
    for (let n = 0; n < 500; n++) after.runs[`load-${n}`] = { outM: (n + 1) / 10 } as (typeof after.runs)[string];
    after.brief.plate = 'MANY 1';
    const read = editDesign(after, [set('/brief/notes', 'typed')]);
    if (!read.ok) throw new Error(read.message);
    const patch = coarse(patchBetween(before, read.design), before, read.design);
    expect(patch.length).toBeLessThan(510);
    expect(patch.find((o) => o.path.startsWith('/brief'))!.path).toMatch(/^\/brief\/\w+$/);
    const edited = editDesign(before, patch);
    expect(edited.ok && edited.design).toEqual(read.design);
    expect(coarse([set('/brief/plate', 'x')], before, after)).toEqual([set('/brief/plate', 'x')]);
  });
});

describe('what a clash was not about', () => {
  it('stays, and only the clashing values go', () => {
    const patch = [set('/brief/plate', 'MINE'), set('/brief/notes', 'mine'), set('/loads/a/name', 'x'), { op: 'remove', path: '/loads/b' } as const];
    expect(without(patch, ['/brief/plate', '/loads/a', '/loads/b/name']).map((o) => o.path)).toEqual(['/brief/notes']);
  });
});

describe('a text that no database keeps', () => {
  it('loses NUL and half characters, and nothing else', () => {
    expect(clean({ a: ['x\0y', 'whole 😀', 'half \ud83d'], n: 3, 'k\0': null })).toEqual({ a: ['xy', 'whole 😀', 'half '], n: 3, k: null } as never);
  });
});
