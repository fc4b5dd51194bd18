import { messages, type FlashGrade } from '@toile/core';

/** How strongly something throws a flash back, in words. */
export const FLASH_WORDS: Readonly<Record<FlashGrade, string>> = messages({
  0: 'nothing',
  1: 'a little',
  2: 'shows',
  3: 'plainly white',
});
