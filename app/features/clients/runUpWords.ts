import type { RunUpState } from '@toile/core';
import { messages } from '@toile/core';

/** Where a task of a run-up stands, behind its name. */
export const RUN_UP_STATE_WORDS: Readonly<Record<RunUpState, string>> = messages({
  done: 'done',
  late: '▲ late',
  now: 'now',
  'to come': '',
  missed: 'too late when it was booked',
});
