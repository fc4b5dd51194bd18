import { jpegPieces, type JpegPiece } from './jpegPieces';

/**
 * What a JPEG may say beside its picture: how it is to be shown. All else that stands under these marks, and
 * under others of a maker's own or of words, tells of who took it, when, where and with what, or is a second
 * picture. (ITU-T T.81 annex B; JFIF 1.02; ICC.1 annex B.4.)
 */
const SHOWING: Readonly<Record<number, string>> = { 0xe0: 'JFIF\0', 0xe2: 'ICC_PROFILE\0', 0xee: 'Adobe' };

const COMMENT = 0xfe;
const isOwn = (mark: number): boolean => (mark >= 0xe0 && mark <= 0xef) || mark === COMMENT;

const tells = (bytes: Uint8Array, { mark, body, behind }: JpegPiece): boolean => {
  if (mark === null) return behind;
  if (!isOwn(mark)) return false;
  const showing = SHOWING[mark];
  return showing === undefined || [...showing].some((letter, i) => bytes[body + i] !== letter.charCodeAt(0));
};

/**
 * Whether a JPEG still holds what a camera or a program wrote about it: where and when it was, words, a small
 * second picture.
 */
export function holdsCameraNotes(bytes: Uint8Array): boolean {
  for (const piece of jpegPieces(bytes)) if (tells(bytes, piece)) return true;
  return false;
}

/** A JPEG without that; its picture is as it was. */
export function withoutCameraNotes(bytes: Uint8Array): Uint8Array {
  const kept = [...jpegPieces(bytes)].filter((piece) => !tells(bytes, piece));
  const parts = [bytes.subarray(0, 2), ...kept.map(({ from, to }) => bytes.subarray(from, to))];
  const whole = new Uint8Array(parts.reduce((sum, part) => sum + part.length, 0));
  let at = 0;
  for (const part of parts) {
    whole.set(part, at);
    at += part.length;
  }
  return whole;
}
