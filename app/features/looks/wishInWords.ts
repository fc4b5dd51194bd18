import { msg, plural, term, type LookStep, type Shade } from '@toile/core';

/** A shade as it is said: '2.5 steps deeper than the skin'. */
export function shadeInWords(shade: Shade): string {
  if (shade === null) return msg`no shade`;
  if ('lab' in shade) return msg`a fixed colour, L* ${shade.lab[0]}`;
  const { depthSteps, undertone } = shade.relative;
  const steps =
    depthSteps === 0
      ? msg`the skin’s own depth`
      : msg`${plural(Math.abs(depthSteps))`${Math.abs(depthSteps)} step|${Math.abs(depthSteps)} steps`} ${depthSteps > 0 ? msg`deeper` : msg`lighter`} than the skin`;
  return undertone ? `${steps}, ${term(undertone)}` : steps;
}

/** One of them, as it is said: 'satin or dewy'. */
const any = (words: readonly string[]): string => words.map((one) => term(one)).join(msg` or `);

/** What a step asks of a kit: 'blush, satin or dewy · 1 step deeper than the skin'. */
export function wishInWords({ wants, shade }: Pick<LookStep, 'wants' | 'shade'>): string {
  const { kinds, textures = [], finishes = [], coverages = [], families = [] } = wants;
  if (kinds.length === 0) return msg`no product`;
  return [
    [
      any(kinds),
      any(textures),
      any(finishes),
      coverages.length > 0 ? msg`${any(coverages)} cover` : '',
      families.length > 0 ? msg`${any(families)} based` : '',
    ]
      .filter((words) => words !== '')
      .join(', '),
    shade === null ? null : shadeInWords(shade),
  ]
    .filter(Boolean)
    .join(' · ');
}
