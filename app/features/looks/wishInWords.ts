import { type LookStep, type Shade } from '@toile/core';

/** A shade as it is said: '2.5 steps deeper than the skin'. */
export function shadeInWords(shade: Shade): string {
  if (shade === null) return 'no shade';
  if ('lab' in shade) return `a fixed colour, L* ${shade.lab[0]}`;
  const { depthSteps, undertone } = shade.relative;
  const steps =
    depthSteps === 0
      ? 'the skin’s own depth'
      : `${Math.abs(depthSteps)} ${Math.abs(depthSteps) === 1 ? 'step' : 'steps'} ${depthSteps > 0 ? 'deeper' : 'lighter'} than the skin`;
  return undertone ? `${steps}, ${undertone}` : steps;
}

/** What a step asks of a kit: 'blush, satin or dewy · 1 step deeper than the skin'. */
export function wishInWords({ wants, shade }: Pick<LookStep, 'wants' | 'shade'>): string {
  const { kinds, textures = [], finishes = [], coverages = [], families = [] } = wants;
  if (kinds.length === 0) return 'no product';
  return [
    [
      kinds.join(' or '),
      textures.join(' or '),
      finishes.join(' or '),
      coverages.length > 0 ? `${coverages.join(' or ')} cover` : '',
      families.length > 0 ? `${families.join(' or ')} based` : '',
    ]
      .filter((words) => words !== '')
      .join(', '),
    shade === null ? null : shadeInWords(shade),
  ]
    .filter(Boolean)
    .join(' · ');
}
