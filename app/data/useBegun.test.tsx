import { act, renderHook } from '@testing-library/react';
import * as fc from 'fast-check';
import { useBegun } from './useBegun';

type Saved = { readonly version: number; readonly text: string };

const open = (first: Saved, waiting: { begun: Saved; work: string } | null = null) =>
  renderHook(
    (newest: Saved) =>
      useBegun<Saved, string>({
        newest,
        stampOf: ({ version }) => version,
        workOf: ({ text }) => text,
        same: (work, { text }) => work === text,
        waiting: () => waiting,
      }),
    { initialProps: first },
  );

describe('work on something that others may save as well', () => {
  test('follows what is saved while nothing was changed', () => {
    const { result, rerender } = open({ version: 1, text: 'a' });
    rerender({ version: 2, text: 'b' });
    expect(result.current).toMatchObject({ begun: { version: 2 }, work: 'b', changed: false, behind: false });
  });

  test('stays on what it began from once something was, and says that it is behind', () => {
    const { result, rerender } = open({ version: 1, text: 'a' });
    act(() => result.current.setWork((text) => `${text} softer`));
    expect(result.current).toMatchObject({ changed: true, behind: false });
    rerender({ version: 2, text: 'b' });
    expect(result.current).toMatchObject({
      begun: { version: 1 },
      work: 'a softer',
      changed: true,
      behind: true,
    });
    act(() => result.current.setWork('a'));
    expect(result.current).toMatchObject({ begun: { version: 2 }, work: 'b', changed: false, behind: false });
  });

  test('what waited on the device is taken up with what it began from', () => {
    const { result } = open(
      { version: 3, text: 'c' },
      { begun: { version: 1, text: 'a' }, work: 'a softer' },
    );
    expect(result.current).toMatchObject({ begun: { version: 1 }, work: 'a softer', behind: true });
    act(() => result.current.begin({ version: 3, text: 'c' }));
    expect(result.current).toMatchObject({ begun: { version: 3 }, work: 'c', changed: false, behind: false });
  });

  test('an answer older than what was just saved takes nothing back', () => {
    const { result, rerender } = open({ version: 1, text: 'a' });
    act(() => result.current.setWork('mine'));
    act(() => result.current.begin({ version: 2, text: 'mine' }));
    rerender({ version: 1, text: 'a' });
    expect(result.current).toMatchObject({ begun: { version: 2 }, work: 'mine', behind: false });
  });

  test('what is typed while it is being saved goes on, on top of what was saved', () => {
    const { result } = open({ version: 1, text: 'a' });
    act(() => result.current.setWork('a softer'));
    const sent = result.current.work;
    act(() => result.current.setWork('a softer lip'));
    act(() => result.current.kept(sent, { version: 2, text: sent }));
    expect(result.current).toMatchObject({
      begun: { version: 2, text: 'a softer' },
      work: 'a softer lip',
      changed: true,
      behind: false,
    });
    act(() => result.current.kept('a softer lip', { version: 3, text: 'a softer lip' }));
    expect(result.current).toMatchObject({ begun: { version: 3 }, work: 'a softer lip', changed: false });
  });

  test('whatever comes in whatever order, what was typed is there until somebody gives it up', () => {
    fc.assert(
      fc.property(
        fc.array(fc.oneof(fc.constant('saved elsewhere'), fc.constant('typed'), fc.constant('undone')), {
          maxLength: 12,
        }),
        (steps) => {
          let version = 1;
          const { result, rerender, unmount } = open({ version, text: 'v1' });
          let typed: string | null = null;
          for (const [i, step] of steps.entries()) {
            if (step === 'saved elsewhere') rerender({ version: ++version, text: `v${version}` });
            else if (step === 'typed') act(() => result.current.setWork((typed = `typed ${i}`)));
            else {
              typed = null;
              act(() => result.current.begin({ version, text: `v${version}` }));
            }
            expect(result.current.work).toBe(typed ?? `v${version}`);
            expect(result.current.behind).toBe(typed !== null && result.current.begun.version < version);
          }
          unmount();
        },
      ),
    );
  });
});
