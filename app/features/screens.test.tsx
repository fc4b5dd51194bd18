import { act, fireEvent, render, screen, waitFor } from '@testing-library/react';
import type { ReactElement } from 'react';
import { SWRConfig } from 'swr';
import type { Role } from '@toile/contract';
import { navigate } from '../router.testing';
import { Themed } from '../ui/Themed.testing';
import { ClientScreen } from './clients/ClientScreen';
import { ClientsList } from './clients/ClientsList';
import { Mishap } from './frame/Mishap';
import { KitScreen } from './kit/KitScreen';
import { LooksList } from './looks/LooksList';
import { LookScreen } from './looks/LookScreen';
import { PalettesScreen } from './palettes/PalettesScreen';
import { PartiesList } from './parties/PartiesList';
import { PartyScreen } from './parties/PartyScreen';
import { RulesScreen } from './review/RulesScreen';
import { SettingsScreen } from './settings/SettingsScreen';
import { TodayScreen } from './today/TodayScreen';

// What each address answers; an address that is not here never answers.
type Answers = Readonly<Record<string, unknown>>;
const session = (role: Role) => ({
  name: 'Ada',
  email: 'ada@post.example',
  role,
  studio: { id: '1', name: 'Quay' },
});
let answers: Answers;
let failing: boolean;
let asked: string[];
beforeEach(() => {
  navigate.mockReset();
  failing = false;
  asked = [];
  globalThis.fetch = jest.fn((url: string) => {
    const path = url.replace(/\?.*/, '');
    asked.push(path);
    if (failing) return Promise.reject(new TypeError('Failed to fetch'));
    if (!(path in answers)) return new Promise<Response>(() => undefined);
    return Promise.resolve({ ok: true, status: 200, json: () => Promise.resolve(answers[path]) } as Response);
  }) as unknown as typeof fetch;
});

const open = (element: ReactElement) =>
  render(
    <Themed>
      <SWRConfig value={{ provider: () => new Map(), dedupingInterval: 0, shouldRetryOnError: false }}>
        {element}
      </SWRConfig>
    </Themed>,
  );

const DAY = '2031-05-14';
const visit = {
  id: '7',
  clientId: '3',
  clientName: 'Ilse Moor',
  kind: 'trial',
  date: DAY,
  startsAt: '09:00',
  readyBy: null,
  place: 'Quay',
  partyId: null,
  chartId: null,
};
const look = {
  id: '5',
  name: 'Lamplight',
  description: 'Warm',
  version: 1,
  tags: [],
  minutes: 40,
  stepCount: 3,
};
const party = { id: '4', name: 'Skerry wedding', date: DAY, place: 'Skerry', peopleCount: 1 };
const settings = { settings: { ruleGrades: {} }, revision: 0 };

