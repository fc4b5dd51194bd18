import { printed, type PrintJob } from './jobs';

/** What a thread of the press runs: one piece of work at a time. */
export default function work(job: PrintJob): Promise<Uint8Array> {
  return printed(job);
}
