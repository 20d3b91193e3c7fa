import { z } from 'zod';
import { partBase } from '../common.js';

/** Figures at 1000 W/m² and 25 °C cell temperature. */
export const panelSchema = partBase.extend({
  kind: z.literal('panel'),
  ratedW: z.number().positive(),
  vocV: z.number().positive(),
  vmpV: z.number().positive(),
  iscA: z.number().positive(),
  impA: z.number().positive(),
  maxFuseA: z.number().positive(),
});
export type PanelPart = z.infer<typeof panelSchema>;
