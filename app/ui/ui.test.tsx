import { fireEvent, render, screen } from '@testing-library/react';
import type { ReactElement } from 'react';
import { contrastRatio, hexToSrgb } from '@toile/core';
import { Button, Choice, Field, Ready, Stepper, Swatch } from '.';
import { config } from './tamagui.config';
import { Themed } from './Themed.testing';

const draw = (element: ReactElement) => render(<Themed>{element}</Themed>);

test('a remote value is drawn waiting, failed with a way to retry, and ready', () => {
  const retry = jest.fn();
  const view = (remote: { data?: string; error?: Error }) => (
    <Themed>
      <Ready remote={{ data: remote.data, error: remote.error, retry }}>
        {(data) => <span>{data}</span>}
      </Ready>
    </Themed>
  );
  const { rerender } = render(view({}));
  expect(screen.getByRole('status').textContent).toContain('One moment');
  rerender(view({ error: new Error('The studio cannot be reached.') }));
  expect(screen.getByRole('alert').textContent).toContain('cannot be reached');
  fireEvent.click(screen.getByRole('button', { name: 'Try again' }));
  expect(retry).toHaveBeenCalledTimes(1);
  rerender(view({ data: 'here', error: new Error('later') }));
  expect(screen.getByText('here')).toBeTruthy();
});

test('a field ties its error to itself', () => {
  const onChange = jest.fn();
  draw(<Field label="Nose length" unit="mm" value="3" onChange={onChange} error="outside 30 to 70 mm" />);
  const input = screen.getByLabelText('Nose length, mm');
  expect(input.getAttribute('aria-invalid')).toBe('true');
  expect(document.getElementById(input.getAttribute('aria-errormessage')!)!.textContent).toContain(
    'outside 30 to 70 mm',
  );
  fireEvent.change(input, { target: { value: '48' } });
  expect(onChange).toHaveBeenCalledWith('48');
});

test('one choice replaces, several add and take away', () => {
  const one = jest.fn();
  const several = jest.fn();
  draw(
    <>
      <Choice label="Eyes" options={['round', 'almond']} chosen={['round']} onChange={one} />
      <Choice label="Lines" several options={['smile', 'lip']} chosen={['smile']} onChange={several} />
    </>,
  );
  expect(screen.getByRole('radio', { name: 'round' }).getAttribute('aria-checked')).toBe('true');
  fireEvent.click(screen.getByRole('radio', { name: 'almond' }));
  expect(one).toHaveBeenCalledWith(['almond']);
  fireEvent.click(screen.getByRole('checkbox', { name: 'lip' }));
  expect(several).toHaveBeenLastCalledWith(['smile', 'lip']);
  fireEvent.click(screen.getByRole('checkbox', { name: 'smile' }));
  expect(several).toHaveBeenLastCalledWith([]);
});

test('a stepper is held between its ends', () => {
  const onChange = jest.fn();
  draw(
    <Stepper label="Reach" value={157} unit="%" minimum={30} maximum={160} step={5} onChange={onChange} />,
  );
  fireEvent.click(screen.getByRole('button', { name: 'Reach: more' }));
  expect(onChange).toHaveBeenLastCalledWith(160);
  fireEvent.click(screen.getByRole('button', { name: 'Reach: less' }));
  expect(onChange).toHaveBeenLastCalledWith(152);
});

test('a disabled button does nothing, and a swatch names what it shows', () => {
  const press = jest.fn();
  draw(
    <>
      <Button disabled onPress={press}>
        Save
      </Button>
      <Swatch lab={[60, 12, 18]} beside={[62, 12, 18]} label="proposed beside the skin" />
    </>,
  );
  fireEvent.click(screen.getByRole('button', { name: 'Save' }));
  expect(press).not.toHaveBeenCalled();
  expect(screen.getByRole('img', { name: 'proposed beside the skin' })).toBeTruthy();
});

const contrast = (a: string, b: string): number => contrastRatio(hexToSrgb(a), hexToSrgb(b));

test.each(['light', 'dark'] as const)(
  'in the %s theme every text and dye has a contrast of 4.5 on every surface, and surfaces are neutral',
  (name) => {
    const theme = Object.fromEntries(
      Object.entries(config.themes[name]).map(([key, variable]) => [key, String(variable.val)]),
    );
    for (const text of ['ink', 'inkSoft', 'woad', 'madder', 'weld', 'moss']) {
      for (const surface of ['background', 'surface', 'raised'])
        expect({ text, surface, enough: contrast(theme[text]!, theme[surface]!) >= 4.5 }).toEqual({
          text,
          surface,
          enough: true,
        });
    }
    expect(contrast(theme.onWoad!, theme.woad!)).toBeGreaterThanOrEqual(4.5);
    expect(contrast(theme.onInk!, theme.ink!)).toBeGreaterThanOrEqual(4.5);
    for (const surface of ['background', 'surface', 'raised', 'judged'])
      expect(theme[surface]).toMatch(/^#(..)\1\1$/);
  },
);

test.each(['light', 'dark'] as const)('in the %s theme a handle stands out at 3:1 on anything', (name) => {
  const { surface, ink } = config.themes[name];
  for (let level = 0; level < 256; level++) {
    const grey = `#${level.toString(16).padStart(2, '0').repeat(3)}`;
    const clearest = Math.max(contrast(String(surface.val), grey), contrast(String(ink.val), grey));
    expect({ grey, enough: clearest >= 3 }).toEqual({ grey, enough: true });
  }
});
