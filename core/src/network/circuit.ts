import { z } from 'zod';

const ohm = z.number().positive({ message: 'a resistance above 0 ohm' });
const node = z.string().min(1);

export const resistorSchema = z.object({ id: z.string(), a: node, b: node, ohm });
export const sourceSchema = z.object({ id: z.string(), plus: node, minus: node, volt: z.number(), ohm });
export const circuitLoadSchema = z
  .object({
    id: z.string(),
    plus: node,
    minus: node,
    kind: z.enum(['power', 'current', 'resistance']),
    value: z.number(),
    minVolt: z.number().optional(),
  })
  .refine((l) => l.kind !== 'resistance' || l.value > 0, { message: 'a resistance above 0 ohm', path: ['value'] });

/** A DC circuit. Node volts are relative to `ground`; a load draws positive current from plus to minus. */
export const circuitSchema = z
  .object({
    ground: node,
    nodes: z.array(node),
    resistors: z.array(resistorSchema),
    sources: z.array(sourceSchema),
    loads: z.array(circuitLoadSchema).default([]),
  })
  .superRefine((c, context) => {
    // Their amps are given by id: two of one name would hide one another.
    const seen = new Set<string>();
    for (const kind of ['resistors', 'sources'] as const)
      for (const [i, { id }] of c[kind].entries()) {
        if (seen.has(id)) context.addIssue({ code: 'custom', path: [kind, i, 'id'], message: 'an id that no other element has' });
        seen.add(id);
      }
  });

export type Circuit = z.infer<typeof circuitSchema>;
export type Resistor = z.infer<typeof resistorSchema>;
export type Source = z.infer<typeof sourceSchema>;
export type CircuitLoad = z.infer<typeof circuitLoadSchema>;

export interface Solved {
  readonly ok: true;
  readonly nodeVolt: Readonly<Record<string, number>>;
  /** Amps of every resistor (a to b) and source (delivering). */
  readonly branchAmp: Readonly<Record<string, number>>;
  readonly iterations: number;
  /** Largest current that fails to balance at a node, A. */
  readonly residualA: number;
  /** Node where that is, and the one that is joined most weakly. */
  readonly residualAt: string;
  readonly weakestAt: string;
  /** Largest over smallest pivot of the equations: how far apart the resistances are, and so how many digits are lost. */
  readonly pivotRatio: number;
}

export type SolveError =
  | { readonly ok: false; readonly error: 'no-operating-point'; readonly at: readonly string[] }
  | { readonly ok: false; readonly error: 'floating-node'; readonly at: readonly string[] }
  | { readonly ok: false; readonly error: 'unknown-node'; readonly at: readonly string[] };

export type SolveResult = Solved | SolveError;
