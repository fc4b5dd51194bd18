import { fireEvent, render, screen } from '@testing-library/react';
import type { ReactNode } from 'react';
import { Button } from './Button';
import { Choice } from './Choice';
import { Switch } from './Switch';
import { Themed } from './Themed.testing';
import { useSpacePresses } from './useSpacePresses';

function WithSpace({ children }: { readonly children: ReactNode }) {
  useSpacePresses();
  return <>{children}</>;
}

test('the space bar chooses and turns as the browser’s own parts do: once, however long it is held', () => {
  const chosen = jest.fn();
  const turned = jest.fn();
  const elsewhere = jest.fn();
  window.addEventListener('keydown', elsewhere);
  render(
    <Themed>
      <WithSpace>
        <Choice label="Side" options={['left', 'right']} chosen={['left']} onChange={chosen} />
        <Choice label="Zones" several options={['chin']} chosen={[]} onChange={chosen} />
        <Switch label="Only if wanted" on={false} onToggle={turned} />
        <Button href="/looks">Looks</Button>
      </WithSpace>
    </Themed>,
  );
  const press = (role: string, name: string, more = {}): boolean =>
    fireEvent.keyDown(screen.getByRole(role, { name }), { key: ' ', ...more });
  expect(press('radio', 'right')).toBe(false);
  expect(press('radio', 'right', { repeat: true })).toBe(false);
  expect(chosen.mock.calls).toEqual([[['right']]]);
  press('checkbox', 'chin');
  expect(chosen).toHaveBeenLastCalledWith(['chin']);
  press('switch', 'Only if wanted');
  expect(turned).toHaveBeenCalledTimes(1);
  press('switch', 'Only if wanted', { ctrlKey: true });
  expect(turned).toHaveBeenCalledTimes(1);
  expect(elsewhere).toHaveBeenCalledTimes(1);
  window.removeEventListener('keydown', elsewhere);
});
