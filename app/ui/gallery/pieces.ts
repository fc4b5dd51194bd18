import { ENTERED } from './entered';
import { PRESSED } from './pressed';
import { SHOWN } from './shown';
import type { Piece } from './piece';

/** Every part there is, by name. A test holds it against the folder: what is added there is added here. */
export const PIECES: readonly Piece[] = [...PRESSED, ...ENTERED, ...SHOWN].sort((a, b) =>
  a.name.localeCompare(b.name),
);
