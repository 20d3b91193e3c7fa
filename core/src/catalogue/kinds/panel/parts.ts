import type { PanelPart } from './schema.js';

const panel = (p: Omit<PanelPart, 'kind'>): PanelPart => ({ kind: 'panel', ...p });

export const PANEL_PARTS: readonly PanelPart[] = [
  panel({ id: 'pv-110', name: 'roof panel 110 W', ratedW: 110, vocV: 21.8, vmpV: 18.1, iscA: 6.5, impA: 6.1, maxFuseA: 15, kg: 7.5, mm: [1020, 680, 35], price: 150 }),
  panel({ id: 'pv-160', name: 'roof panel 160 W', ratedW: 160, vocV: 22.4, vmpV: 18.6, iscA: 9.2, impA: 8.6, maxFuseA: 20, kg: 9.8, mm: [1330, 680, 35], price: 190 }),
  panel({ id: 'pv-200', name: 'roof panel 200 W', ratedW: 200, vocV: 24.3, vmpV: 20.4, iscA: 10.4, impA: 9.8, maxFuseA: 20, kg: 11.5, mm: [1320, 800, 35], price: 230 }),
  panel({ id: 'pv-120-fold', name: 'folding panel 120 W', ratedW: 120, vocV: 22, vmpV: 18, iscA: 7.1, impA: 6.7, maxFuseA: 15, kg: 6, mm: [560, 520, 70], price: 260 }),
  panel({ id: 'pv-200-fold', name: 'folding panel 200 W', ratedW: 200, vocV: 24, vmpV: 20, iscA: 10.6, impA: 10, maxFuseA: 20, kg: 8.4, mm: [700, 560, 80], price: 420 }),
];
