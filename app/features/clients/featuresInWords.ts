import { drynessInWords, type Features, type SidedFeatures } from '@toile/core';
import { capital } from '../words/capital';

/** What is noted of a face, in one line; plain things are not said. */
export function featuresInWords(f: Features): string {
  const { left, right } = f.lids;
  const lids =
    left === right
      ? left === 'open'
        ? null
        : `${left} lids`
      : `lids: client’s left ${left}, right ${right}`;
  const parts = [
    `${f.eyes} eyes`,
    lids,
    `${f.brows} brows`,
    `${f.nose} nose`,
    f.hair === 'covered' ? 'hair covered' : `${f.hairTone} hair, ${f.hair}`,
    f.lines.length > 0 ? `lines: ${f.lines.join(', ')}` : null,
    f.oily.length > 0 ? `oily: ${f.oily.join(', ')}` : null,
    drynessInWords(f),
    f.texture === 'textured' ? 'textured skin' : null,
    f.narrowTemples ? 'narrow temples' : null,
    f.lipEdge === 'blurred' ? 'blurred lip edge' : null,
    f.beard ? 'beard' : null,
    f.right ? rightInWords(f.right) : null,
  ].filter((part) => part !== null);
  return capital(parts.join(' · '));
}

/** Where the client's right differs: "client's right: sparse brow, smooth". */
function rightInWords(right: SidedFeatures): string | null {
  const parts = [
    right.eyes ? `${right.eyes} eye` : null,
    right.brows ? `${right.brows} brow` : null,
    right.lines ? (right.lines.length > 0 ? `lines: ${right.lines.join(', ')}` : 'no lines') : null,
    right.texture ?? null,
    right.narrowTemples === undefined ? null : right.narrowTemples ? 'narrow temple' : 'full temple',
    right.lipEdge ? `${right.lipEdge} lip edge` : null,
  ].filter((part) => part !== null);
  return parts.length > 0 ? `client’s right: ${parts.join(', ')}` : null;
}
