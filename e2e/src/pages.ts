import type { Page } from 'playwright-core';
import { openClient } from './browser';

/** Waits until a page has been read and drawn. */
export const drawn = async (page: Page): Promise<void> => {
  await page.getByRole('heading', { level: 1 }).first().waitFor();
  await page.getByRole('progressbar').first().waitFor({ state: 'detached' });
  await page.waitForTimeout(500);
};

/** What the demo studio has one of at an address of its own. */
export type Ids = {
  readonly client: string;
  readonly chart: string;
  readonly look: string;
  readonly product: string;
  readonly palette: string;
  readonly party: string;
  readonly sealed: string;
  readonly decided: string;
};

/** Every page of the app, by its address. */
export const PAGES: readonly [name: string, path: (ids: Ids) => string][] = [
  ['Today', () => '/'],
  ['clients', () => '/clients'],
  ['new client', () => '/clients/new'],
  ['enquiry', () => '/clients/enquiry'],
  ['client', ({ client }) => `/clients/${client}`],
  ['first talk', ({ client }) => `/clients/${client}/consult`],
  ['client edited', ({ client }) => `/clients/${client}/edit`],
  ['face traced', ({ client }) => `/clients/${client}/trace`],
  ['skin over time', ({ client }) => `/clients/${client}/skin`],
  ['shades', ({ client }) => `/clients/${client}/shades`],
  ['skin read', ({ client }) => `/clients/${client}/read`],
  ['look fitted', ({ client }) => `/clients/${client}/fit`],
  ['looks', () => '/looks'],
  ['new look', () => '/looks/new'],
  ['looks brought in', () => '/looks/import'],
  ['look', ({ look }) => `/looks/${look}`],
  ['look edited', ({ look }) => `/looks/${look}/edit`],
  ['look fitted to several', ({ look }) => `/looks/${look}/fit`],
  ['kit', () => '/kit'],
  ['new product', () => '/kit/new'],
  ['shade map', () => '/kit/map'],
  ['kit import', () => '/kit/import'],
  ['which pan', () => '/kit/identify'],
  ['read the kit', () => '/kit/colours'],
  ['palettes', () => '/kit/palettes'],
  ['palette', ({ palette }) => `/kit/palettes/${palette}`],
  ['product', ({ product }) => `/kit/products/${product}`],
  ['product edited', ({ product }) => `/kit/products/${product}/edit`],
  ['substitute', ({ product }) => `/kit/products/${product}/substitute`],
  ['parties', () => '/parties'],
  ['party', ({ party }) => `/parties/${party}`],
  ['settings', () => '/settings'],
  ['team', () => '/team'],
  ['letters', () => '/letters'],
  ['a link that has ended', () => '/join'],
  ['a link to answer by that has ended', () => '/intake'],
  ['rules', () => '/rules'],
  ['import', () => '/import'],
  ['chart', ({ chart }) => `/charts/${chart}`],
  ['charts compared', ({ chart }) => `/charts/${chart}/compare`],
  ['look of a chart', ({ chart }) => `/charts/${chart}/look`],
  ['chart under light', ({ chart }) => `/charts/${chart}/light`],
  ['chart repeated', ({ chart }) => `/charts/${chart}/repeat`],
  ['how a chart wears', ({ chart }) => `/charts/${chart}/wear`],
  ['how things hold', () => '/holds'],
  ['take a look down', () => '/looks/take-down'],
  ['lesson', ({ chart }) => `/charts/${chart}/lesson`],
  ['compact', ({ chart }) => `/charts/${chart}/compact`],
  ['photographs of a chart', ({ chart }) => `/charts/${chart}/photos`],
  ['judged from photographs', ({ sealed }) => `/trials/${sealed}/photos`],
  ['half-face trial declared', ({ chart }) => `/charts/${chart}/trial`],
  ['half-face trial sealed', ({ sealed }) => `/trials/${sealed}`],
  ['half-face trial decided', ({ decided }) => `/trials/${decided}`],
  ['questions tried', () => '/trials'],
  ['practice', () => '/practice'],
  ['a line practised', () => '/practice/contour'],
  ['pans practised', () => '/practice/pans-depth'],
  ['correctors practised', () => '/practice/corrector'],
  ['no such page', () => '/nowhere'],
];

/** Finds them as a user would, from the page of a client. */
export async function findIds(page: Page): Promise<Ids> {
  await openClient(page, 'Isaura Penhallow');
  const client = new URL(page.url()).pathname.split('/')[2]!;
  const chart = (await page
    .locator('a[href^="/charts/"]', { hasText: 'Harbour Morning' })
    .first()
    .getAttribute('href'))!.split('/')[2]!;
  const first = (path: string, key = ''): Promise<string> =>
    page.evaluate(
      async ([address, list]) => {
        const answer = (await (await fetch(`/api${address}`)).json()) as Record<string, { id: string }[]>;
        const all = list === '' ? (answer as unknown as { id: string }[]) : answer[list!]!;
        return all[0]!.id;
      },
      [path, key],
    );
  const trialIn = (state: string): Promise<string> =>
    page.evaluate(async (wanted) => {
      const { questions } = (await (await fetch('/api/trials')).json()) as {
        questions: { marks: { trialId: string; state: string }[] }[];
      };
      return questions.flatMap(({ marks }) => marks).find((mark) => mark.state === wanted)!.trialId;
    }, state);
  return {
    client,
    chart,
    look: await first('/looks'),
    product: await first('/kit', 'products'),
    palette: await first('/palettes'),
    party: await first('/parties'),
    sealed: await trialIn('worn'),
    decided: await trialIn('decided'),
  };
}
