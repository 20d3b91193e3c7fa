import { z } from 'zod';
import { ampacityA, gaugeAreaMm2 } from '../cable/index.js';
import { inverterInputW, CHEMISTRIES } from '../catalogue/index.js';
import { fridgeDuty } from '../loads/index.js';
import { fanFlowM3h } from '../places/index.js';
import { absorptionV, chargerDerate, panelPowerW, pwmLossFraction, runtimeH } from '../supply/index.js';
import { layingSchema } from './shapes.js';

const n = z.number();
const positive = n.positive();

function formula<S extends z.ZodType>(schema: S, compute: (input: z.output<S>) => number) {
  return (input: unknown): number => compute(schema.parse(input));
}

/** Single formulas by name, each with the shape of its input. */
export const FORMULAS: Readonly<Record<string, (input: unknown) => number>> = {
  gaugeAreaMm2: formula(z.object({ gauge: z.string().refine((g) => gaugeAreaMm2(g) !== null, { message: 'a gauge such as 6 or 2/0' }) }), (i) => gaugeAreaMm2(i.gauge)!),
  ampacityA: formula(layingSchema.extend({ areaMm2: positive }), (i) => ampacityA(i.areaMm2, i)),
  fridgeDuty: formula(z.object({ duty25: n.min(0).max(1), tempC: n }), (i) => fridgeDuty(i.duty25, i.tempC)),
  inverterInputW: formula(z.object({ acW: n.min(0), ratedW: positive }), (i) => inverterInputW(i.acW, i.ratedW)),
  runtimeH: formula(z.object({ capacityAh: positive, peukert: n.min(1), currentA: positive }), (i) => runtimeH(i.capacityAh, i.peukert, i.currentA)),
  pwmLossFraction: formula(z.object({ vmpV: positive, cellC: n, batteryV: positive }), (i) => pwmLossFraction(i.vmpV, i.cellC, i.batteryV)),
  absorptionV: formula(z.object({ chemistry: z.enum(CHEMISTRIES), batteryC: n }), (i) => absorptionV(i.chemistry, i.batteryC)),
  chargerDerate: formula(z.object({ inputC: n }), (i) => chargerDerate(i.inputC)),
  fanFlowM3h: formula(z.object({ heatW: n.min(0), riseK: positive }), (i) => fanFlowM3h(i.heatW, i.riseK)),
  panelPowerW: formula(z.object({ elevationDeg: n, clearness: n.min(0), shade: n.min(0).max(1), ratedW: n.min(0), ambientC: n }), panelPowerW),
};
