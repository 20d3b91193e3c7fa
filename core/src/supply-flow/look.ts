import type { Assessment } from '../assess/index.js';
import type { Catalogue, SunIn } from '../catalogue/index.js';
import { asOfNow, type Design } from '../design/index.js';
import type { ConverterThing, Plant } from '../plant/index.js';
import { figure, sentence } from '../quantity/index.js';
import type { Flow, FlowKind, FlowThing } from './picture.js';

/** Boxes and ribbons of one part of the picture. */
export type Part = { readonly things: readonly Omit<FlowThing, 'idle'>[]; readonly flows: readonly Flow[] };

export const NONE: Part = { things: [], flows: [] };

/** What the parts of the picture are made of. */
export interface Look {
  readonly design: Design;
  readonly catalogue: Catalogue;
  readonly a: Assessment;
  readonly p: Plant;
  /** Converters that are a provision or for later. */
  readonly waits: ReadonlySet<string>;
}

export function lookAt(design: Design, catalogue: Catalogue, a: Assessment, p: Plant): Look {
  const now = asOfNow(design);
  return { design, catalogue, a, p, waits: new Set(Object.keys(design.converters).filter((id) => !(id in now.converters))) };
}

/** The bank that a converter charges, else the first; none: there is no bank. */
export const bankOf = ({ p }: Look, c: ConverterThing | undefined): string | undefined => c?.charges?.id ?? p.banks[0]?.ref.id;

/** What a box is called. */
export function nameOf({ a, p }: Look, id: string, otherwise: string): string {
  const thing = p.converters.find((c) => c.ref.id === id);
  if (thing?.inside) return thing.ports.mainsOut ? 'Its inverter-charger' : 'Its own charger';
  return sentence(a.gear.find((g) => g.id === id)?.name ?? otherwise);
}

/** A controller in one line. */
export const regulates = (s: SunIn): string => `${s.regulates.toUpperCase()}, ${figure(s.maxA, 0)} A, ${figure(s.maxV, 0)} V`;

export const ribbon = (from: string, to: string, kind: FlowKind, ahDay: number, hangs: string | null): Flow => ({ from, to, kind, ahDay, hangs });