type Case = {
  readonly name: string;
  readonly element: ReactElement;
  /** The address whose answer it waits for. */
  readonly waits: string;
  /** What that address answers when there is nothing, and what is said then. */
  readonly empty?: { readonly body: unknown; readonly says: RegExp };
  readonly ready: { readonly body: unknown; readonly says: RegExp };
  /** What only some may do, by the button's words. */
  readonly may?: { readonly button: RegExp; readonly not: readonly Role[] };
  readonly beside?: Answers;
};
const CASES: readonly Case[] = [
  {
    name: 'Today',
    element: <TodayScreen />,
    waits: '/api/today',
    beside: { '/api/clients': [], '/api/kit': { products: [], units: [] } },
    empty: {
      // As a device may have kept it from before parties were told.
      body: { date: DAY, visits: [], due: [] },
      says: /Four steps lead to a first chart/,
    },
    ready: { body: { date: DAY, visits: [visit], parties: [], due: [] }, says: /Ilse Moor/ },
  },
  {
    name: 'Today with a party and nobody booked',
    element: <TodayScreen />,
    waits: '/api/today',
    beside: { '/api/clients': [], '/api/kit': { products: [], units: [] } },
    ready: {
      body: { date: DAY, visits: [], parties: [{ ...party, begins: '07:30' }], due: [] },
      says: /07:30 Skerry wedding/,
    },
  },
  {
    name: 'Today with nothing booked and something due',
    element: <TodayScreen />,
    waits: '/api/today',
    beside: { '/api/clients': [], '/api/kit': { products: [], units: [] } },
    ready: {
      body: {
        date: DAY,
        visits: [],
        parties: [],
        due: [{ kind: 'expired', words: 'Ordway Veil V1 is past its date', clientId: null }],
      },
      says: /Ordway Veil V1 is past its date/,
    },
  },
  {
    name: 'Clients',
    element: <ClientsList />,
    waits: '/api/clients',
    empty: { body: [], says: /The studio has no clients yet/ },
    ready: {
      body: [{ id: '3', name: 'Ilse Moor', skin: null, lastRead: null, nextVisit: null, chartCount: 0 }],
      says: /Ilse Moor/,
    },
    may: { button: /New client/, not: ['assistant'] },
  },
  {
    name: 'Looks',
    element: <LooksList />,
    waits: '/api/looks',
    empty: { body: [], says: /No looks yet/ },
    ready: { body: [look], says: /Lamplight/ },
  },
  {
    name: 'Kit',
    element: <KitScreen />,
    waits: '/api/kit',
    empty: { body: { products: [], units: [], revisions: {} }, says: /The kit is empty/ },
    ready: {
      body: {
        products: [
          {
            id: '9',
            maker: 'Ordway',
            line: 'Veil',
            shade: 'V1',
            kind: 'base',
            lab: [60, 12, 18],
            coverage: 'medium',
            finish: 'natural',
            texture: 'liquid',
            family: 'silicone',
            ingredients: [],
            measure: 'pump',
            mgPerMeasure: 100,
            tintingStrength: 1,
            monthsAfterOpening: 12,
            withdrawn: false,
            singleUse: false,
            eyeSafe: false,
          },
        ],
        units: [],
        revisions: {},
      },
      says: /Veil V1/,
    },
    may: { button: /Add a product|Bring in a file/, not: ['assistant'] },
  },
  {
    name: 'Palettes',
    element: <PalettesScreen />,
    waits: '/api/palettes',
    empty: { body: [], says: /No palettes yet/ },
    ready: {
      body: [{ palette: { id: '8', name: 'Creams', rows: 2, columns: 3, pans: [] }, revision: 1 }],
      says: /Creams/,
    },
    may: { button: /Add a palette/, not: ['assistant'] },
    beside: { '/api/kit': { products: [], units: [], revisions: {} } },
  },
  {
    name: 'Parties',
    element: <PartiesList />,
    waits: '/api/parties',
    empty: { body: [], says: /No parties yet/ },
    ready: { body: [party], says: /Skerry wedding/ },
  },
  {
    name: 'Party',
    element: <PartyScreen id="4" />,
    waits: '/api/parties/4',
    ready: { body: { ...party, notes: 'By ferry', visits: [visit] }, says: /By ferry/ },
  },
  {
    name: 'Rules',
    element: <RulesScreen />,
    waits: '/api/settings',
    ready: { body: settings, says: /practices are looked for in every chart/ },
  },
  {
    name: 'Settings',
    element: <SettingsScreen />,
    waits: '/api/session',
    ready: { body: session('owner'), says: /ada@post.example/ },
    may: { button: /Save the studio/, not: ['assistant', 'artist'] },
    beside: { '/api/settings': settings },
  },
];
const around = (role: Role, one: Case, body?: unknown): Answers => ({
  '/api/session': session(role),
  ...one.beside,
  ...(body === undefined ? {} : { [one.waits]: one.waits === '/api/session' ? session(role) : body }),
});

