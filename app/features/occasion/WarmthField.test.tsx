import { fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { usualOccasion, type Occasion } from '@toile/core';
import { Themed } from '../../ui/Themed.testing';
import { tellInManner } from '../words/dates';
import { WarmthField } from './WarmthField';

let now: Occasion;
function Asked({ from }: { readonly from: Occasion }) {
  const [occasion, setOccasion] = useState(from);
  return (
    <Themed>
      <WarmthField
        value={occasion}
        onChange={(next) => {
          now = next;
          setOccasion(next);
        }}
      />
    </Themed>
  );
}
afterEach(() => tellInManner(null));
const type = (unit: string, text: string): void =>
  void fireEvent.change(screen.getByLabelText(`Warmest it will be, ${unit}`), { target: { value: text } });
const open = (conditions: Occasion['conditions']): void => {
  now = { ...usualOccasion('wedding', '2031-05-14'), conditions };
  render(<Asked from={now} />);
};

test.each([
  ['°C', '26.9', false],
  ['°C', '27', true],
  ['°C', '27,5', true],
  ['°C', '-3', false],
  ['°F', '80', false],
  ['°F', '81', true],
] as const)('in %s %s is heat: %p', (unit, text, heat) => {
  tellInManner({ temperature: unit });
  open(['tears', 'heat']);
  type(unit, text);
  expect(now.conditions!.includes('heat')).toBe(heat);
  // What else the day brings stays.
  expect(now.conditions).toContain('tears');
  expect(screen.getByRole('status').textContent).toBe(
    heat ? 'That is heat: it is minded.' : 'That is no heat.',
  );
});

test.each(['300', 'warm', '-60'])('%p is told beside the field and changes nothing', (text) => {
  open(['heat', 'tears']);
  const before = now;
  type('°C', text);
  expect(now).toBe(before);
  expect(screen.getByText(/A temperature in °C, as 31/)).toBeTruthy();
  type('°C', '');
  expect(screen.queryByText(/A temperature in/)).toBeNull();
});

test('heat is named once, however often it is typed', () => {
  open(['tears']);
  for (const text of ['30', '31', '32']) type('°C', text);
  expect(now.conditions!.filter((one) => one === 'heat')).toHaveLength(1);
});
