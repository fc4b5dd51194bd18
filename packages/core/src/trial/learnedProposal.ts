import type { Strength } from './proposals';

/** Something a studio's wears or decisions say about a step of a chart. */
export type LearnedProposal = {
  readonly key: string;
  readonly stepId: string;
  /** The line that stands there, and the one that is offered for it. */ readonly now: string;
  readonly offer: string;
  /** What taking it does: another line in the step, another amount of it, or no such step. */
  readonly change:
    | { readonly kind: 'line' }
    | { readonly kind: 'amount'; readonly factor: number }
    | { readonly kind: 'leave out' };
  readonly strength: Exclude<Strength, 'none'>;
  readonly failed: number;
  readonly worn: number;
  readonly says: string;
  /** What speaks against it; always said beside it. */ readonly against: string;
};
