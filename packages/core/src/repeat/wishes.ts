import { deltaE2000, type Lab } from '../colour';
import { colourOfUse, proposeProducts, type Chart, type FitContext, type Proposal, type Step } from '../look';
import { msg, term } from '../messages';
import { wantedColour } from '../shade';
import { NO_SIDE, sideOf, type RefitChange } from './change';
import { chosenNextTime, DOSE_BY, goesTowards, wishedColour, type Chosen } from './learned';

/** Whether a proposal is of other products than a step has. */
export const isOther = (next: Proposal, step: Step): boolean =>
  next.use.map((u) => u.product.id).join() !== step.use.map((u) => u.product.id).join();

const saidOf = (step: Step, worn: Chart): Chosen[] =>
  chosenNextTime(worn.steps.find((s) => s.id === step.id)?.done?.deviations ?? []);
const quoted = ({ wish, sentence }: Chosen): string =>
  msg`Chosen for next time: ${term(wish)}.${sentence === '' ? '' : ` “${sentence}”`}`;

/** What becomes of a wish for another colour or another product, in words. */
export type Wish = { readonly why: string } & (
  | { readonly isSo: false; readonly proposal: Proposal; readonly difference: string }
  /** It is so already: what was worn stays. Or the kit has nothing for it. */
  | { readonly isSo: boolean; readonly proposal: null }
);

/**
 * What was chosen for next time of a step's product: that it stays; another; or the kit's nearest to the
 * colour asked for, from what was worn as it would be chosen for the skin of now, where that goes the way it
 * was wished far enough. Null where nothing of that was chosen.
 */
export function wished(step: Step, worn: Chart, context: FitContext): Wish | null {
  const chosen = saidOf(step, worn);
  const kept = chosen.find(({ wish }) => wish === 'keep');
  if (kept) return { isSo: true, proposal: null, why: quoted(kept) };
  const own = new Set(step.use.map((u) => u.product.id));
  const other = chosen.find(({ wish }) => wish === 'other product');
  if (other) {
    const next = proposeProducts(step, context).find((p) => !p.use.some((u) => own.has(u.product.id)));
    return next
      ? { isSo: false, proposal: next, why: quoted(other), difference: msg`another product` }
      : { isSo: false, proposal: null, why: msg`${quoted(other)} The kit has no other for it.` };
  }
  const lab = asOnSkinOf(step, worn, context);
  const wish = wishedColour(step, lab, chosen);
  if (!lab || !wish) return null;
  const [said, word] = [quoted(wish.chosen), term(wish.chosen.wish)];
  const next = proposeProducts({ ...step, outright: wish.lab }, context).find(
    (p) => p.lab && goesTowards(lab, wish.lab, p.lab),
  );
  if (!next?.lab)
    return { isSo: false, proposal: null, why: msg`${said} The kit has nothing for it that is ${word}.` };
  if (!isOther(next, step))
    return { isSo: true, proposal: null, why: msg`${said} On the skin as it is now it is that already.` };
  return {
    isSo: false,
    proposal: next,
    why: msg`${said} The kit’s nearest that is ${word}.`,
    difference: msg`${word} by ${deltaE2000(lab, next.lab).toFixed(1)}`,
  };
}

/**
 * The colour a step used, as it would be had it been chosen for the skin of now: off by as much as it was off
 * then. Null for what has none.
 */
export function asOnSkinOf(step: Step, worn: Chart, { client, contrast }: FitContext): Lab | null {
  const lab = colourOfUse(step.use);
  const [then, now] = [worn.client, client].map((who) => wantedColour(step, who, contrast));
  if (!lab || !then || !now) return lab;
  return [lab[0] + now[0] - then[0], lab[1] + now[1] - then[1], lab[2] + now[2] - then[2]];
}

/** What was chosen of amount, place and presence: more, less, left out, another place. */
export function chosenChanges(worn: Step): RefitChange[] {
  const { done, ...step } = worn;
  return chosenNextTime(done?.deviations ?? []).flatMap((chosen): RefitChange[] => {
    const told = {
      stepId: step.id,
      title: step.title,
      kind: 'learned' as const,
      why: quoted(chosen),
      before: NO_SIDE,
      after: NO_SIDE,
    };
    switch (chosen.wish) {
      case 'more':
      case 'less':
        return [
          {
            ...told,
            id: `${step.id} amount`,
            difference: msg`${chosen.wish === 'more' ? msg`30 % more` : msg`a quarter less`} product`,
            part: { of: 'amount', stepId: step.id, by: DOSE_BY[chosen.wish] },
          },
        ];
      case 'leave out':
        return [
          {
            ...told,
            id: `${step.id} left out`,
            difference: msg`the step falls away`,
            after: sideOf(undefined),
            part: { of: 'left out', stepId: step.id },
          },
        ];
      case 'other place':
        return [
          { ...told, id: `${step.id} other place`, difference: msg`place it on the face anew`, part: null },
        ];
      default:
        return [];
    }
  });
}
