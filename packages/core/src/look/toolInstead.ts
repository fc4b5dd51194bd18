import { familiesMeant } from '../care';
import { isPowder, type ProductSnapshot, type Tool } from '../kit';
import { msg, term } from '../messages';
import { withArticle } from '../withArticle';
import type { ClientSnapshot, LookStep, Step } from './document';
import { mostOf, SCULPTED } from './sculpted';
import { TOOLS_TO_MIND } from './toolsToMind';

/** What is recorded of a step whose tool was changed for what its product is. */
export const TOOL_FOR_TEXTURE = 'tool for its texture';

export type ToolInstead = {
  readonly tool: Tool;
  readonly technique: LookStep['technique'];
  /** Why the step's own does not suit. */
  readonly why: string;
};

type Worked = Pick<LookStep, 'role' | 'tool' | 'technique' | 'wants'> & Pick<Step, 'use'>;

/**
 * What a step is worked with instead, where its tool does not suit what it is done with: a finger makes a
 * stain of powder, a damp sponge too, a puff takes up cream, a loose brush drags it. Null where the tool
 * suits. A loose brush with a cream is nobody's mistake where the look asks for that cream: two-fibre brushes
 * lay it sheer. What is often made of something the client must not meet is not offered.
 */
export function toolInstead(
  step: Worked,
  { sensitivities }: Pick<ClientSnapshot, 'sensitivities'>,
): ToolInstead | null {
  const product = mostOf(step);
  if (!product) return null;
  const minded = new Set(sensitivities.flatMap((one) => familiesMeant(one)));
  const mayTake: MayTake = (tool) =>
    !TOOLS_TO_MIND.some(({ family, tools }) => minded.has(family) && tools.some((one) => one === tool));
  return isPowder(product) ? forPowder(step, product, mayTake) : forCream(step, product, mayTake);
}

type MayTake = (tool: Tool) => boolean;
const SWEPT = { tool: 'loose brush', technique: 'sweep' } as const;
const STIPPLED = { tool: 'dense brush', technique: 'stipple' } as const;

function forPowder(
  { role, tool }: Worked,
  { texture }: ProductSnapshot,
  mayTake: MayTake,
): ToolInstead | null {
  const stains = msg`${term(texture)} powder: ${withArticle(term(tool))} makes a stain of it`;
  const pressed = mayTake('puff') ? ({ tool: 'puff', technique: 'press' } as const) : SWEPT;
  if (role === 'powder') return tool === 'finger' ? { ...pressed, why: stains } : null;
  // Shimmer is strongest under the fingertip.
  const takesFinger = !SCULPTED.includes(role) || role === 'highlight';
  if (role === 'base')
    return tool === 'finger' || tool === 'damp sponge' ? { ...pressed, why: stains } : null;
  return (tool === 'finger' && !takesFinger) || (tool === 'damp sponge' && SCULPTED.includes(role))
    ? { ...SWEPT, why: stains }
    : null;
}

function forCream(
  { role, tool, technique, wants }: Worked,
  { texture }: ProductSnapshot,
  mayTake: MayTake,
): ToolInstead | null {
  const onSkin = SCULPTED.includes(role) || role === 'base' || role === 'conceal';
  if (!onSkin) return null;
  if (tool === 'puff' || tool === 'fan brush')
    return {
      ...forLaying(role, mayTake),
      why: msg`${term(texture)}: ${withArticle(term(tool))} takes it up and lays little`,
    };
  const meantForIt = wants.textures === undefined ? technique !== 'sweep' : wants.textures.includes(texture);
  return tool === 'loose brush' && SCULPTED.includes(role) && texture !== 'liquid' && !meantForIt
    ? { ...forLaying(role, mayTake), why: msg`${term(texture)}: ${withArticle(term(tool))} drags it` }
    : null;
}

function forLaying(role: LookStep['role'], mayTake: MayTake): Pick<ToolInstead, 'tool' | 'technique'> {
  if (role === 'highlight') return { tool: 'finger', technique: 'press' };
  return (role === 'base' || role === 'conceal') && mayTake('damp sponge')
    ? { tool: 'damp sponge', technique: 'press' }
    : STIPPLED;
}
