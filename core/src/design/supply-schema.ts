import { z } from 'zod';
import { volts } from './common-schema.js';

/** What holds for the whole rig, beside the things that it is made of. */
export const supplySchema = z.object({
  /** Volts of the house side. */
  houseV: volts,
  startingAh: z.number().min(20).max(400),
  /** Drawn from the starting battery with the engine off: the vehicle's own standby and sockets, mA. */
  parkedMa: z.number().min(0).max(20000),
  /** Other chargers on the same alternator (a trailer's), A at its terminals. */
  otherChargersA: z.number().min(0).max(300),
  /** Where each watched quantity is seen. */
  seen: z.record(z.string(), z.enum(['cab', 'beside the gear', 'living space', 'phone', 'nowhere'])),
});
