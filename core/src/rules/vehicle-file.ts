import { troubleInWords, vehicleTroubles } from '../vehicle/index.js';
import type { Rule } from './rule.js';

export const vehicleFile: Rule = {
  id: 'vehicle-file',
  severity: 'look',
  harm: 'the plan',
  basis: 'the vehicle’s file is checked as a whole',
  why: 'Lengths come from it.',
  test: ({ vehicle }) => vehicleTroubles(vehicle).map((t) => ({ at: { stage: 'places' as const, about: t.at }, values: { ...troubleInWords(t), what: t.kind } })),
  say: (v) => String(v['say']),
  fix: (v) => String(v['fix']),
};
