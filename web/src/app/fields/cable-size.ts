import { readCableName } from '@meridex/core';
import type { Reader } from './read-field';

/** Reads a cable size in any of the four ways the trade names it; nothing typed is null. Two meanings are asked about. */
export const cableSize =
  (most: number): Reader<number | null> =>
  (text) => {
    if (/^(|auto|drafted|–|-)$/i.test(text.trim())) return { ok: true, value: null };
    const name = readCableName(text);
    if (name.kind === 'ambiguous' || name.kind === 'unknown') return { ok: false, message: `Size: ${name.message}` };
    return name.areaMm2 <= most ? { ok: true, value: name.areaMm2 } : { ok: false, message: `Size: ${name.text} came; up to ${most} mm² is accepted.` };
  };
