import { act, renderHook } from '@testing-library/react';
import * as fc from 'fast-check';
import { useAsChanged } from './useAsChanged';

type Saved = { readonly revision: number; readonly ticks: readonly string[] };
type Sent = { base: Saved; next: readonly string[]; answer: (ok: boolean) => Promise<void> };

const revisionOf = ({ revision }: Saved): number => revision;
const ticksOf = ({ ticks }: Saved): readonly string[] => ticks;

/** A studio that answers when it is told to, and refuses what was begun from an older revision. */
function studio(first: Saved) {
  let there = first;
  const sent: Sent[] = [];
  const send = (base: Saved, next: readonly string[]): Promise<Saved> =>
    new Promise((resolve, reject) => {
      sent.push({
        base,
        next,
        answer: async (ok) =>
          act(async () => {
            if (!ok || base.revision !== there.revision) return reject(new Error('no'));
            there = { revision: there.revision + 1, ticks: next };
            resolve(there);
          }),
      });
    });
  const { result, rerender } = renderHook(
    (newest: Saved) =>
      useAsChanged({ newest, stampOf: revisionOf, valueOf: ticksOf, send, theirsIn: () => there }),
    { initialProps: first },
  );
  const tick = (task: string): Promise<boolean> => {
    const { value, keep } = result.current;
    let kept: Promise<boolean> = Promise.resolve(false);
    act(() => {
      kept = keep(value.includes(task) ? value.filter((one) => one !== task) : [...value, task]);
    });
    return kept;
  };
  return {
    result,
    rerender,
    sent,
    tick,
    there: () => there,
    /** Somebody else keeps something in between. */
    others: (ticks: readonly string[]) => (there = { revision: there.revision + 1, ticks }),
  };
}

describe('what is kept as it is changed', () => {
  test('a tap while another is on its way shows at once and is sent after it, on the revision that one made', async () => {
    const { result, sent, tick, there } = studio({ revision: 4, ticks: [] });
    const first = tick('pack');
    const second = tick('buy');
    expect(result.current).toMatchObject({ value: ['pack', 'buy'], busy: true });
    expect(sent).toHaveLength(1);
    await sent[0]!.answer(true);
    expect(sent).toHaveLength(2);
    expect(sent[1]).toMatchObject({ base: { revision: 5 }, next: ['pack', 'buy'] });
    expect(result.current).toMatchObject({ value: ['pack', 'buy'], busy: true });
    await sent[1]!.answer(true);
    expect([await first, await second]).toEqual([true, true]);
    expect(there()).toEqual({ revision: 6, ticks: ['pack', 'buy'] });
    expect(result.current).toMatchObject({ value: ['pack', 'buy'], busy: false, failure: null });
  });

  test('of several that wait the newest is sent, once', async () => {
    const { sent, tick, there } = studio({ revision: 1, ticks: [] });
    const all = ['a', 'b', 'c', 'b', 'd'].map(tick);
    await sent[0]!.answer(true);
    await sent[1]!.answer(true);
    expect(sent).toHaveLength(2);
    expect(await Promise.all(all)).toEqual([true, true, true, true, true]);
    expect(there().ticks).toEqual(['a', 'c', 'd']);
  });

  test('one refused takes with it what was changed on top of it; theirs is shown, and the next goes on from it', async () => {
    const { result, sent, tick, there, others } = studio({ revision: 1, ticks: [] });
    const first = tick('pack');
    const second = tick('buy');
    others(['callSheet']);
    await sent[0]!.answer(true);
    expect([await first, await second]).toEqual([false, false]);
    expect(sent).toHaveLength(1);
    expect(result.current).toMatchObject({ value: ['callSheet'], busy: false });
    expect(result.current.failure).not.toBeNull();
    const third = tick('pack');
    expect(result.current.failure).toBeNull();
    await sent[1]!.answer(true);
    expect(await third).toBe(true);
    expect(there().ticks).toEqual(['callSheet', 'pack']);
  });

  test('an older answer that comes late takes nothing back; a newer one is shown', async () => {
    const { result, rerender, sent, tick } = studio({ revision: 1, ticks: [] });
    tick('pack');
    await sent[0]!.answer(true);
    rerender({ revision: 1, ticks: [] });
    expect(result.current.value).toEqual(['pack']);
    rerender({ revision: 3, ticks: ['buy'] });
    expect(result.current.value).toEqual(['buy']);
  });

  test('whatever is tapped while whatever is on its way, what ends up kept is what is shown', () =>
    fc.assert(
      fc.asyncProperty(
        fc.array(fc.oneof(fc.constantFrom('a', 'b', 'c'), fc.constantFrom(true, true, false)), {
          maxLength: 14,
        }),
        async (story) => {
          const { result, sent, tick, there } = studio({ revision: 0, ticks: [] });
          const kept: Promise<boolean>[] = [];
          let answered = 0;
          for (const what of story) {
            if (typeof what === 'string') kept.push(tick(what));
            else if (answered < sent.length) await sent[answered++]!.answer(what);
          }
          while (answered < sent.length) await sent[answered++]!.answer(true);
          // Every tap hears; what is shown is what is there, and it ends.
          await Promise.all(kept);
          expect(result.current.busy).toBe(false);
          expect(result.current.value).toEqual(there().ticks);
        },
      ),
      { numRuns: 60 },
    ));
});
