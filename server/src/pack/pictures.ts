import type { Content } from 'pdfmake';

/** A photo of the pack, with what it shows in words. */
export interface PackPicture {
  readonly says: string;
  readonly image: Buffer;
}

const A_ROW = 3;
/** Of a picture on A4 with three beside one another, pt. */
const BOX: [number, number] = [156, 120];

/** Photos in rows, each with what it shows under it. */
export function picturesOnPaper(pictures: readonly PackPicture[]): Content[] {
  if (!pictures.length) return [];
  const rows = Array.from({ length: Math.ceil(pictures.length / A_ROW) }, (_, r) => pictures.slice(A_ROW * r, A_ROW * (r + 1)));
  return [
    { text: 'Photos', style: 'h2' },
    ...rows.map((row): Content => ({
      columns: row.map(({ says, image }) => ({
        width: BOX[0],
        stack: [
          { image: `data:image/jpeg;base64,${image.toString('base64')}`, fit: BOX },
          { text: says, fontSize: 8, margin: [0, 2, 0, 8] },
        ],
      })),
      columnGap: 12,
      unbreakable: true,
    })),
  ];
}
