import { LOGO } from '@meridex/contract';

const START = 'data:image/png;base64,';

/** A chosen file as a logo: drawn anew, no larger than paper shows it, as a PNG in base64; or in words why it is none. */
export async function logoFrom(file: File): Promise<{ readonly png: string } | { readonly refused: string }> {
  let picture: ImageBitmap;
  try {
    picture = await createImageBitmap(file);
  } catch {
    return { refused: `${file.name}: this browser cannot open it as a picture; PNG, JPEG and whatever it shows itself are accepted` };
  }
  const scale = Math.min(1, LOGO.wide / picture.width, LOGO.high / picture.height);
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(picture.width * scale));
  canvas.height = Math.max(1, Math.round(picture.height * scale));
  canvas.getContext('2d')!.drawImage(picture, 0, 0, canvas.width, canvas.height);
  picture.close();
  const png = canvas.toDataURL('image/png').slice(START.length);
  return png.length <= LOGO.letters ? { png } : { refused: `${file.name}: too rich in detail for a logo; a plainer picture is accepted` };
}
