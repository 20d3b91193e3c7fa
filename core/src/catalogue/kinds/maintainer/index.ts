import { above } from '../figures.js';
import { defineKind } from '../kind.js';
import { NO_PORTS } from '../ports.js';
import { MAINTAINER_PARTS } from './parts.js';
import { maintainerSchema } from './schema.js';

export const maintainer = defineKind({
  kind: 'maintainer',
  words: 'starting-battery maintainer',
  schema: maintainerSchema,
  parts: MAINTAINER_PARTS,
  first: ['outputA', 'inputV', 'outputV', 'aboveV'],
  plate: {
    required: { outputA: above('A', 40) },
    rest: ({ outputA }) => ({ inputV: 12, outputV: 12, efficiency: 0.85, aboveV: 13.2, holdV: 13.5, ownMa: 5, kg: 0.3, mm: [100, 70, 40], price: Math.round(60 + 9 * outputA) }),
  },
  converts: {
    ports: (p) => ({ ...NO_PORTS, bankV: p.inputV, startOut: p }),
    stem: 'maintainer',
    role: 'charger',
    calls: () => 'maintainer',
    heatW: (p) => p.holdV * p.outputA * (1 / p.efficiency - 1),
    why: 'keeps the starting battery up with what the house battery has to spare, so that the engine cranks after weeks of standing',
  },
});
