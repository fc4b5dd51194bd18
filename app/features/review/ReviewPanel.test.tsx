import { fireEvent, render, screen } from '@testing-library/react';
import { fitLook, lookTakenDown, patternClient, usualOccasion, usualTaken, type Chart } from '@toile/core';
import { newId } from '@toile/contract';
import { Themed } from '../../ui/Themed.testing';
import { fittingJobs, type ReviewLine } from '../../workers/fittingJobs';
import { ReviewPanel } from './ReviewPanel';

const stamp = { id: newId(), author: 'Ada', at: '2031-05-01T09:00:00Z', reason: '' };
const kit = { products: [], units: [] };
const look = lookTakenDown('Harbour', [usualTaken('base')], stamp, newId);
const fitted = fitLook(
  look,
  patternClient('very deep'),
  kit,
  usualOccasion('party', '2031-05-14'),
  stamp,
).chart;
const heavy: Chart = { ...fitted, steps: fitted.steps.map((step) => ({ ...step, doseMgPerCm2: 2 })) };
const found = fittingJobs
  .review({ chart: heavy, kit, grades: {} })
  .find(({ rule }) => rule === 'heavy-base')!;

/** The panel with one finding; what it shows of another chart, and the chart its fix made. */
function panel(line: ReviewLine) {
  const made: Chart[] = [];
  const of = (chart: Chart) => (
    <Themed>
      <ReviewPanel
        chart={chart}
        kit={kit}
        answer={[line]}
        editable
        onChange={(next) => made.push(next)}
        onSelect={() => undefined}
      />
    </Themed>
  );
  const { rerender } = render(of(heavy));
  return { made, show: (chart: Chart) => rerender(of(chart)) };
}
const INSTEAD = /done instead, what was offered would raise something else/;

beforeEach(() => {
  globalThis.fetch = jest.fn(() => new Promise<Response>(() => undefined));
});

test('a fix that did what it offered says nothing more', () => {
  const { made, show } = panel(found);
  fireEvent.click(screen.getByText('Halve it'));
  show(made[0]!);
  expect(made[0]!.steps[0]!.doseMgPerCm2).toBe(0.75);
  expect(screen.queryByText(INSTEAD)).toBeNull();
});

test('one that did another thing says so, while the chart stands as it was mended', () => {
  const { made, show } = panel({ ...found, fix: 'Take another' });
  fireEvent.click(screen.getByText('Take another'));
  show(made[0]!);
  expect(screen.getByRole('status').textContent).toMatch(/^✓ Halve it: done instead/);
  // Saved it is the same, undone it is not.
  show({ ...made[0]!, version: 2 });
  expect(screen.queryByText(INSTEAD)).not.toBeNull();
  show(heavy);
  expect(screen.queryByText(INSTEAD)).toBeNull();
});
