import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import { SWRConfig } from 'swr';
import type { StudioSettings } from '@toile/contract';
import { Themed } from '../../ui/Themed.testing';
import { StudioZone } from './StudioZone';

let sent: { body: StudioSettings; revision: string }[];
let refuse: boolean;
beforeEach(() => {
  sent = [];
  refuse = false;
  globalThis.fetch = jest.fn((_url: string, init: RequestInit) => {
    const body = JSON.parse(String(init.body)) as StudioSettings;
    sent.push({ body, revision: (init.headers as Record<string, string>)['if-match']! });
    return Promise.resolve({
      ok: !refuse,
      status: refuse ? 409 : 200,
      json: () =>
        Promise.resolve(
          refuse ? { code: 'stale', title: 'Someone else saved.' } : { settings: body, revision: 2 },
        ),
    } as Response);
  }) as unknown as typeof fetch;
});
const open = (settings: StudioSettings, mayChange = true) =>
  render(
    <SWRConfig value={{ provider: () => new Map() }}>
      <Themed>
        <StudioZone answer={{ settings, revision: 1 }} mayChange={mayChange} />
      </Themed>
    </SWRConfig>,
  );
const press = (name: string): void => void fireEvent.click(screen.getByRole('button', { name }));
const keep = () => screen.getByRole('button', { name: 'Keep to this zone' });

test('a zone is kept, beside all else that is set, from the revision shown', async () => {
  open({ ruleGrades: { allergen: 'stop' }, schools: {} });
  press('Keep to one zone');
  fireEvent.change(screen.getByLabelText('Time zone'), { target: { value: 'Pacific/Auckland' } });
  press('Keep to this zone');
  await waitFor(() => expect(sent).toHaveLength(1));
  expect(sent[0]).toEqual({
    body: { ruleGrades: { allergen: 'stop' }, schools: {}, zone: 'Pacific/Auckland' },
    revision: '"1"',
  });
  await waitFor(() => expect(screen.queryByLabelText('Time zone')).toBeNull());
});

test.each([
  ['Europe/Atlantis', true],
  ['', true],
  ['Europe/Lisbon', false],
])('%p cannot be kept: %p', (zone, refused) => {
  open({ ruleGrades: {} });
  press('Keep to one zone');
  fireEvent.change(screen.getByLabelText('Time zone'), { target: { value: zone } });
  expect(keep().getAttribute('aria-disabled') === 'true' || keep().hasAttribute('disabled')).toBe(refused);
  expect(screen.queryByText(/No zone by that name/) !== null).toBe(refused && zone !== '');
  fireEvent.click(keep());
  expect(sent).toHaveLength(refused ? 0 : 1);
});

test('back to each device’s own days: the zone goes, the rest stays', async () => {
  open({ ruleGrades: { allergen: 'stop' }, zone: 'Asia/Tokyo' });
  expect(screen.getByText(/Asia\/Tokyo, on every device/)).toBeTruthy();
  press('As each device');
  await waitFor(() => expect(sent[0]?.body).toEqual({ ruleGrades: { allergen: 'stop' } }));
});

test('what someone else saved first is told, and what was typed stays', async () => {
  refuse = true;
  open({ ruleGrades: {} });
  press('Keep to one zone');
  fireEvent.change(screen.getByLabelText('Time zone'), { target: { value: 'Asia/Tokyo' } });
  press('Keep to this zone');
  expect((await screen.findByRole('alert')).textContent).toContain('Someone else saved.');
  expect(screen.getByLabelText<HTMLInputElement>('Time zone').value).toBe('Asia/Tokyo');
});

test('whoever may not change it reads it', () => {
  open({ ruleGrades: {}, zone: 'Asia/Tokyo' }, false);
  expect(screen.getByText(/Asia\/Tokyo/)).toBeTruthy();
  expect(screen.queryAllByRole('button')).toEqual([]);
});
