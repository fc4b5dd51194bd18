import { fireEvent, render, screen } from '@testing-library/react';
import type { ClientAnswer } from '@toile/contract';
import { dropAllForms } from '../../data/drafts';
import { useDraft } from '../../data/useDraft';
import { BegunClient, type Begun } from './BegunClient';

const saved = (revision: number): ClientAnswer =>
  ({ id: 'perpetua', revision, name: `Saved ${revision}` }) as unknown as ClientAnswer;
let mockClient: ClientAnswer;
jest.mock('../../data/hooks', () => ({ useClient: () => ({ data: mockClient }) }));
jest.mock('expo-router', () => ({ useRouter: () => ({}) }));

function Form({ client, newest, take }: Begun) {
  const { value, set, drop } = useDraft(`talk ${client.id} ${client.revision}`, () => client.name);
  return (
    <>
      <p>{`${value}, from ${client.revision}`}</p>
      <input aria-label="Said" value="" onChange={({ target }) => set(target.value)} />
      <button onClick={() => (drop(), take(newest))}>Begin anew</button>
    </>
  );
}
const type = (value: string) => fireEvent.change(screen.getByLabelText('Said'), { target: { value } });
function open() {
  const form = () => (
    <BegunClient id="perpetua" title="First talk" draft="talk">
      {(begun) => <Form {...begun} />}
    </BegunClient>
  );
  const { rerender, unmount } = render(form());
  return {
    unmount,
    isSaved: (revision: number): void => {
      mockClient = saved(revision);
      rerender(form());
    },
  };
}
beforeEach(() => {
  dropAllForms();
  mockClient = saved(1);
});
afterEach(() => jest.restoreAllMocks());

test('a form nothing was typed into follows what is saved meanwhile', () => {
  const { isSaved } = open();
  isSaved(2);
  expect(screen.getByText('Saved 2, from 2')).toBeTruthy();
});

test.each([true, false])('what was typed stays on what it began from; the device keeps it: %s', (keeps) => {
  if (!keeps)
    jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
  const { isSaved } = open();
  type('A peel in May');
  isSaved(2);
  expect(screen.getByText('A peel in May, from 1')).toBeTruthy();
  fireEvent.click(screen.getByText('Begin anew'));
  expect(screen.getByText('Saved 2, from 2')).toBeTruthy();
  isSaved(3);
  expect(screen.getByText('Saved 3, from 3')).toBeTruthy();
});

test('what waits from an earlier visit is taken up at its revision and stays there', () => {
  const before = open();
  type('A peel in May');
  before.unmount();
  mockClient = saved(4);
  const { isSaved } = open();
  expect(screen.getByText('A peel in May, from 1')).toBeTruthy();
  isSaved(5);
  expect(screen.getByText('A peel in May, from 1')).toBeTruthy();
});
