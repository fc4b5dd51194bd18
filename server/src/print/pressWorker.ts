import type { Language } from '@toile/languages';
import { inLanguage } from '../http/language';
import { printed, type PrintJob } from './jobs';

/** What is made, and in whose language. */
export type PressWork = { readonly job: PrintJob; readonly language: Language };

/** What a thread of the press runs: one piece of work at a time. */
export default function work({ job, language }: PressWork): Promise<Uint8Array> {
  return inLanguage(language, () => printed(job));
}
