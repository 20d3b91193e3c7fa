import { z } from 'zod';
import { hour, partId, share, volts } from './common-schema.js';

export const supplySchema = z.object({
  /** Volts of the house side. */
  houseV: volts,
  battery: z.object({ part: partId, count: z.number().int().min(1).max(12) }),
  /** More batteries: always joined to the first, or a bank of their own behind a selector. */
  second: z.object({ part: z.string().max(60), count: z.number().int().min(1).max(12), joined: z.enum(['parallel', 'selector']) }).nullable(),
  isolation: z.enum(['dcdc', 'isolator', 'none']),
  dcdc: partId,
  /** The charger's half-power setting. */
  dcdcHalf: z.boolean(),
  /** A second charger from the same alternator on to the same bank. */
  dcdcSecond: partId,
  /** What switches the charger on. */
  trigger: z.enum(['ignition wire', 'volts', 'always-live wire']),
  /** A switch in the trigger that keeps the charger off (steep hill, hot engine). */
  inhibit: z.boolean(),
  isolator: partId,
  sun: z.object({
    panel: partId,
    count: z.number().int().min(1).max(20),
    /** Panels in series in each string. */
    inSeries: z.number().int().min(1).max(10),
    controller: partId,
    /** Share of the light that never reaches the panels, 0–1. */
    shade: share,
    /** A panel that is put out when parked, with or without its own regulator, joined to the bank or to the panels' input. */
    portable: z.object({ panel: z.string().max(60), regulated: z.boolean(), into: z.enum(['bank', 'panels']), hours: hour }).nullable(),
    /** The controller starts only below this state of charge; null: always. */
    startBelow: share.nullable(),
  }),
  mains: z.object({ charger: partId }),
  inverter: partId,
  fuseBlock: partId,
  /** Bars, ways, shunt and disconnect on one board, in place of the parts; null: separate parts. */
  hub: partId,
  /** Between the battery's leads and the bus bars; null: none. */
  mainSwitch: partId,
  /** In the battery's negative. */
  shunt: partId,
  /** What opens the loads before the battery is empty, and in which pole of their feed. */
  disconnect: z.object({ part: partId, pole: z.enum(['positive', 'negative']) }),
  startingAh: z.number().min(20).max(400),
  /** Drawn from the starting battery with the engine off: the vehicle's own standby and sockets, mA. */
  parkedMa: z.number().min(0).max(20000),
  /** Other chargers on the same alternator (a trailer's), A at its terminals. */
  otherChargersA: z.number().min(0).max(300),
  /** Where each watched quantity is seen. */
  seen: z.record(z.string(), z.enum(['cab', 'beside the gear', 'living space', 'phone', 'nowhere'])),
});
