import { isPowder, type ProductSnapshot, type Tool } from '../kit';
import { msg, term } from '../messages';
import { withArticle } from '../withArticle';
import type { LookStep, Step } from './document';

/** What is recorded of a step whose tool was changed for what its product is. */
export const TOOL_FOR_TEXTURE = 'tool for its texture';

export type ToolInstead = {
  readonly tool: Tool;
  readonly technique: LookStep['technique'];
  /** Why the step's own does not suit. */
  readonly why: string;
};

type Worked = Pick<LookStep, 'role' | 'tool' | 'technique' | 'wants'> & Pick<Step, 'use'>;

/** Colour and light of the face: where tool and product have to go together. */
const SCULPTED: readonly LookStep['role'][] = ['blush', 'bronze', 'contour', 'highlight'];

/**
 * What a step is worked with instead, where its tool does not suit what it is done with: a finger makes a
 * stain of powder, a damp sponge too, a puff takes up cream, a loose brush drags it. Null where the tool
 * suits. A loose brush with a cream is nobody's mistake where the look asks for that cream: two-fibre brushes
 * lay it sheer.
 */
export function toolInstead(step: Worked): ToolInstead | null {
  const product = mostOf(step);
  if (!product) return null;
  return isPowder(product) ? forPowder(step, product) : forCream(step, product);
}

function forPowder({ role, tool }: Worked, { texture }: ProductSnapshot): ToolInstead | null {
  const stains = msg`${term(texture)} powder: ${withArticle(term(tool))} makes a stain of it`;
  if (role === 'powder') return tool === 'finger' ? { tool: 'puff', technique: 'press', why: stains } : null;
  // Shimmer is strongest under the fingertip.
  const takesFinger = !SCULPTED.includes(role) || role === 'highlight';
  return (tool === 'finger' && !takesFinger) || (tool === 'damp sponge' && SCULPTED.includes(role))
    ? { tool: 'loose brush', technique: 'sweep', why: stains }
    : null;
}

function forCream(
  { role, tool, technique, wants }: Worked,
  { texture }: ProductSnapshot,
): ToolInstead | null {
  const onSkin = SCULPTED.includes(role) || role === 'base' || role === 'conceal';
  if (!onSkin) return null;
  if (tool === 'puff' || tool === 'fan brush')
    return {
      ...forLaying(role),
      why: msg`${term(texture)}: ${withArticle(term(tool))} takes it up and lays little`,
    };
  const meantForIt = wants.textures === undefined ? technique !== 'sweep' : wants.textures.includes(texture);
  return tool === 'loose brush' && SCULPTED.includes(role) && texture !== 'liquid' && !meantForIt
    ? { ...forLaying(role), why: msg`${term(texture)}: ${withArticle(term(tool))} drags it` }
    : null;
}

function forLaying(role: LookStep['role']): Pick<ToolInstead, 'tool' | 'technique'> {
  if (role === 'highlight') return { tool: 'finger', technique: 'press' };
  return role === 'base' || role === 'conceal'
    ? { tool: 'damp sponge', technique: 'press' }
    : { tool: 'dense brush', technique: 'stipple' };
}

/** What a step is mostly done with. */
const mostOf = ({ use }: Pick<Step, 'use'>): ProductSnapshot | null =>
  use.reduce<Step['use'][number] | null>(
    (most, one) =>
      most && most.parts * most.product.mgPerMeasure >= one.parts * one.product.mgPerMeasure ? most : one,
    null,
  )?.product ?? null;
