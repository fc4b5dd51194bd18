import { msg, patchState, term, type PatchTest } from '@toile/core';
import { dayInWords, instantInWords } from '../words/dates';

/** How far a test is, in a line: '▲ to be read since Wed 25 Nov, 09:00 · behind the ear'. */
export function patchTestInWords(test: PatchTest, now: Date, today: string): string {
  const state = patchState(test, now, today);
  const where = ` · ${term(test.place)}`;
  switch (state.is) {
    case 'planned':
      return `${state.late ? msg`▲ not laid yet, planned for` : msg`planned for`} ${dayInWords(test.plannedFor, now)}${where}`;
    case 'laid':
    case 'clear so far': {
      const due = instantInWords(state.dueAt.toISOString(), now);
      const so = state.is === 'laid' ? msg`laid` : msg`clear so far`;
      return `${state.late ? msg`▲ ${so}, to be read since` : msg`${so}, to be read`} ${due}${where}`;
    }
    case 'clear':
      return msg`✓ clear after 48 hours${where}`;
    case 'reacted':
      return msg`▲ reacted: not to be used${where}`;
    case 'unsure':
      return msg`▲ not clear: not to be used${where}`;
  }
}
