import type { Workshop } from '@meridex/contract';
import type { Content } from 'pdfmake';

/** What a workshop says of itself, in one line. @example headLine({ name: 'Siding Lane Electrics', address: '9 Siding Lane\nWirrabel', phone: '', licence: 'EL 0042', logo: '' }) // 'Siding Lane Electrics · 9 Siding Lane, Wirrabel · licence EL 0042' */
export const headLine = ({ name, address, phone, licence }: Workshop): string => [name, address.replace(/\s*\n\s*/g, ', '), phone, licence && `licence ${licence}`].filter(Boolean).join(' · ');

/** Room for a logo at the head of a page, pt. */
const LOGO_PT: [number, number] = [150, 44];

/** A logo as a page takes it. */
export const logoOnPaper = (logo: string): Content => ({ image: `data:image/png;base64,${logo}`, fit: LOGO_PT });

/** The head of a workshop's papers: its logo, where it has one, and what it says of itself. */
export function headOf(from: Workshop): Content[] {
  const line: Content = { text: headLine(from), style: 'muted', margin: [0, 0, 0, 10] };
  return from.logo ? [{ stack: [logoOnPaper(from.logo)], margin: [0, 0, 0, 6] }, line] : [line];
}
