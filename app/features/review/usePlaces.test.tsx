import { act, render, renderHook, screen } from '@testing-library/react';
import {
  fitLook,
  lookTakenDown,
  patternClient,
  reviewPlaces,
  usualOccasion,
  usualTaken,
  type Chart,
} from '@toile/core';
import { newId } from '@toile/contract';
import { Themed } from '../../ui/Themed.testing';
import { FaceFindings } from '../chart/FaceFindings';
import { usePlaces } from './usePlaces';

const stamp = { id: newId(), author: 'Ada', at: '2031-05-01T09:00:00Z', reason: '' };
const fitted = fitLook(
  lookTakenDown('Harbour', [usualTaken('base'), usualTaken('blush')], stamp, newId),
  patternClient('very deep'),
  { products: [], units: [] },
  usualOccasion('party', '2031-05-14'),
  stamp,
).chart;
/** The blush on one side alone. */
const oneSided: Chart = {
  ...fitted,
  steps: fitted.steps.map((step) =>
    step.role === 'blush'
      ? { ...step, placements: step.placements.map((one) => ({ ...one, side: 'left' })) }
      : step,
  ),
};

test('a chart is there before its places are judged; then they are judged with every change', async () => {
  const { result, rerender } = renderHook(({ chart }) => usePlaces(chart, {}), {
    initialProps: { chart: fitted },
  });
  expect(result.current).toBeNull();
  await act(() => new Promise((resolve) => setTimeout(resolve, 60)));
  expect(result.current).toEqual(reviewPlaces(fitted));
  rerender({ chart: oneSided });
  expect(result.current).not.toEqual([]);
  expect(result.current?.map(({ message }) => message)).toEqual(
    reviewPlaces(oneSided).map(({ message }) => message),
  );
});

test('before they are judged nothing is said of limits that are kept', () => {
  const shown = (findings: Parameters<typeof FaceFindings>[0]['findings']) => (
    <Themed>
      <FaceFindings
        chart={fitted}
        findings={findings}
        editable
        onChange={() => undefined}
        onSelect={() => undefined}
      />
    </Themed>
  );
  const { rerender } = render(shown(null));
  expect(screen.queryByText(/keeps its limits/)).toBeNull();
  expect(screen.getByText('Looking the face over')).toBeTruthy();
  rerender(shown([]));
  expect(screen.getByText(/keeps its limits/)).toBeTruthy();
});
