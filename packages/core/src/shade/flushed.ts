import { deltaE2000 } from '../colour';
import { readSpot } from './correct';
import { faceColour, PART_APART, type Skin } from './faceApart';

/**
 * Whether cheeks are red of themselves: redder than the rest of the face, and further from it than one face
 * varies. A description of colour, never a finding. Nothing is said of a face whose cheeks, or whose other
 * parts, were not read.
 */
export function isFlushed({ cheek, ...rest }: Skin): boolean {
  const face = faceColour(rest);
  return (
    cheek !== undefined &&
    face !== null &&
    readSpot(face, cheek).kind === 'redness' &&
    deltaE2000(face, cheek) > PART_APART
  );
}
