import type { Workshop } from '@meridex/contract';

/** What a workshop says of itself, in one line at the head of its papers. @example headLine({ name: 'Siding Lane Electrics', address: '9 Siding Lane\nWirrabel', phone: '', licence: 'EL 0042' }) // 'Siding Lane Electrics · 9 Siding Lane, Wirrabel · licence EL 0042' */
export const headLine = ({ name, address, phone, licence }: Workshop): string => [name, address.replace(/\s*\n\s*/g, ', '), phone, licence && `licence ${licence}`].filter(Boolean).join(' · ');
