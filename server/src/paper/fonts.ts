import { createRequire } from 'node:module';
import { dirname, join, sep } from 'node:path';
import pdfmake from 'pdfmake';

const require = createRequire(import.meta.url);
const fontFolder = (name: string): string => join(dirname(require.resolve(`@fontsource/${name}/package.json`)), 'files');
const archivo = fontFolder('archivo');

pdfmake.setFonts({
  Archivo: {
    normal: join(archivo, 'archivo-latin-400-normal.woff'),
    bold: join(archivo, 'archivo-latin-600-normal.woff'),
    italics: join(archivo, 'archivo-latin-400-normal.woff'),
    bolditalics: join(archivo, 'archivo-latin-600-normal.woff'),
  },
});
// Only the fonts may be read, and nothing fetched: the content comes from people.
pdfmake.setLocalAccessPolicy((path) => path.startsWith(archivo + sep));
pdfmake.setUrlAccessPolicy(() => false);

/** A document on paper, with the fonts that ship with it. */
export const printed = (definition: Parameters<typeof pdfmake.createPdf>[0]): Promise<Buffer> => pdfmake.createPdf(definition).getBuffer();
