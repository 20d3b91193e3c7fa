import { imageSize } from 'image-size';

/** Room beyond the side that a page makes: rounding, and nothing more. */
const SLACK_PX = 2;

/**
 * What keeps bytes from being taken as a photo, in words; null: they are a JPEG of a size that is taken. What they say that
 * they are counts for nothing.
 * @example refusedPhoto(Buffer.from('GIF89a'), 1600) // 'a JPEG is accepted, as the page makes it of any photo'
 */
export function refusedPhoto(bytes: Buffer, mostPx: number): string | null {
  const read = ((): ReturnType<typeof imageSize> | null => {
    try {
      return imageSize(bytes);
    } catch {
      return null;
    }
  })();
  if (read?.type !== 'jpg') return 'a JPEG is accepted, as the page makes it of any photo';
  if (Math.max(read.width, read.height) > mostPx + SLACK_PX) return `got ${read.width} × ${read.height} px; up to ${mostPx} px a side are accepted`;
  return null;
}
