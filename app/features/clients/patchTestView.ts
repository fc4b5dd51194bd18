import { patchState, type PatchTest } from '@toile/core';
import { dayInWords, instantInWords } from '../words/dates';

/** How far a test is, in a line: '▲ to be read since Wed 25 Nov, 09:00 · behind the ear'. */
export function patchTestInWords(test: PatchTest, now: Date, today: string): string {
  const state = patchState(test, now, today);
  const where = ` · ${test.place}`;
  switch (state.is) {
    case 'planned':
      return `${state.late ? '▲ not laid yet, planned for' : 'planned for'} ${dayInWords(test.plannedFor, now)}${where}`;
    case 'laid':
    case 'clear so far': {
      const due = instantInWords(state.dueAt.toISOString(), now);
      const so = state.is === 'laid' ? 'laid' : 'clear so far';
      return `${state.late ? `▲ ${so}, to be read since` : `${so}, to be read`} ${due}${where}`;
    }
    case 'clear':
      return `✓ clear after 48 hours${where}`;
    case 'reacted':
      return `▲ reacted: not to be used${where}`;
    case 'unsure':
      return `▲ not clear: not to be used${where}`;
  }
}
