import { readCableName } from '@meridex/core';
import type { Reader } from './read-field';

/** Reads a cable size in any of the four ways the trade names it; nothing typed is null. Of two meanings one is to be pressed. */
export const cableSize =
  (most: number): Reader<number | null> =>
  (text) => {
    if (/^(|auto|drafted|–|-)$/i.test(text.trim())) return { ok: true, value: null };
    const name = readCableName(text);
    if (name.kind === 'unknown') return { ok: false, message: `Size: ${name.message}` };
    if (name.kind === 'ambiguous') {
      const meanings = name.choices.flatMap((c) => ('areaMm2' in c && c.areaMm2 <= most ? [{ text: c.text, value: c.areaMm2 }] : []));
      return { ok: false, message: `Size: ${name.message}`, meanings };
    }
    return name.areaMm2 <= most ? { ok: true, value: name.areaMm2 } : { ok: false, message: `Size: ${name.text} came; up to ${most} mm² is accepted.` };
  };
