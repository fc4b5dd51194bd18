import type { Chart } from '@toile/core';
import type { Browser, Page } from 'playwright-core';
import {
  baseUrl,
  more,
  openAs,
  openBrowser,
  openClient,
  openContext,
  PHONE,
  shot,
  tabTo,
  WIDE,
} from './browser';
import { facePicture, keepPicture } from './facePicture';

// A half-face trial from the chart to a decision: sealed, worn, told of by the client too, once without a
// network.
let browser: Browser;
let page: Page;
let complaints: readonly string[];
beforeAll(async () => {
  browser = await openBrowser();
  ({ page, complaints } = await openAs(browser, 'artist', PHONE));
});
afterAll(() => browser.close());

const button = (on: Page, name: string | RegExp) =>
  on.getByRole('button', typeof name === 'string' ? { name, exact: true } : { name });
const radio = (on: Page, group: string | RegExp, name: string) =>
  on.getByRole('radiogroup', { name: group }).getByRole('radio', { name, exact: true });
const half = (on: Page, zone: string, side: string, grade: string) =>
  on
    .getByRole('group', { name: zone, exact: true })
    .getByRole('radiogroup', { name: side, exact: true })
    .getByRole('radio', { name: grade, exact: true });
let trialUrl: string;
let chartUrl: string;

