import type { Features } from '@toile/core';

/** What is noted of a face, in one line; plain things are not said. */
export function featuresInWords(f: Features): string {
  const { left, right } = f.lids;
  const lids = left === right ? (left === 'open' ? null : `${left} lids`) : `lids: client’s left ${left}, right ${right}`;
  const parts = [
    `${f.eyes} eyes`,
    lids,
    `${f.brows} brows`,
    `${f.nose} nose`,
    f.hair === 'covered' ? 'hair covered' : `${f.hairTone} hair, ${f.hair}`,
    f.lines.length > 0 ? `lines: ${f.lines.join(', ')}` : null,
    f.oily.length > 0 ? `oily: ${f.oily.join(', ')}` : null,
    f.dry ? 'dry skin' : null,
    f.texture === 'textured' ? 'textured skin' : null,
    f.narrowTemples ? 'narrow temples' : null,
    f.beard ? 'beard' : null,
  ].filter((part) => part !== null);
  const text = parts.join(' · ');
  return text.charAt(0).toUpperCase() + text.slice(1);
}
