import { type z } from 'zod';
import type { Catalogue } from '../catalogue/index.js';
import { copyDesign, editDesign, patchBetween, tidy, type Design, type Patch } from '../design/index.js';

/** What a command says where it cannot be done: in words, naming the field, what came and what is accepted. */
export class Refused extends Error {}

/** One named edit: its input, what it is called in the history, and what it does to a draft. */
export interface Command<I> {
  readonly input: z.ZodType<I>;
  words(input: I, design: Design): string;
  /** Changes the draft in place; throws {@link Refused}. */
  change(draft: Design, input: I, catalogue: Catalogue): void;
}

export type Commanded = { readonly ok: true; readonly design: Design; readonly patch: Patch; readonly words: string } | { readonly ok: false; readonly message: string };

export const command = <I>(c: Command<I>): Command<I> => c;

/** Runs a command on a design: the design is not touched, the patch leads to the new one. */
export function run<I>(c: Command<I>, design: Design, catalogue: Catalogue, raw: unknown): Commanded {
  const input = c.input.safeParse(raw);
  if (!input.success) {
    const { path, message } = input.error.issues[0]!;
    return { ok: false, message: `${path.join('.') || 'input'}: ${message}` };
  }
  const draft = copyDesign(design);
  try {
    c.change(draft, input.data, catalogue);
  } catch (trouble) {
    if (trouble instanceof Refused) return { ok: false, message: trouble.message };
    throw trouble;
  }
  tidy(draft);
  const patch = patchBetween(design, draft);
  const edited = patch.length ? editDesign(design, patch) : ({ ok: true, design } as const);
  return edited.ok ? { ok: true, design: edited.design, patch, words: c.words(input.data, design) } : edited;
}
