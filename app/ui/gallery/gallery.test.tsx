import { readdirSync } from 'node:fs';
import path from 'node:path';
import { cleanup, render, screen } from '@testing-library/react';
import axe from 'axe-core';
import { Themed } from '../Themed.testing';
import { GalleryScreen } from './GalleryScreen';
import { PIECES } from './pieces';

/** What others stand in or are made of, and is seen with them. */
const NO_PIECES = ['Screen', 'Themed.testing', 'Touch', 'layout'];

test('every part of the folder is shown, each in at least one state, by its file’s name', () => {
  const files = readdirSync(path.join(__dirname, '..'))
    .filter((file) => file.endsWith('.tsx') && !file.endsWith('.test.tsx'))
    .map((file) => file.replace(/\.tsx$/, ''));
  expect(files.filter((name) => !NO_PIECES.includes(name)).sort()).toEqual(
    PIECES.map(({ name }) => name).sort(),
  );
  for (const { states } of PIECES) expect(Object.keys(states).length).toBeGreaterThan(0);
});

const ALL = PIECES.flatMap(({ name, states }) =>
  Object.entries(states).map(([state, Draw]) => [name, state, Draw] as const),
);
test.each(ALL)(
  '%s, %s: can be named, focused and told apart by whoever cannot see it',
  async (_, __, Draw) => {
    const complained = jest.spyOn(console, 'error').mockImplementation(() => undefined);
    const { container } = render(
      <Themed>
        <main>
          <h1>A part</h1>
          <h2>In a state</h2>
          <Draw />
        </main>
      </Themed>,
    );
    const { violations } = await axe.run(container, {
      // Colours and boxes are measured in a browser, by the tests of the whole app.
      rules: { 'color-contrast': { enabled: false }, region: { enabled: false } },
    });
    expect(violations.map(({ id, nodes }) => [id, nodes[0]?.html])).toEqual([]);
    // Words are React's; what is no text is said by the browser that stands in, of what it cannot do.
    expect(complained.mock.calls.filter(([what]) => typeof what === 'string')).toEqual([]);
    complained.mockRestore();
  },
  30_000,
);

test('the page names each part by a heading of its own', () => {
  render(
    <Themed>
      <GalleryScreen />
    </Themed>,
  );
  for (const { name } of PIECES) expect(screen.getByRole('heading', { name, level: 2 })).toBeTruthy();
  cleanup();
}, 60_000);
