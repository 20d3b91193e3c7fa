import type { PanelPart } from './schema.js';

const panel = (p: Omit<PanelPart, 'kind'>): PanelPart => ({ kind: 'panel', ...p });

export const PANEL_PARTS: readonly PanelPart[] = [
  panel({ id: 'pv-110', name: 'roof panel 110 W', ratedW: 110, vocV: 21.8, vmpV: 18.1, iscA: 6.5, impA: 6.1, maxFuseA: 15, kg: 7.5, mm: [1020, 680, 35], price: 150 }),
  panel({ id: 'pv-160', name: 'roof panel 160 W', ratedW: 160, vocV: 22.4, vmpV: 18.6, iscA: 9.2, impA: 8.6, maxFuseA: 20, kg: 9.8, mm: [1330, 680, 35], price: 190 }),
  panel({ id: 'pv-200', name: 'roof panel 200 W', ratedW: 200, vocV: 24.3, vmpV: 20.4, iscA: 10.4, impA: 9.8, maxFuseA: 20, kg: 11.5, mm: [1320, 800, 35], price: 230 }),
  panel({ id: 'pv-120-fold', name: 'folding panel 120 W', ratedW: 120, vocV: 22, vmpV: 18, iscA: 7.1, impA: 6.7, maxFuseA: 15, kg: 6, mm: [560, 520, 70], price: 260 }),
  panel({ id: 'pv-200-fold', name: 'folding panel 200 W', ratedW: 200, vocV: 24, vmpV: 20, iscA: 10.6, impA: 10, maxFuseA: 20, kg: 8.4, mm: [700, 560, 80], price: 420 }),
  panel({ id: 'pv-40', name: 'roof panel 40 W', ratedW: 40, vocV: 21.6, vmpV: 17.8, iscA: 2.4, impA: 2.25, maxFuseA: 10, kg: 3.4, mm: [540, 500, 30], price: 75, special: true }),
  panel({ id: 'pv-80', name: 'roof panel 80 W', ratedW: 80, vocV: 21.7, vmpV: 18, iscA: 4.75, impA: 4.45, maxFuseA: 10, kg: 6, mm: [780, 670, 35], price: 120, special: true }),
  panel({ id: 'pv-130', name: 'roof panel 130 W', ratedW: 130, vocV: 22, vmpV: 18.2, iscA: 7.6, impA: 7.15, maxFuseA: 15, kg: 8.6, mm: [1180, 680, 35], price: 165, special: true }),
  panel({ id: 'pv-250', name: 'roof panel 250 W', ratedW: 250, vocV: 30.2, vmpV: 25, iscA: 10.6, impA: 10, maxFuseA: 20, kg: 14, mm: [1500, 830, 35], price: 280, special: true }),
];
