import { OWN } from '../design/index.js';
import type { LabelLink } from './svg.js';

/**
 * The address under which a label’s code opens its circuit.
 * @example labelLink('http://bench:4200', '7', 'own')('load-fridge') // 'http://bench:4200/jobs/7/runs/cables?run=load-fridge'
 */
export const labelLink =
  (origin: string, jobId: string, vehicle: string): LabelLink =>
  (run) =>
    `${origin}/jobs/${jobId}/runs/cables?${new URLSearchParams({ ...(vehicle === OWN ? {} : { vehicle }), run }).toString()}`;
