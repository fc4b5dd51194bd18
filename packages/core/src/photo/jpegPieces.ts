/** A piece of a JPEG: a segment under its mark, or what lies between marks. */
export type JpegPiece = {
  readonly from: number;
  readonly to: number;
  /** Null for what lies between marks. */ readonly mark: number | null;
  /** Where a segment's body begins. */ readonly body: number;
  /** Whether it lies behind the end of the picture. */ readonly behind: boolean;
};

export const SCAN = 0xda;
export const END = 0xd9;
/** TEM, RST0 to RST7 and SOI have no body. */
const standsAlone = (mark: number): boolean => mark === 0x01 || (mark >= 0xd0 && mark <= 0xd8);

/**
 * The pieces of a JPEG behind its first mark, without a gap. Marks are looked for as readers do (ITU-T T.81,
 * B.1.1): what is no mark is passed over, and 0xff may fill the room before one.
 */
export function* jpegPieces(bytes: Uint8Array): Generator<JpegPiece> {
  const isMark = (at: number): boolean => {
    const next = bytes[at + 1];
    return bytes[at] === 0xff && next !== undefined && next !== 0 && next !== 0xff;
  };
  for (let at = 2; at < bytes.length;) {
    const from = at;
    while (at < bytes.length && !isMark(at)) at++;
    // The room before a mark goes with it: without it nothing new is a mark.
    let begins = at;
    while (at < bytes.length && begins > from && bytes[begins - 1] === 0xff) begins--;
    if (begins > from) yield { from, to: begins, mark: null, body: begins, behind: false };
    if (at >= bytes.length) return;
    const mark = bytes[at + 1]!;
    const length =
      mark === END || standsAlone(mark) ? 0 : Math.max(2, ((bytes[at + 2] ?? 0) << 8) | (bytes[at + 3] ?? 0));
    const to = Math.min(bytes.length, at + 2 + length);
    yield { from: begins, to, mark, body: at + 4, behind: false };
    at = to;
    if (mark === END) {
      if (at < bytes.length) yield { from: at, to: bytes.length, mark: null, body: at, behind: true };
      return;
    }
  }
}
