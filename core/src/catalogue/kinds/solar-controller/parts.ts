import type { SolarControllerPart } from './schema.js';

export const SOLAR_CONTROLLER_PARTS: readonly SolarControllerPart[] = [
  { kind: 'solar-controller', id: 'mppt-20', name: 'MPPT controller 20 A', way: 'mppt', maxV: 75, maxA: 20, kg: 0.6, mm: [130, 115, 50], price: 210 },
  { kind: 'solar-controller', id: 'mppt-40', name: 'MPPT controller 40 A', way: 'mppt', maxV: 100, maxA: 40, kg: 1.3, mm: [190, 130, 65], price: 380 },
  { kind: 'solar-controller', id: 'pwm-20', name: 'PWM controller 20 A', way: 'pwm', maxV: 30, maxA: 20, kg: 0.2, mm: [140, 75, 35], price: 60 },
  { kind: 'solar-controller', id: 'pwm-30', name: 'PWM controller 30 A', way: 'pwm', maxV: 50, maxA: 30, kg: 0.3, mm: [155, 85, 38], price: 85 },
  { kind: 'solar-controller', id: 'mppt-30', name: 'MPPT controller 30 A', way: 'mppt', maxV: 100, maxA: 30, kg: 1.1, mm: [185, 125, 60], price: 300, special: true },
  { kind: 'solar-controller', id: 'mppt-60', name: 'MPPT controller 60 A', way: 'mppt', maxV: 150, maxA: 60, kg: 2.6, mm: [250, 185, 95], price: 640, special: true },
  { kind: 'solar-controller', id: 'pwm-60', name: 'PWM controller 60 A', way: 'pwm', maxV: 50, maxA: 60, kg: 0.9, mm: [200, 115, 60], price: 160, special: true },
];
