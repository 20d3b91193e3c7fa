import { z } from 'zod';
import { above } from '../figures.js';
import { defineKind } from '../kind.js';
import { CHEMISTRIES, CHEMISTRY, type Chemistry } from './chemistry.js';
import { BATTERY_PARTS } from './parts.js';
import { batterySchema } from './schema.js';

/** Peak over steady current, and kilograms an Ah, by chemistry. */
const heavy = (c: Chemistry): boolean => c !== 'lfp';

export const battery = defineKind({
  kind: 'battery',
  words: 'battery',
  schema: batterySchema,
  parts: BATTERY_PARTS,
  first: ['capacityAh', 'chemistry', 'continuousA'],
  plate: {
    required: { chemistry: z.enum(CHEMISTRIES, { message: `one of ${CHEMISTRIES.map((c) => `${c} (${CHEMISTRY[c].name})`).join(', ')} is accepted` }), capacityAh: above('Ah', 2000) },
    rest: ({ chemistry, capacityAh }) => ({
      continuousA: Math.min(capacityAh, heavy(chemistry) ? Infinity : 200),
      peakA: (heavy(chemistry) ? 3.5 : 2) * Math.min(capacityAh, heavy(chemistry) ? Infinity : 200),
      kg: Math.round(10 * capacityAh * (heavy(chemistry) ? 0.3 : 0.115)) / 10,
      mm: capacityAh > 150 ? [522, 220, 240] : [330, 220, 172],
      price: Math.round(capacityAh * (heavy(chemistry) ? 3.2 : 7)),
    }),
  },
  seldom: ['outletA'],
  contradiction: (p) => (p.peakA < p.continuousA ? `peakA: ${p.peakA} A is below the steady ${p.continuousA} A; no less is accepted` : null),
});
