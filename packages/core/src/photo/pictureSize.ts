import { msg } from '../messages';
import { END, jpegPieces, SCAN } from './jpegPieces';

/** The most a picture may hold: more is refused before it is unpacked, which would take the page's memory. */
export const MOST_MEGAPIXELS = 40;

export type PictureSize = { readonly width: number; readonly height: number };

/** Marks of a JPEG that say how large it is: SOF0 to SOF15 without DHT, JPG and DAC. */
const isFrame = (mark: number): boolean =>
  mark >= 0xc0 && mark <= 0xcf && mark !== 0xc4 && mark !== 0xc8 && mark !== 0xcc;

/** How large a JPEG or PNG says it is, from its first bytes, without unpacking it; null for anything else. */
export function pictureSize(bytes: Uint8Array): PictureSize | null {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  if (bytes.length >= 24 && view.getUint32(0) === 0x89504e47 && view.getUint32(12) === 0x49484452)
    return { width: view.getUint32(16), height: view.getUint32(20) };
  if (bytes.length < 4 || view.getUint16(0) !== 0xffd8) return null;
  for (const { mark, body, to } of jpegPieces(bytes)) {
    if (mark === SCAN || mark === END) return null;
    if (mark !== null && isFrame(mark) && to >= body + 5)
      return { height: view.getUint16(body + 1), width: view.getUint16(body + 3) };
  }
  return null;
}

/** Why a file cannot be used as a photograph, with what to do; null where it can. */
export function questionPicture(bytes: Uint8Array): string | null {
  const size = pictureSize(bytes);
  if (!size || size.width === 0 || size.height === 0)
    return msg`This is no photograph that can be read here: choose a JPEG or a PNG.`;
  const megapixels = (size.width * size.height) / 1e6;
  return megapixels > MOST_MEGAPIXELS
    ? msg`The photograph has ${Math.round(megapixels)} megapixels; up to ${MOST_MEGAPIXELS} can be read here. Save it smaller and choose it again.`
    : null;
}
