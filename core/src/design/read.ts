import { z } from 'zod';
import { firstComplaint } from './edit.js';
import { designSchema, SCHEMA_VERSION, type Design } from './schema.js';
import { version1To2 } from './version-1-to-2.js';
import { version2To3 } from './version-2-to-3.js';
import { version3To4 } from './version-3-to-4.js';
import { version4To5 } from './version-4-to-5.js';
import { version5To6 } from './version-5-to-6.js';

export type ReadDesign = { readonly ok: true; readonly design: Design } | { readonly ok: false; readonly message: string };

/** Steps from each older version to the next. */
const STEPS: Readonly<Record<number, (old: Record<string, unknown>) => Record<string, unknown>>> = { 1: version1To2, 2: version2To3, 3: version3To4, 4: version4To5, 5: version5To6 };

/** Documents from before it was said what starts the engine call that piece of gear by its name. */
function saysWhatStarts(design: Design): Design {
  for (const e of Object.values(design.brief.existing)) if (!e.does.length && /^starting battery$/i.test(e.name.trim())) e.does = ['starts the engine'];
  return design;
}

/** A vehicle's own file from before it was said what a trailer socket feeds has it in its note. */
function saysWhatIsFed({ vehicle }: Pick<Design, 'vehicle'>): void {
  for (const p of vehicle?.points ?? []) if (p.kind === 'trailer socket' && p.feedsFridge === undefined && /fridge/.test(p.note)) p.feedsFridge = true;
}

/** A signature for the 230 V side that stands as an accepted finding, from before it had a place of its own. */
export const SIGNED_BEFORE = 'mains-licensed:mains';

function withSignature(of: Pick<Design, 'accepted' | 'mains'>): void {
  const { [SIGNED_BEFORE]: before, ...accepted } = of.accepted;
  const on = z.iso.date().safeParse(before?.at.slice(0, 10));
  if (!before || !on.success) return;
  of.accepted = accepted;
  of.mains.signed ??= { by: before.by, licence: '', on: on.data, statement: before.reason };
}

/** Reads a stored or received document of any known version. */
export function readDesign(raw: unknown): ReadDesign {
  if (typeof raw !== 'object' || raw === null) return { ok: false, message: 'the document: an object with schemaVersion is accepted' };
  let document = raw as Record<string, unknown>;
  for (let version = document['schemaVersion']; typeof version === 'number' && version < SCHEMA_VERSION; version++) {
    const step = STEPS[version];
    if (!step) return { ok: false, message: `schemaVersion: ${version} is not known; ${SCHEMA_VERSION} is accepted` };
    document = step(document);
  }
  const parsed = designSchema.safeParse(document);
  if (!parsed.success) return { ok: false, message: firstComplaint(parsed.error) };
  for (const of of [parsed.data, ...Object.values(parsed.data.vehicles)]) {
    withSignature(of);
    saysWhatIsFed(of);
  }
  return { ok: true, design: saysWhatStarts(parsed.data) };
}
