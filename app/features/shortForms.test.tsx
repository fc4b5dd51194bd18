import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import { SWRConfig } from 'swr';
import type { MemberAnswer, SessionAnswer } from '@toile/contract';
import type { Product, Unit } from '@toile/core';
import { Themed } from '../ui/Themed.testing';
import { UnitForm } from './kit/UnitForm';
import { MemberDialog } from './team/MemberDialog';

const ID = '0190a000-0000-7000-8000-000000000001';
let sent: { body: object; revision: string }[];
let refuse: boolean;
beforeEach(() => {
  sent = [];
  refuse = false;
  globalThis.fetch = jest.fn((_url: string, init: RequestInit) => {
    sent.push({
      body: JSON.parse(String(init.body)) as object,
      revision: (init.headers as Record<string, string>)['if-match']!,
    });
    return Promise.resolve({
      ok: !refuse,
      status: refuse ? 409 : 200,
      json: () => Promise.resolve(refuse ? { code: 'stale', title: 'Someone else saved.' } : {}),
    } as Response);
  }) as unknown as typeof fetch;
});
const shown = (element: React.ReactElement) => (
  <SWRConfig value={{ provider: () => new Map() }}>
    <Themed>{element}</Themed>
  </SWRConfig>
);
const type = (label: string, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });
const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));

const unit = (place: string): Unit => ({ id: ID, productId: ID, openedOn: null, remainingMg: 900, place });

test('a unit: what was not touched is what somebody else saved meanwhile, what was typed stands over it', async () => {
  const done = jest.fn();
  const form = (place: string, revision: number) =>
    shown(
      <UnitForm start={unit(place)} product={{ shade: 'T5' } as Product} revision={revision} onDone={done} />,
    );
  const { rerender } = render(form('case 1', 1));
  type('Opened on', '2031-05-14');
  refuse = true;
  press('Save the unit');
  await screen.findByText(/Someone else saved/);
  expect(done).not.toHaveBeenCalled();
  rerender(form('case 4', 2));
  expect(screen.getByLabelText('Where it is')).toHaveProperty('value', 'case 4');
  refuse = false;
  press('Save the unit');
  await waitFor(() => expect(done).toHaveBeenCalled());
  expect(sent.at(-1)).toMatchObject({ body: { openedOn: '2031-05-14', place: 'case 4' }, revision: '"2"' });
});

const member = (role: MemberAnswer['role'], revision: number): MemberAnswer => ({
  id: ID,
  name: 'Runa Dell',
  email: 'runa@reed.example',
  role,
  revision,
  deactivatedAt: null,
  self: false,
});

test('somebody of the team: a new name gives back no right that was taken meanwhile', async () => {
  const done = jest.fn();
  const dialog = (role: MemberAnswer['role'], revision: number) =>
    shown(<MemberDialog member={member(role, revision)} session={{} as SessionAnswer} onClose={done} />);
  const { rerender } = render(dialog('artist', 1));
  type('Name', 'Runa Castellane');
  rerender(dialog('assistant', 2));
  press('Save');
  await waitFor(() => expect(done).toHaveBeenCalled());
  expect(sent[0]).toMatchObject({ body: { name: 'Runa Castellane', role: 'assistant' }, revision: '"2"' });
});
