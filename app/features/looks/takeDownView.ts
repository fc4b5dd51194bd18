import {
  guideNamed,
  LAYER_LOOKS,
  messages,
  msg,
  plural,
  term,
  type ColourTone,
  type GuideName,
  type TakenShade,
  type TakenStep,
} from '@toile/core';
import { capital } from '../words/capital';

/** A place by its name: 'Cheek contour'. */
export const placeWords = (guide: GuideName): string => capital(guideNamed(guide).label.toLowerCase());

const TONES: Readonly<Record<ColourTone, string>> = messages({
  pale: 'pale ',
  'as it is': '',
  deep: 'deep ',
});

/** A shade as it was taken down: '2 steps deeper than the skin', 'deep rose', 'as read'. */
export function takenShadeWords(shade: TakenShade): string {
  switch (shade.by) {
    case 'skin': {
      const steps = Math.abs(shade.depthSteps);
      return steps === 0
        ? msg`as the skin`
        : msg`${plural(steps)`${steps} step|${steps} steps`} ${shade.depthSteps > 0 ? msg`deeper` : msg`lighter`} than the skin`;
    }
    case 'word':
      return `${TONES[shade.tone]}${term(shade.word)}`;
    case 'reading':
      return msg`as read, L* ${shade.lab[0].toFixed(0)}`;
    case 'none':
      return msg`no shade`;
  }
}

/** One step in a line: 'Blush: lifted blush; deep rose; loose brush'. */
export function takenWords({ role, guides, shade, tool, finish }: TakenStep): string {
  const where = guides.map((guide) => guideNamed(guide).label.toLowerCase()).join(', ');
  return `${capital(LAYER_LOOKS[role].name)}: ${[where, takenShadeWords(shade), finish && term(finish), tool === 'none' ? null : term(tool)].filter((words) => words !== null && words !== '').join('; ')}`;
}
