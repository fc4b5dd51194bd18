import { chromaOf, depthOf, hueOf, labOfHue, lightnessAtDepth } from '../../colour';
import { msg } from '../../messages';
import { wantedColour } from '../../shade';
import { isLipColour, meantBy, pairsMeantApart } from '../coloursApart';
import type { Adapter, AdaptTo } from './adapter';

/** Steps by which a deeper lip stays deeper on every skin, where its look has it by as many. */
const LIP_STAYS_DEEPER = 2;

type Lip = AdaptTo['look']['steps'][number];

/** How deep a lip has to be on this skin: as it is asked, and deeper than those its look has lighter. */
function lipDepth(lip: Lip, { client, look }: Pick<AdaptTo, 'client' | 'look'>): number {
  const own = depthOf(wantedColour(lip, client)!);
  const least = pairsMeantApart(look.steps.filter(isLipColour))
    .filter(({ deeper }) => deeper.id === lip.id)
    .map((pair) => lipDepth(pair.lighter, { client, look }) + Math.min(LIP_STAYS_DEEPER, meantBy(pair)));
  const most = Math.max(...least);
  // To the half step, so that skin which moves by less asks nothing new.
  return most > own ? Math.ceil(2 * most) / 2 : own;
}

/**
 * Nudes go deeper with the skin and colours stay what they are: on deep skin the second lip, deeper as the
 * look has it, would be lighter than the first.
 */
export const LIP_ADAPTERS: readonly Adapter[] = [
  {
    id: 'a deeper lip stays deeper',
    change: (step, { client, look, skin }) => {
      if (!skin || !isLipColour(step) || step.shade === null || !('lab' in step.shade)) return null;
      const wanted = wantedColour(step, client)!;
      const depth = lipDepth(step, { client, look });
      if (depth <= depthOf(wanted)) return null;
      const L = lightnessAtDepth(depth);
      return {
        words: msg`${step.title} deeper than the look has it`,
        why: msg`on this skin the other lip is as deep, or nearly`,
        // What gets darker holds less colour.
        set: { shade: { lab: [...labOfHue(L, chromaOf(wanted) * Math.sqrt(L / wanted[0]), hueOf(wanted))] } },
      };
    },
  },
];