test('declared with what is judged, by whom and where; the draw is sealed', async () => {
  await openClient(page, 'Ignace Dovrel');
  await page.getByRole('link', { name: /^Plain Cloth/ }).click();
  await page.waitForURL(/\/charts\//);
  chartUrl = page.url().split('?')[0]!;
  await more(page, 'Half-face trial');
  await radio(page, 'The halves differ in', 'a tool').click();
  const step = page.getByRole('radiogroup', { name: 'In which step' });
  await step
    .getByRole('radio', { name: /base|skin|even/i })
    .first()
    .click();
  await page
    .getByRole('radiogroup', { name: /^The other half with, instead of/ })
    .getByRole('radio', { name: 'fan brush' })
    .click();
  await page
    .getByRole('note', { name: 'What is asked' })
    .getByText(/^Which stays less shiny: .*fan brush/)
    .waitFor();
  // Only the nose and the forehead are to be judged.
  const where = page.getByRole('group', { name: 'Where', exact: true });
  for (const box of await where.getByRole('checkbox').all())
    if (!/nose|forehead/.test((await box.getAttribute('aria-label')) ?? '')) await box.click();
  await shot(page, 'declare');
  await button(page, 'Draw the sides').click();
  await page.waitForURL(/\/trials\//);
  trialUrl = page.url();
  const draw = page.getByRole('group', { name: 'The draw' });
  await draw.getByText('Sealed').waitFor();
  expect(await page.getByText(/Client’s (left|right): /).count()).toBe(0);
  await shot(page, 'sealed');
});

test('opened to work both halves, the chair says the side of each', async () => {
  await button(page, 'Open it and work both halves').click();
  await page.waitForURL(/\/chair\?variant=trial-/);
  const sides = new Set<string>();
  for (let i = 0; i < 30 && sides.size < 2; i++) {
    const heading = (await page.getByRole('heading', { level: 2 }).allInnerTexts()).join(' ');
    const side = /Client’s (left|right): /.exec(heading)?.[1];
    if (side) sides.add(side);
    if (i === 2) await shot(page, 'chair');
    await button(page, 'Step after').click();
  }
  expect([...sides].sort()).toEqual(['left', 'right']);
  await page.goto(trialUrl);
  await page.getByText(/^Client’s left: /).waitFor();
});

/**
 * Two hours ago, or as long as this day is old: within the hours a trial is looked at, whatever hour it is.
 */
function twoHoursAgo(): string {
  const two = new Date(Date.now() - 2 * 3_600_000);
  return two.toDateString() === new Date().toDateString() ? two.toTimeString().slice(0, 5) : '00:00';
}

test('looked at by the client on a phone of their own, and by the artist without a network', async () => {
  await page.getByLabel('Both halves were done at').fill(twoHoursAgo());
  await button(page, 'Both halves are on').click();
  await button(page, 'Make a link').click();
  const link = await page.getByLabel('The link, shown this once').inputValue();
  const context = await openContext(browser, { viewport: PHONE });
  const theirs = await context.newPage();
  await theirs.goto(link);
  await theirs.getByText(/two halves of your face were done differently/).waitFor();
  expect(await theirs.getByText(/fan brush|Ordway/).count()).toBe(0);
  for (const zone of ['Forehead', 'Nose']) {
    await half(theirs, zone, 'Your left', 'none').click();
    await half(theirs, zone, 'Your right', 'clearly').click();
  }
  await shot(theirs, 'client');
  await button(theirs, 'Tell it').click();
  await theirs.getByText(/^✓ Told/).waitFor();
  await context.close();
  await page.context().setOffline(true);
  await radio(page, 'By', 'whoever made it up').click();
  await half(page, 'Nose', 'Client’s left', 'none').click();
  await half(page, 'Nose', 'Client’s right', 'a little').click();
  await button(page, 'Keep this look').click();
  await page.getByText(/^1 kept here, not sent yet/).waitFor();
  await page
    .getByRole('table', { name: 'What was seen of both halves' })
    .getByText(/by whoever made it up/)
    .waitFor();
  await page.context().setOffline(false);
  await page.getByText(/kept here, not sent yet/).waitFor({ state: 'detached' });
  await page.reload();
  const table = page.getByRole('table', { name: 'What was seen of both halves' });
  await table.getByText(/by whoever made it up/).waitFor();
  expect(await table.getByRole('row').count()).toBe(4);
});

test('nothing seen is told beside the button, and kept by nobody', async () => {
  await button(page, 'Keep this look').click();
  await page.getByText('▲ Say how at least one place looks, on both halves').waitFor();
});

test('from photographs: none without consent; then half by half, mirrored by lot, some twice, and it stands with what was seen', async () => {
  await button(page, 'Judge from photographs').click();
  await button(page, 'To the first talk').click();
  await radio(page, 'Photographs of your face', 'for the studio alone').click();
  await button(page, 'Keep what was said').click();
  await page.waitForURL(/\/clients\/[0-9a-f-]{36}$/);
  await page.goto(trialUrl);
  await button(page, 'Judge from photographs').click();
  await page.getByText('No photographs yet').waitFor();
  await button(page, 'To the photographs').click();
  const landmarks = await page.evaluate(
    async (path) => ((await (await fetch(path)).json()) as { chart: Chart }).chart.client.landmarks,
    `/api${new URL(chartUrl).pathname}`,
  );
  const skin = [0.5, 0.32, 0.22] as const;
  await keepPicture(
    page,
    landmarks,
    await facePicture(page, landmarks, () => skin, skin, [1, 1, 1]),
    'daylight',
  );
  await page.getByRole('group', { name: 'Kept photographs' }).waitFor();
  await page.goto(`${trialUrl}/photos`);
  // Two halves, one of them twice; nothing says which side or what.
  await page.getByText(/^1 of 3\. Which side, which hour/).waitFor();
  for (let i = 1; i <= 3; i++) {
    await page.getByRole('img', { name: 'One half of a face' }).waitFor();
    if (i === 1) await shot(page, 'blind');
    expect(await page.getByText(/fan brush|client’s (left|right)/i).count()).toBe(0);
    for (const zone of ['Forehead', 'Nose']) await radio(page, zone, 'a little').click();
    await button(page, 'Next').click();
    // Called away in the middle, it goes on where it was.
    if (i === 1) await page.reload();
    if (i < 3) await page.getByText(new RegExp(`^${i + 1} of 3\\.`)).waitFor();
  }
  await page.getByText('Shown twice and judged twice: 2, 2 of them alike.', { exact: false }).waitFor();
  await radio(page, 'Judged by', 'somebody else').click();
  await shot(page, 'blind-done');
  await button(page, 'Keep what was seen').click();
  await page
    .getByRole('table', { name: 'What was seen of both halves' })
    .getByText(/by somebody else/)
    .first()
    .waitFor();
});

test('judged, opened, decided against the count with a reason, and the chart has it', async () => {
  await button(page, 'Client’s left, and open').click();
  const showed = page.getByRole('group', { name: 'What it showed' });
  await showed.getByText(/^Here .* stayed less shiny \(.*\)\. One face and one draw/).waitFor();
  await showed.getByText(/^Guessed before it was opened/).waitFor();
  await page.getByRole('group', { name: 'This question so far' }).getByText('Too few to tell.').waitFor();
  await shot(page, 'showed');
  // The half that did worse is chosen: a reason is asked for, and then it is kept.
  const left = /^Client’s left: (.*)$/.exec(await page.getByText(/^Client’s left: /).innerText())![1]!;
  const options = page.getByRole('radiogroup', { name: 'From now on' }).getByRole('radio');
  const names = await Promise.all((await options.all()).map((one) => one.getAttribute('aria-label')));
  const other = names.slice(0, 2).find((name) => name !== left)!;
  await radio(page, 'From now on', other).click();
  await radio(page, 'It agreed with the neck', 'yes').click();
  await button(page, 'Keep the decision').click();
  await page.getByText('This goes against the count: say why').waitFor();
  await page.getByLabel('Why').fill('The feel of it');
  await button(page, 'Keep the decision').click();
  await page.waitForURL(/\/charts\/[^/]+$/);
  await page.goto(trialUrl);
  await page.getByText(`Decided for ${other} against what was seen: The feel of it. Teodor Marsh.`).waitFor();
  // Neither half is left in the chart.
  await page.goto(trialUrl);
  await openClient(page, 'Ignace Dovrel');
  await page.getByRole('link', { name: /^Plain Cloth/ }).click();
  expect(await page.getByText('Half-face trial', { exact: true }).count()).toBe(0);
});

test('the studio’s question over six clients goes from too few to leaning, and never further than it may', async () => {
  await page.goto(`${baseUrl()}/trials`);
  await page
    .getByText(/Long Hours/)
    .first()
    .click();
  const question = page.getByRole('group', { name: /Long Hours/ });
  await question.getByText('Ordway Long Hours did better on 3 of 3.').waitFor();
  await question.getByText('Too few to tell.').waitFor();
  await shot(page, 'question');
  await question
    .getByText(/being worn, sealed/)
    .first()
    .click();
  await page.waitForURL(/\/trials\//);
  await button(page, 'No guess, and open').click();
  await page
    .getByRole('group', { name: 'This question so far' })
    .getByText(/^Leaning that way/)
    .waitFor();
  await page.goto(`${baseUrl()}/trials`);
  await page
    .getByText(/Long Hours/)
    .first()
    .click();
  await page
    .getByRole('group', { name: /Long Hours/ })
    .getByText('Ordway Long Hours did better on 4 of 4.')
    .waitFor();
});

test('of the colour both halves are read: fresh first, then how far each is from it, with the reader’s own noise', async () => {
  await page.goto(`${chartUrl}/trial`);
  const form = page.getByRole('group', { name: 'A new trial' });
  await radio(page, 'The halves differ in', 'a tool').click();
  await page
    .getByRole('radiogroup', { name: 'In which step' })
    .getByRole('radio', { name: /base|skin|even/i })
    .first()
    .click();
  await page
    .getByRole('radiogroup', { name: /^The other half with, instead of/ })
    .getByRole('radio')
    .first()
    .click();
  await radio(page, 'Judged by its', 'colour').click();
  for (const box of await form
    .getByRole('group', { name: 'Where', exact: true })
    .getByRole('checkbox')
    .all()) {
    const on = (await box.getAttribute('aria-checked')) === 'true';
    if (on !== /cheek/.test((await box.getAttribute('aria-label')) ?? '')) await box.click();
  }
  await button(page, 'Draw the sides').click();
  await page.waitForURL(/\/trials\/[0-9a-f-]{36}$/);
  await page.getByLabel('Both halves were done at').fill(twoHoursAgo());
  await button(page, 'Both halves are on').click();
  await button(page, 'Type CIELAB values').click();
  const type = async (side: 'left' | 'right', L: string, times: number): Promise<void> => {
    await radio(page, 'Held to', `cheeks, client’s ${side}`).click();
    for (let i = 0; i < times; i++) {
      await page.getByLabel('L*').fill(L);
      await page.getByLabel('a*').fill('14');
      await page.getByLabel('b*').fill('18');
      await button(page, 'Add these values').click();
    }
  };
  const table = page.getByRole('table', { name: 'What was read of both halves' });
  const row = (side: string) => table.getByRole('row').filter({ hasText: `client’s ${side}` });
  await type('left', '60', 2);
  await row('left').getByText('2 of 3 touches').waitFor();
  await type('left', '60', 3);
  await type('right', '60', 5);
  await row('right').getByText('5 touches: fresh').waitFor();
  await button(page, 'Keep this look').click();
  await row('right').getByText('not read').waitFor();
  await type('left', '60.5', 5);
  await type('right', '57', 5);
  await row('left').getByText('5 touches: no shift seen (under 1.25 the reader itself may differ)').waitFor();
  await row('right')
    .getByText(/^5 touches: 2\.\d from fresh$/)
    .waitFor();
  await shot(page, 'colour-halves');
  await button(page, 'Keep this look').click();
  await page
    .getByRole('table', { name: 'What was seen of both halves' })
    .getByText(/^2\.\d$/)
    .first()
    .waitFor();
});

test('primer left out place by place: each its own draw, told where at the chair, and judged without a guess', async () => {
  await openClient(page, 'Morwenna Penhallow');
  await page
    .getByRole('link', { name: /^Choir Loft/ })
    .first()
    .click();
  await page.waitForURL(/\/charts\//);
  await more(page, 'Half-face trial');
  await radio(page, 'The halves differ in', 'with and without').click();
  await page
    .getByRole('radiogroup', { name: 'In which step' })
    .getByRole('radio', { name: /^Primer where it needs it/ })
    .first()
    .click();
  // By keys alone.
  await tabTo(page, /^for each place by itself$/);
  await page.keyboard.press('Space');
  expect(await radio(page, 'Sides drawn', 'for each place by itself').getAttribute('aria-checked')).toBe(
    'true',
  );
  await shot(page, 'declare-places');
  await button(page, 'Draw the sides').click();
  await page.waitForURL(/\/trials\//);
  const url = page.url();
  await page.getByText(/each place has a draw of its own\.$/).waitFor();
  await button(page, 'Open it and work both halves').click();
  await page.waitForURL(/\/chair\?variant=trial-/);
  let where = '';
  for (let i = 0; i < 40 && where === ''; i++) {
    const heading = (await page.getByRole('heading', { level: 2 }).allInnerTexts()).join(' ');
    where = /(Not everywhere|Only in places): .*/.exec(heading)?.[0] ?? '';
    if (where === '') await button(page, 'Step after').click();
  }
  expect(where).not.toBe('');
  await page.getByText(/^(Not|Only) on the client’s /).waitFor();
  await shot(page, 'chair-places');
  await page.goto(url);
  const draw = page.getByRole('group', { name: 'The draw' });
  const rows = draw.getByRole('table', { name: 'Which way lies where' }).getByRole('row');
  await rows.nth(1).waitFor();
  const drawn = (await rows.allInnerTexts()).slice(1).map((row) => row.split(/\s*\n\s*|\t/));
  expect(drawn.length).toBeGreaterThan(1);
  await shot(page, 'places-open');
  await page.setViewportSize(WIDE);
  await page.emulateMedia({ colorScheme: 'dark' });
  await shot(page, 'places-open-wide-dark');
  await page.emulateMedia({ colorScheme: 'light' });
  await page.setViewportSize(PHONE);
  await button(page, 'Both halves are on').click();
  await radio(page, 'By', 'the client').click();
  // Everywhere better where it was left out, whichever side that was.
  for (const line of drawn) {
    const [zone, , onLeft] = line;
    // B is without it.
    const bareLeft = onLeft === 'B';
    await half(page, zone!, 'Client’s left', bareLeft ? 'none' : 'clearly').click();
    await half(page, zone!, 'Client’s right', bareLeft ? 'clearly' : 'none').click();
  }
  // On a slow line: the verdict, told right after the look, does not come before it.
  await page.route('**/api/trials/*/events', async (route) => {
    if (String(route.request().postData()).includes('"looked"'))
      await new Promise((resolve) => setTimeout(resolve, 1500));
    await route.fallback();
  });
  await button(page, 'Keep this look').click();
  await button(page, 'Judge and open it').click();
  const showed = page.getByRole('group', { name: 'What it showed' });
  await showed
    .getByText(new RegExp(`in ${drawn.length} of ${drawn.length} places .*Each place had a draw of its own`))
    .waitFor();
  await shot(page, 'places-showed');
});

test('by keys alone on a wide screen: declared, drawn, and a question opened', async () => {
  const wide = await openAs(browser, 'owner', WIDE);
  await wide.page.goto(`${chartUrl}/trial`);
  await wide.page.getByRole('group', { name: 'A new trial' }).waitFor();
  const choose = async (name: RegExp): Promise<void> => {
    await tabTo(wide.page, name);
    await wide.page.keyboard.press('Space');
  };
  await choose(/^how it is worked$/);
  await choose(/base|skin|even/i);
  await choose(/^stipple$|^press$/);
  await wide.page.getByRole('note', { name: 'What is asked' }).waitFor();
  await tabTo(wide.page, /^Draw the sides$/);
  await wide.page.keyboard.press('Enter');
  await wide.page.waitForURL(/\/trials\//);
  await wide.page.getByRole('group', { name: 'The draw' }).getByText('Sealed').waitFor();
  await wide.page.goto(`${baseUrl()}/trials`);
  await wide.page
    .getByText(/Long Hours/)
    .first()
    .waitFor();
  await tabTo(wide.page, /Long Hours/);
  await wide.page.keyboard.press('Enter');
  await wide.page
    .getByRole('group', { name: /Long Hours/ })
    .getByText(/did better on/)
    .waitFor();
  await shot(wide.page, 'question-wide');
  expect(wide.complaints).toEqual([]);
  expect(
    complaints.filter(
      (says) => !/Failed to load resource|ERR_INTERNET_DISCONNECTED|Failed to fetch/.test(says),
    ),
  ).toEqual([]);
  await wide.context.close();
});
