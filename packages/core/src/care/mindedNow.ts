import type { Features } from '../face';
import type { PatchMinded } from './patchTest';

/** What of a face is minded for its eyes' sake, and may have come since a chart was written. */
type AtTheEyes = Pick<Features, 'lenses' | 'headTremor' | 'lashes'>;

type Minds = {
  readonly client: {
    readonly sensitivities: readonly string[];
    readonly patchTests?: readonly PatchMinded[];
    readonly features: AtTheEyes;
  };
};

/** What is noted of a client at this moment. */
export type NotedNow = {
  readonly sensitivities: readonly string[];
  readonly patchTests: readonly PatchMinded[];
  readonly features: AtTheEyes;
};

/**
 * A chart as it is to be worked now: sensitivities noted since it was written are minded too, and lenses, a tremor and
 * lash extensions; none once minded is dropped. Of patch tests what they say by now, and what only the chart still
 * knows of. The same chart when nothing was noted since.
 */
export function mindedNow<T extends Minds>(chart: T, { sensitivities, patchTests, features }: NotedNow): T {
  const { client } = chart;
  const since = sensitivities.filter((noted) => !client.sensitivities.includes(noted));
  const known = client.patchTests ?? [];
  const tests = [
    ...patchTests,
    ...known.filter((old) => !patchTests.some((test) => test.productId === old.productId)),
  ];
  const same = JSON.stringify(tests) === JSON.stringify(known);
  const atTheEyes = atTheEyesNow(client.features, features);
  if (since.length === 0 && same && atTheEyes === client.features) return chart;
  return {
    ...chart,
    client: {
      ...client,
      features: atTheEyes,
      sensitivities: [...client.sensitivities, ...since],
      ...(tests.length > 0 ? { patchTests: tests } : {}),
    },
  };
}

function atTheEyesNow<F extends AtTheEyes>(written: F, now: AtTheEyes): F {
  const lenses = written.lenses || now.lenses;
  const headTremor = written.headTremor || now.headTremor;
  const lashes = now.lashes === 'extensions' ? now.lashes : written.lashes;
  return lenses === written.lenses && headTremor === written.headTremor && lashes === written.lashes
    ? written
    : { ...written, lenses, headTremor, ...(lashes ? { lashes } : {}) };
}
