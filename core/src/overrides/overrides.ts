import { assess } from '../assess/index.js';
import { areaInWords } from '../cable/index.js';
import type { Catalogue } from '../catalogue/index.js';
import type { Design, RunEdit } from '../design/index.js';
import { draftGear, type Gear } from '../places/index.js';
import { FUSE_KINDS } from '../protection/index.js';
import { figure, rating, Session } from '../quantity/index.js';
import type { SizedRun } from '../routes/index.js';

/** Something that a person said, with what the draft would have done without it. */
export interface ManualOverride {
  /** Where it is kept: a run's id and field, or a gear's place. */
  readonly of: { readonly run: string; readonly field: keyof RunEdit } | { readonly gear: string };
  readonly name: string;
  readonly what: string;
  readonly kept: string;
  readonly drafted: string;
  /** What else is as it is because of it, in words; empty: nothing. */
  readonly also: readonly string[];
}

type Words = (run: SizedRun) => string;

const metres = (m: number): string => `${figure(m, 1)} m`;
const sized = (run: SizedRun, say: (f: Extract<SizedRun, { ok: true }>['figures']) => string): string => (run.ok ? say(run.figures) : 'no size fits');
const wayOf: Words = ({ spec }) => (spec.route ? `${spec.route.ways.map((w) => w.along).join(', ') || 'straight'} (${metres(spec.outM)})` : 'no way');

/** How each field of an edit reads, on a run that has it or on one that was left to the draft. */
const FIELDS: Readonly<Record<keyof RunEdit, { readonly what: string; readonly words: Words }>> = {
  outM: { what: 'length', words: (r) => metres(r.spec.outM) },
  backM: { what: 'length back', words: (r) => metres(r.spec.backM) },
  areaMm2: { what: 'size', words: (r) => (r.spec.edit.areaMm2 === undefined ? sized(r, (f) => f.cable) : areaInWords(r.spec.edit.areaMm2)) },
  fuseA: { what: 'fuse', words: (r) => (r.spec.edit.fuseA === undefined ? sized(r, (f) => `${rating(f.fuseA)} A`) : `${rating(r.spec.edit.fuseA)} A`) },
  laid: { what: 'laid', words: (r) => `in ${r.spec.laid}` },
  grouped: { what: 'bunched', words: (r) => `${r.spec.grouped} together` },
  ambientC: { what: 'air on the way', words: (r) => `${figure(r.spec.ambientC, 0)} °C` },
  via: { what: 'must pass', words: wayOf },
  avoid: { what: 'must not pass', words: wayOf },
  back: { what: 'return', words: (r) => (r.spec.back === 'chassis' ? 'through the body' : 'by its own cable') },
  spares: { what: 'spare cores', words: (r) => String(r.spec.edit.spares ?? 0) },
  protect: {
    what: 'protected by',
    words: (r) => (r.spec.reset ? `a breaker, ${r.spec.reset === 'self' ? 'self-resetting' : 'manual reset'}` : sized(r, (f) => `a ${FUSE_KINDS[f.fuseType].name} fuse`)),
  },
  poled: { what: 'breaker made for', words: (r) => (r.spec.edit.poled ? 'one direction' : 'both directions') },
};

/** Fields that may move the sizes and fuses of other runs. */
const MOVES_OTHERS: ReadonlySet<keyof RunEdit> = new Set(['areaMm2', 'fuseA', 'protect']);

/** Sizes and fuses of other runs that are not what they would be without one thing that was typed. */
function movedBy(design: Design, runsOf: (d: Design) => readonly SizedRun[], kept: ReadonlyMap<string, SizedRun>, id: string, field: keyof RunEdit): string[] {
  const { [field]: _, ...rest } = design.runs[id]!;
  return runsOf({ ...design, runs: { ...design.runs, [id]: rest } }).flatMap((was) => {
    const now = kept.get(was.spec.id);
    if (was.spec.id === id || !now?.ok || !was.ok) return [];
    const [a, b] = [was.figures, now.figures];
    const size = a.cable === b.cable ? [] : [`${a.cable} → ${b.cable}`];
    const fuse = a.fuseA === b.fuseA && a.fuseType === b.fuseType ? [] : [`fuse ${rating(a.fuseA)} A ${FUSE_KINDS[a.fuseType].name} → ${rating(b.fuseA)} A ${FUSE_KINDS[b.fuseType].name}`];
    return size.length || fuse.length ? [`run ${now.spec.number}: ${[...size, ...fuse].join(', ')}`] : [];
  });
}

function runEdits(design: Design, catalogue: Catalogue): ManualOverride[] {
  const edited = Object.entries(design.runs).filter(([, e]) => Object.values(e).some((v) => v !== undefined));
  if (!edited.length) return [];
  const session = new Session();
  const runsOf = (d: Design): readonly SizedRun[] => assess(d, catalogue, { session }).runs;
  const kept = new Map(runsOf(design).map((r) => [r.spec.id, r]));
  const drafted = new Map(runsOf({ ...design, runs: {} }).map((r) => [r.spec.id, r]));
  return edited.flatMap(([id, edit]) => {
    const [mine, theirs] = [kept.get(id), drafted.get(id)];
    return (Object.keys(edit) as (keyof RunEdit)[])
      .filter((field) => edit[field] !== undefined)
      .map((field): ManualOverride => {
        const { what, words } = FIELDS[field];
        const gone = 'a run that the plan has no longer';
        return {
          of: { run: id, field },
          name: mine ? `${mine.spec.number} · ${mine.spec.name}` : id,
          what,
          kept: mine ? words(mine) : gone,
          drafted: theirs ? words(theirs) : 'nothing: it is not drafted',
          also: mine && MOVES_OTHERS.has(field) ? movedBy(design, runsOf, kept, id, field) : [],
        };
      });
  });
}

const standsIn = (g: Gear | undefined): string => (g ? `${g.zoneName}, ${g.faceName}` : 'nowhere');

function placeEdits(design: Design, catalogue: Catalogue): ManualOverride[] {
  const placed = Object.keys(design.places);
  if (!placed.length) return [];
  const kept = new Map(draftGear(design, catalogue).map((g) => [g.id, g]));
  const drafted = new Map(draftGear({ ...design, places: {} }, catalogue).map((g) => [g.id, g]));
  return placed.flatMap((id): ManualOverride[] => {
    const mine = kept.get(id);
    return mine ? [{ of: { gear: id }, name: mine.name, what: 'place', kept: `${standsIn(mine)}${mine.when === 'now' ? '' : `, ${mine.when}`}`, drafted: standsIn(drafted.get(id)), also: [] }] : [];
  });
}

/**
 * Everything that a person said of runs and places, with what a draft without any of it would do: drafts come and go,
 * these stay.
 * @example manualOverrides(design, catalogue)[0] // { of: { run: 'bus-block', field: 'outM' }, what: 'length', kept: '1.1 m', drafted: '0.8 m', … }
 */
export function manualOverrides(design: Design, catalogue: Catalogue): ManualOverride[] {
  return [...runEdits(design, catalogue), ...placeEdits(design, catalogue)];
}
