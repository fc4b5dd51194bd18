import type { Chart } from '@toile/core';
import { chartDraftSaved, newChartWork, readChartDraft, writeChartDraft } from './chartDraft';

const chart = (version: number, name: string): Chart =>
  ({
    id: 'one',
    version,
    parent: version - 1,
    author: 'Ada',
    at: '2031-05-14',
    reason: 'Softer',
    look: { name },
  }) as Chart;

test('what was saved waits no more, also where its page was left before the answer', () => {
  const work = newChartWork(chart(1, 'as changed'), 'Softer');
  writeChartDraft({ begun: chart(1, 'as it was'), work });
  chartDraftSaved(work, chart(2, 'as changed'));
  expect(readChartDraft('one')).toBeNull();
});

test('what was changed since it was sent waits on top of what was saved, with a reason of its own', () => {
  const sent = newChartWork(chart(1, 'as changed'), 'Softer');
  writeChartDraft({ begun: chart(1, 'as it was'), work: { ...sent, chart: chart(1, 'changed again') } });
  chartDraftSaved(sent, chart(2, 'as changed'));
  expect(readChartDraft('one')).toMatchObject({
    begun: { version: 2 },
    work: { chart: { version: 2, parent: 1, look: { name: 'changed again' } }, reason: '', openedAt: 1 },
  });
});

test('where nothing waits nothing is made of it', () => {
  writeChartDraft({ begun: chart(1, 'a'), work: newChartWork(chart(1, 'b')) });
  chartDraftSaved(newChartWork(chart(1, 'b')), { ...chart(2, 'b'), id: 'another' });
  expect(readChartDraft('another')).toBeNull();
  expect(readChartDraft('one')).not.toBeNull();
});
