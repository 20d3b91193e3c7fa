import { PHOTO_BYTES } from '@meridex/contract';
import { photoFrom } from './photo-file';

/** A picture file of a size, in noise that packs badly where asked. */
async function pictureFile(width: number, height: number, noisy = false): Promise<File> {
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [width, height];
  const pen = canvas.getContext('2d')!;
  const data = pen.createImageData(width, height);
  for (let i = 0; i < data.data.length; i++) data.data[i] = i % 4 === 3 ? 255 : noisy ? (i * 2654435761) >>> 24 : 90;
  pen.putImageData(data, 0, 0);
  const blob = await new Promise<Blob>((done) => canvas.toBlob((b) => done(b!), 'image/png'));
  return new File([blob], 'rail.png');
}

const sizeOf = async (base64: string): Promise<[number, number]> => {
  const picture = await createImageBitmap(await (await fetch(`data:image/jpeg;base64,${base64}`)).blob());
  return [picture.width, picture.height];
};

describe('a photo from a file', () => {
  it('is drawn anew as a JPEG, no larger than is kept, with a small one of the same shape', async () => {
    const photo = await photoFrom(await pictureFile(2400, 1200));
    if (typeof photo === 'string') throw new Error(photo);
    expect(await sizeOf(photo.image)).toEqual([1600, 800]);
    expect(await sizeOf(photo.small)).toEqual([240, 120]);
    expect(atob(photo.image).slice(0, 2)).toBe('\xff\xd8');
  });

  it('stays as large as it was where it is small, and takes less quality where it packs badly', async () => {
    const photo = await photoFrom(await pictureFile(1500, 1500, true));
    if (typeof photo === 'string') throw new Error(photo);
    expect(await sizeOf(photo.image)).toEqual([1500, 1500]);
    expect((photo.image.length * 3) / 4).toBeLessThanOrEqual(PHOTO_BYTES.large);
  });

  it('is refused in words where the file is no picture', async () => {
    expect(await photoFrom(new File(['plan'], 'plan.pdf'))).toMatch(/^plan\.pdf: this browser cannot open it as a picture/);
  });
});
