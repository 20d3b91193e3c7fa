import { CHEMISTRIES } from '../battery/chemistry.js';
import type { DcdcPart } from './schema.js';

const dcdc = (p: Pick<DcdcPart, 'id' | 'name' | 'outputA' | 'kg' | 'mm' | 'price'> & Partial<DcdcPart>): DcdcPart => ({
  kind: 'dcdc',
  inputV: 12,
  outputV: 12,
  efficiency: 0.88,
  cutOutV: 10.5,
  sunInput: null,
  halfPower: true,
  coldLock: true,
  standbyMa: 8,
  trigger: 'wire',
  profiles: [...CHEMISTRIES],
  maxFuseA: null,
  ...p,
});

export const DCDC_PARTS: readonly DcdcPart[] = [
  dcdc({ id: 'dcdc-20', name: 'DC-DC charger 20 A', outputA: 20, kg: 1.1, mm: [165, 120, 37], price: 330 }),
  dcdc({ id: 'dcdc-25-dual', name: 'DC-DC charger 25 A, dual input', outputA: 25, sunInput: { maxV: 32, maxA: 25, way: 'sun first' }, kg: 1.2, mm: [190, 120, 50], price: 450 }),
  dcdc({ id: 'dcdc-40', name: 'DC-DC charger 40 A', outputA: 40, kg: 1.9, mm: [200, 140, 60], price: 490 }),
  dcdc({ id: 'dcdc-40-dual', name: 'DC-DC charger 40 A, dual input', outputA: 40, sunInput: { maxV: 32, maxA: 40, way: 'sun first' }, kg: 2.1, mm: [200, 140, 60], price: 620 }),
  dcdc({
    id: 'dcdc-30-one',
    name: 'DC-DC charger 30 A, two inputs, one at a time',
    outputA: 30,
    sunInput: { maxV: 28, maxA: 30, way: 'vehicle first' },
    profiles: ['flooded', 'agm', 'gel'],
    halfPower: false,
    coldLock: false,
    kg: 1.3,
    mm: [190, 120, 50],
    price: 380,
  }),
  dcdc({ id: 'dcdc-24-12-30', name: 'DC-DC charger 24 to 12 V, 30 A', outputA: 30, inputV: 24, cutOutV: 21, kg: 1.8, mm: [200, 140, 60], price: 540 }),
  dcdc({ id: 'dcdc-24-24-25', name: 'DC-DC charger 24 to 24 V, 25 A', outputA: 25, inputV: 24, outputV: 24, cutOutV: 21, kg: 2.4, mm: [210, 150, 70], price: 720 }),
];
