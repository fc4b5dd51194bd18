import type { PatchMinded } from './patchTest';

type Minds = {
  readonly client: {
    readonly sensitivities: readonly string[];
    readonly patchTests?: readonly PatchMinded[];
  };
};

/** What is noted of a client at this moment. */
export type NotedNow = {
  readonly sensitivities: readonly string[];
  readonly patchTests: readonly PatchMinded[];
};

/**
 * A chart as it is to be worked now: sensitivities noted since it was written are minded too and none once minded is
 * dropped; of patch tests what they say by now, and what only the chart still knows of. The same chart when nothing
 * was noted since.
 */
export function mindedNow<T extends Minds>(chart: T, { sensitivities, patchTests }: NotedNow): T {
  const { client } = chart;
  const since = sensitivities.filter((noted) => !client.sensitivities.includes(noted));
  const known = client.patchTests ?? [];
  const tests = [
    ...patchTests,
    ...known.filter((old) => !patchTests.some((test) => test.productId === old.productId)),
  ];
  const same = JSON.stringify(tests) === JSON.stringify(known);
  if (since.length === 0 && same) return chart;
  return {
    ...chart,
    client: {
      ...client,
      sensitivities: [...client.sensitivities, ...since],
      ...(tests.length > 0 ? { patchTests: tests } : {}),
    },
  };
}
