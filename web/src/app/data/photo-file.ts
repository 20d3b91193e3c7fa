import { PHOTO_BYTES, PHOTO_PX } from '@meridex/contract';

/** A photo as it is kept: the picture and a small one of it, each a JPEG in base64. */
export interface PhotoData {
  readonly image: string;
  readonly small: string;
}

const QUALITIES = [0.82, 0.7, 0.55, 0.4];

/** Bytes of a data address, in base64. */
const bytesIn = (url: string): string => url.slice(url.indexOf(',') + 1);

/** A picture drawn anew, no larger than asked: what else the file told (place, device) stays behind. */
function drawn(picture: ImageBitmap, mostPx: number, mostBytes: number): string | null {
  const scale = Math.min(1, mostPx / Math.max(picture.width, picture.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(picture.width * scale));
  canvas.height = Math.max(1, Math.round(picture.height * scale));
  canvas.getContext('2d')!.drawImage(picture, 0, 0, canvas.width, canvas.height);
  const tries = QUALITIES.map((q) => () => bytesIn(canvas.toDataURL('image/jpeg', q)));
  for (const attempt of tries) {
    const bytes = attempt();
    if ((bytes.length * 3) / 4 <= mostBytes) return bytes;
  }
  return null;
}

/** A chosen or taken file as a photo; in words why it is none. */
export async function photoFrom(file: File): Promise<PhotoData | string> {
  let picture: ImageBitmap;
  try {
    picture = await createImageBitmap(file, { imageOrientation: 'from-image' });
  } catch {
    return `${file.name}: this browser cannot open it as a picture; JPEG, PNG and whatever it shows itself are accepted`;
  }
  const image = drawn(picture, PHOTO_PX.large, PHOTO_BYTES.large);
  const small = drawn(picture, PHOTO_PX.small, PHOTO_BYTES.small);
  picture.close();
  return image && small ? { image, small } : `${file.name}: it stays above ${PHOTO_BYTES.large / 1000} kB however it is drawn`;
}
