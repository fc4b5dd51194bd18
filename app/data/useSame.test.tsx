import { renderHook } from '@testing-library/react';
import { useSame } from './useSame';

test('a copy that says the same is the one from before, and what says something else is itself', () => {
  const { result, rerender } = renderHook(({ value }) => useSame(value), {
    initialProps: { value: { dose: 1, steps: ['base'] } },
  });
  const first = result.current;
  rerender({ value: { dose: 1, steps: ['base'] } });
  expect(result.current).toBe(first);
  const other = { dose: 2, steps: ['base'] };
  rerender({ value: other });
  expect(result.current).toBe(other);
  rerender({ value: { dose: 2, steps: ['base'] } });
  expect(result.current).toBe(other);
});
