import type { Step } from './document';

/** What tools are usually made of, and what is noted of one that is not. */
export const TOOLS_TO_MIND = [
  { family: 'latex', tools: ['damp sponge', 'puff'], free: 'latex-free' },
  { family: 'nickel', tools: ['spatula'], free: 'nickel-free' },
] as const satisfies readonly {
  /** As sensitivities name it. */ readonly family: string;
  readonly tools: readonly Step['tool'][];
  readonly free: string;
}[];
