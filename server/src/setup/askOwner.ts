import { setUpSchema, type SetUp } from '@toile/contract';
import { ValidationError } from 'yup';

/** Asks one thing of whoever sits there; what is hidden is not shown while it is typed. */
export type Ask = (question: string, hidden: boolean) => Promise<string>;

const QUESTIONS = [
  ['studio', 'Name of the studio', false],
  ['zone', 'Time zone, as Europe/Lisbon', false],
  ['name', 'Your name', false],
  ['email', 'Email', false],
  ['password', 'Password, at least 12 letters', true],
] as const;

/**
 * Asks for a first studio and its owner, one thing after the other by the same rules as the first page; what
 * is wrong is said and asked again. A password is asked for twice. An empty answer about the zone takes the
 * machine's own.
 */
export async function askOwner(ask: Ask, say: (line: string) => void, ownZone: string): Promise<SetUp> {
  const answers: Record<string, string> = {};
  for (const [field, question, hidden] of QUESTIONS)
    for (;;) {
      const typed = await ask(field === 'zone' ? `${question} (${ownZone})` : question, hidden);
      answers[field] = field === 'zone' && typed.trim() === '' ? ownZone : typed;
      const wrong = await problemOf(answers, field);
      const differs = wrong === null && hidden && (await ask('The same again', true)) !== typed;
      if (wrong === null && !differs) break;
      say(wrong ?? 'These were not the same. Once more.');
    }
  return setUpSchema.validate(answers);
}

async function problemOf(answers: Readonly<Record<string, string>>, field: string): Promise<string | null> {
  try {
    await setUpSchema.validateAt(field, answers);
    return null;
  } catch (error) {
    if (error instanceof ValidationError) return error.message;
    throw error;
  }
}
