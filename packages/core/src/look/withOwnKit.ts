import type { Lab } from '../colour';
import type { Kit } from '../kit';
import { msg } from '../messages';
import { besideInWords, isUnread, wantedColour } from '../shade';
import type { ClientSnapshot, Look, LookStep } from './document';
import { fitLook, gapInWords } from './fitLook';
import { usualOccasion } from './occasion';
import { productsInWords } from './propose';

export const MET = ['met', 'near', 'far', 'nothing'] as const;
/** What one's own kit has for a step of a look, and how far it is from what the look asks for. */
export type OwnKitLine = {
  readonly stepId: string;
  readonly title: string;
  readonly role: LookStep['role'];
  readonly met: (typeof MET)[number];
  /** The colour the look asks for on this skin; null where it asks for none. */ readonly asked: Lab | null;
  readonly ours: Lab | null;
  /** CIEDE2000 between the two as they show; null where no colour is asked for. */ readonly off:
    number | null;
  /** In a sentence. */ readonly words: string;
};

/** Up to here two layers side by side are one; up to here only who knows sees it. */
const WITHIN = { met: 2, near: 5 } as const;

/**
 * A look as one's own kit can do it on a client or the pattern face: for each step that lays something what
 * is nearest, how far off and which way, or that there is nothing. In the order the look has them.
 */
export function withOwnKit(look: Look, client: ClientSnapshot, kit: Kit, date: string): OwnKitLine[] {
  const stamp = { id: look.id, author: '', at: `${date}T12:00:00Z`, reason: '' };
  const { chart, proposals, gaps } = fitLook(look, client, kit, usualOccasion('other', date), stamp);
  const fitted = new Map(chart.steps.map((step) => [step.id, step]));
  return look.steps.flatMap((plan): OwnKitLine[] => {
    const step = fitted.get(plan.id);
    if (!step || plan.variant !== undefined || plan.wants.kinds.length === 0) return [];
    const asked = wantedColour(step, client, look.schools.contrast);
    const common = { stepId: plan.id, title: plan.title, role: plan.role, asked };
    const gap = gaps[plan.id];
    const best = proposals[plan.id]?.[0];
    if (gap || !best || step.use.length === 0)
      return [
        {
          ...common,
          met: 'nothing',
          ours: null,
          off: null,
          words: gap ? gapInWords(gap) : msg`The kit has nothing for ${plan.title.toLowerCase()}.`,
        },
      ];
    const name = productsInWords(step.use);
    const off = asked === null ? null : best.deltaE;
    // A colour is asked and nobody has read this one: it is not told to be met.
    if (asked !== null && step.use.some(({ product }) => isUnread(product)))
      return [
        {
          ...common,
          met: 'far',
          ours: null,
          off,
          words: msg`${name}: its colour is not read, so nobody can say how far off it is.`,
        },
      ];
    if (off === null) return [{ ...common, met: 'met', ours: best.lab, off, words: `${name}.` }];
    const met = off <= WITHIN.met ? 'met' : off <= WITHIN.near ? 'near' : 'far';
    const way = asked && best.lab && met !== 'met' ? besideInWords(asked, best.lab) : null;
    return [
      {
        ...common,
        met,
        ours: best.lab,
        off,
        words: msg`${name}, ${off.toFixed(1)} off${way === null ? '' : `, ${way}`}.`,
      },
    ];
  });
}