test.each(CASES)('$name says that it waits', async (one) => {
  answers = Object.fromEntries(Object.entries(around('owner', one)).filter(([path]) => path !== one.waits));
  open(one.element);
  await waitFor(() => expect(asked).toContain(one.waits));
  expect(screen.getAllByRole('status')[0]!.textContent).toContain('One moment');
  expect(screen.queryByText(one.ready.says)).toBeNull();
});

test.each(CASES)('$name says what went wrong, and comes when it is tried again', async (one) => {
  answers = around('owner', one, one.ready.body);
  failing = true;
  open(one.element);
  const [alert] = await screen.findAllByRole('alert');
  expect(alert!.textContent).toContain('The studio cannot be reached. Check the connection and try again.');
  failing = false;
  for (const again of screen.getAllByRole('button', { name: 'Try again' })) fireEvent.click(again);
  expect((await screen.findAllByText(one.ready.says)).length).toBeGreaterThan(0);
});

test.each(CASES.filter((c) => c.empty))('$name says what to do where there is nothing', async (one) => {
  answers = around('owner', one, one.empty!.body);
  open(one.element);
  expect((await screen.findAllByText(one.empty!.says)).length).toBeGreaterThan(0);
  expect(screen.queryByRole('alert')).toBeNull();
});

test.each(CASES)('$name shows what there is', async (one) => {
  answers = around('owner', one, one.ready.body);
  open(one.element);
  expect((await screen.findAllByText(one.ready.says)).length).toBeGreaterThan(0);
  expect(screen.queryByRole('alert')).toBeNull();
});

const rights = CASES.flatMap((one) =>
  one.may
    ? (['owner', 'artist', 'assistant'] as const).flatMap((role) =>
        [one.ready.body, ...(one.empty ? [one.empty.body] : [])].map((body, i) => ({
          one,
          role,
          body,
          name: one.name,
          filled: i === 0 ? 'filled' : 'empty',
          says: i === 0 ? one.ready.says : one.empty!.says,
          offered: !one.may!.not.includes(role),
        })),
      )
    : [],
);
test.each(rights)(
  '$name, $filled, offers its $role what is theirs to do',
  async ({ one, role, body, says, offered }) => {
    answers = around(role, one, body);
    open(one.element);
    await screen.findAllByText(says);
    // Who is asking is known by now: what is missing is not merely late.
    await act(() => new Promise((resolve) => setTimeout(resolve, 30)));
    await waitFor(() =>
      expect(screen.queryAllByRole('button', { name: one.may!.button }).length > 0).toBe(offered),
    );
  },
);

describe('what may not be there', () => {
  test.each([
    ['a client', <ClientScreen key="c" id="3" />, '/api/clients/3'],
    ['a look', <LookScreen key="l" id="5" />, '/api/looks/5'],
  ] as const)('%s that is gone is told', async (_what, element, path) => {
    answers = { '/api/session': session('owner') };
    globalThis.fetch = jest.fn((url: string) =>
      Promise.resolve(
        url.startsWith(path)
          ? ({
              ok: false,
              status: 404,
              json: () =>
                Promise.resolve({
                  code: 'not-found',
                  title: 'There is nothing here by that id.',
                  status: 404,
                }),
            } as Response)
          : ({ ok: true, status: 200, json: () => Promise.resolve(session('owner')) } as Response),
      ),
    ) as unknown as typeof fetch;
    open(element);
    expect((await screen.findAllByText(/There is nothing here by that id/)).length).toBeGreaterThan(0);
  });
});

test('a place that stumbles says what it said and what is kept, and opens again', async () => {
  const retry = jest.fn(() => Promise.resolve());
  open(<Mishap error={new Error('steps is not iterable')} retry={retry} />);
  const alert = screen.getByRole('alert').textContent;
  expect(alert).toContain('steps is not iterable');
  expect(alert).toContain('kept on this device');
  fireEvent.click(screen.getByRole('button', { name: 'Open it again' }));
  await waitFor(() => expect(retry).toHaveBeenCalledTimes(1));
});
