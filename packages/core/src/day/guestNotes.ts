import { heedsOf, MINOR_UNDER } from '../care';
import { ageInNotes } from './guestWork';
import type { Guest } from './party';

const SPOKEN_OF = /\b(allerg\w*|hypersensitiv\w*|sensitiv\w*|intoleran\w*|reacts?|reacted|reactions?)\b/i;
const DENIED =
  /\b(?:no|not|without|never|zero)\s+(?:\w+\s+)?(?:allerg|sensitiv|intoleran|react)\w*|\b(?:allerg|sensitiv|intoleran)\w*\s*:\s*(?:none|nil|no|n\/a)\b(?!\s+\w)/gi;

/**
 * Whether a note of a guest speaks of what they must not have, or of skin and eyes over which nobody works
 * without asking. It is kept as it was said, and nothing minds it: what is minded is noted of a client. Words
 * it does not know are still to be read.
 */
export const speaksOfCare = (notes: string): boolean =>
  SPOKEN_OF.test(notes.replace(DENIED, ' ')) ||
  heedsOf({ usual: '', conditions: '', treatments: '' }, notes).length > 0;

/**
 * Whether a guest is a minor as far as the list tells and has no page as a client, where alone a guardian’s
 * consent is noted and missed.
 */
export const minorWithoutPage = ({
  clientId,
  role,
  notes,
}: Pick<Guest, 'clientId' | 'role' | 'notes'>): boolean =>
  clientId === null && (role === 'child' || (ageInNotes(notes) ?? MINOR_UNDER) < MINOR_UNDER);
