import { fireEvent, render, screen } from '@testing-library/react';
import { blankChart, patternClient, type Chart, type Step } from '@toile/core';
import { Themed } from '../../ui/Themed.testing';
import { FitNotes } from './FitNotes';

const id = (n: number): string => `0190a3c2-0000-7000-8000-${String(n).padStart(12, '0')}`;
const blank = blankChart(
  { ...patternClient('medium'), name: 'Ilse Moor' },
  { kind: 'trial', date: '2031-05-14', lights: ['daylight'], hoursToLast: 5, camera: false },
  { id: id(1), author: 'Ada', at: '2031-05-01T09:00:00Z', reason: '' },
  id(2),
);
const step: Step = {
  id: id(3),
  phase: 'base',
  role: 'base',
  title: 'Base',
  shade: null,
  wants: { kinds: ['base'] },
  placements: [],
  doseMgPerCm2: 1,
  passes: 1,
  tool: 'damp sponge',
  technique: 'press',
  handsOnMinutes: 5,
  waitMinutes: 0,
  note: '',
  use: [],
};
const chartWith = (...kinds: Step['wants']['kinds'][]): Chart => ({
  ...blank,
  steps: kinds.map((kind, i) => ({ ...step, id: id(10 + i), wants: { kinds: kind } })),
});
const show = (chart: Chart, ...notes: string[]): void =>
  void render(
    <Themed>
      <FitNotes chart={chart} notes={notes} />
    </Themed>,
  );

test('nothing to say says nothing; one short sentence is read at once', () => {
  show(chartWith(['base']));
  expect(screen.queryByRole('group')).toBeNull();
  show(chartWith(['base']), 'The base was moved.');
  expect(screen.getByText('▲ The base was moved.')).toBeTruthy();
  expect(screen.queryByRole('button')).toBeNull();
});

test('more is one line of what the kit lacks, and all of it a touch away', () => {
  show(chartWith(['base'], ['powder'], []), 'Base: nothing.', 'Powder: nothing.', 'Something was moved.');
  expect(screen.getByText('▲ 2 steps have no product.')).toBeTruthy();
  expect(screen.queryByText('▲ Something was moved.')).toBeNull();
  fireEvent.click(screen.getByRole('button', { name: 'All 3 things the fit says' }));
  for (const note of ['Base: nothing.', 'Powder: nothing.', 'Something was moved.'])
    expect(screen.getByText(`▲ ${note}`)).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'Close what the fit says' }));
  expect(screen.queryByText('▲ Base: nothing.')).toBeNull();
});

test('where the kit lacks nothing the first of several stands there', () => {
  show(chartWith([]), 'Lid moved.', 'Lip moved.');
  expect(screen.getByText('▲ Lid moved.')).toBeTruthy();
  expect(screen.queryByText('▲ Lip moved.')).toBeNull();
});

test.each([
  [140, null],
  [141, 'All of it'],
])('one of %d letters: %s', (length, opener) => {
  show(chartWith([]), 'x'.repeat(length));
  expect(screen.queryByRole('button')?.textContent ?? null).toBe(opener);
});
