/** The head of a JPEG of a size, as far as anybody reads it who asks for its size. */
export function jpegOf(width: number, height: number): Buffer {
  const app0 = [0xff, 0xe0, 0, 16, 0x4a, 0x46, 0x49, 0x46, 0, 1, 1, 0, 0, 1, 0, 1, 0, 0];
  const frame = [0xff, 0xc0, 0, 17, 8, height >> 8, height & 255, width >> 8, width & 255, 3, 1, 0x22, 0, 2, 0x11, 1, 3, 0x11, 1];
  return Buffer.from([0xff, 0xd8, ...app0, ...frame, 0xff, 0xd9]);
}

/** A photo and its small picture as a page sends them. */
export const jpegs = (large = jpegOf(1600, 1200), small = jpegOf(240, 180)): { readonly image: string; readonly small: string } => ({
  image: large.toString('base64'),
  small: small.toString('base64'),
});
