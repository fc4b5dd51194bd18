import type { Tool } from '../kit';
import { toolInstead, type ClientSnapshot, type Step } from '../look';

/** What stands in for a tool a client has not, the nearest first: trade sense. A finger everybody has. */
const STAND_INS: Readonly<Record<Tool, readonly Tool[]>> = {
  'damp sponge': ['dense brush', 'finger'],
  'dense brush': ['damp sponge', 'finger'],
  // Powder and a finger make a stain.
  'loose brush': ['fan brush', 'puff', 'dense brush'],
  'fan brush': ['loose brush', 'small brush'],
  puff: ['loose brush', 'fan brush'],
  'small brush': ['angled brush', 'finger'],
  // A line wants an edge.
  'angled brush': ['small brush'],
  spatula: ['finger'],
  spoolie: [],
  airbrush: [],
  finger: [],
  none: [],
};
/** Tools that do one thing well: they press, whatever was done with what they stand in for. */
const PRESSES: readonly Tool[] = ['finger', 'puff', 'damp sponge'];
/** What is drawn cannot be pressed. */
const DRAWN: readonly Step['technique'][] = ['line', 'draw', 'flick'];
const canDo = (tool: Tool, technique: Step['technique']): boolean =>
  !(PRESSES.includes(tool) && DRAWN.includes(technique));
/** What nobody needs to buy. */
const EVERYBODY_HAS: readonly Tool[] = ['finger', 'none'];

/** What is used may bring its own: mascara its wand, and a pencil draws by itself. */
export function bringsItsOwn({
  tool,
  technique,
  use,
}: Pick<Step, 'tool' | 'technique' | 'use'>): 'its wand' | 'a pencil' | null {
  if (tool === 'spoolie' && use.some(({ product }) => product.kind === 'mascara')) return 'its wand';
  const pencils = use.length > 0 && use.every(({ product }) => product.texture === 'pencil');
  return pencils && DRAWN.includes(technique) ? 'a pencil' : null;
}

/** Tools of these steps a client may or may not have, each once, in their order. */
export function toolsAskedOf(steps: readonly Step[]): Tool[] {
  const asked = steps.filter((step) => !bringsItsOwn(step) && step.tool !== 'airbrush');
  return [...new Set(asked.map(({ tool }) => tool))].filter((tool) => !EVERYBODY_HAS.includes(tool));
}

/**
 * A step done with what a client has: as it is, with what stands in and suits what is laid, or null where
 * nothing does.
 */
export function withToolsOf(
  step: Step,
  has: readonly Tool[],
  client: Pick<ClientSnapshot, 'sensitivities'>,
): Step | null {
  const there = (tool: Tool): boolean => EVERYBODY_HAS.includes(tool) || has.includes(tool);
  if (there(step.tool) || bringsItsOwn(step)) return step;
  const done = STAND_INS[step.tool]
    .filter((tool) => there(tool) && canDo(tool, step.technique))
    .map((tool): Step => ({ ...step, tool, technique: PRESSES.includes(tool) ? 'press' : step.technique }));
  return done.find((one) => toolInstead(one, client) === null) ?? null;
}
