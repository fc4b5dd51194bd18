import { drynessInWords, msg, term, type Features, type SidedFeatures } from '@toile/core';
import { capital } from '../words/capital';

/** What is noted of a face, in one line; plain things are not said. */
export function featuresInWords(f: Features): string {
  const { left, right } = f.lids;
  const lids =
    left === right
      ? left === 'open'
        ? null
        : left === 'without a crease'
          ? msg`lids without a crease`
          : msg`${term(left)} lids`
      : msg`lids: client’s left ${term(left)}, right ${term(right)}`;
  const parts = [
    msg`${term(f.eyes)} eyes`,
    lids,
    msg`${term(f.brows)} brows`,
    msg`${term(f.nose)} nose`,
    f.hair === 'covered' ? msg`hair covered` : msg`${term(f.hairTone)} hair, ${term(f.hair)}`,
    f.lines.length > 0 ? msg`lines: ${f.lines.join(', ')}` : null,
    f.oily.length > 0 ? msg`oily: ${f.oily.join(', ')}` : null,
    drynessInWords(f),
    f.texture === 'textured' ? msg`textured skin` : null,
    f.narrowTemples ? msg`narrow temples` : null,
    f.lipEdge === 'blurred' ? msg`blurred lip edge` : null,
    f.beard ? msg`beard` : null,
    f.right ? rightInWords(f.right) : null,
  ].filter((part) => part !== null);
  return capital(parts.join(' · '));
}

/** Where the client's right differs: "client's right: sparse brow, smooth". */
function rightInWords(right: SidedFeatures): string | null {
  const parts = [
    right.eyes ? msg`${term(right.eyes)} eye` : null,
    right.brows ? msg`${term(right.brows)} brow` : null,
    right.lines ? (right.lines.length > 0 ? msg`lines: ${right.lines.join(', ')}` : msg`no lines`) : null,
    right.texture ?? null,
    right.narrowTemples === undefined ? null : right.narrowTemples ? msg`narrow temple` : msg`full temple`,
    right.lipEdge ? msg`${term(right.lipEdge)} lip edge` : null,
  ].filter((part) => part !== null);
  return parts.length > 0 ? msg`client’s right: ${parts.join(', ')}` : null;
}
