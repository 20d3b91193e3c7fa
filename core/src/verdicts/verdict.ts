import { z } from 'zod';
import { chargeSchema, judgeCharge, type ChargeVerdict } from './charge.js';
import { type ConverterVerdict, converterSchema, judgeConverter } from './converter.js';
import { judgeNode, type NodeVerdict, nodeSchema } from './node.js';
import { judgePair, type PairVerdict, pairSchema } from './pair.js';
import { readingSchema, readingVerdict, type ReadingVerdict } from './reading.js';

/** One question about readings, by its `kind`. */
export const verdictSchema = z.discriminatedUnion('kind', [readingSchema, pairSchema, converterSchema, nodeSchema, chargeSchema]);

/** Judges what instruments showed: one against its expected value, two of one wire, the four sides of a converter, a bar, a battery's charge. */
export function verdictOf(input: z.infer<typeof verdictSchema>): ReadingVerdict | PairVerdict | ConverterVerdict | NodeVerdict | ChargeVerdict {
  switch (input.kind) {
    case 'reading':
      return readingVerdict(input);
    case 'pair':
      return judgePair(input);
    case 'converter':
      return judgeConverter(input);
    case 'node':
      return judgeNode(input);
    case 'charge':
      return judgeCharge(input);
  }
}
