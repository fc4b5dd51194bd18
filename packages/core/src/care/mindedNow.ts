import type { Features } from '../face';
import type { Incident } from './incident';
import { featuresAtAge } from './minor';
import { patchMinded, type PatchMinded, type PatchTest } from './patchTest';

/** What of a face is minded, and may have been noted only since a chart was written. */
type MindedFeatures = Pick<Features, 'lenses' | 'headTremor' | 'lashes' | 'age'>;

type Minds = {
  readonly client: {
    readonly sensitivities: readonly string[];
    readonly patchTests?: readonly PatchMinded[];
    readonly features: MindedFeatures;
  };
};

/** What is noted of a client at this moment. */
export type NotedNow = {
  readonly sensitivities: readonly string[];
  readonly patchTests: readonly PatchMinded[];
  readonly features: MindedFeatures;
};

/** A client's record, as far as anything is minded by it. */
export type NotedRecord = {
  readonly sensitivities: readonly string[];
  readonly features: MindedFeatures;
  readonly birthYear: number | null;
  readonly patchTests: readonly PatchTest[];
  readonly incidents: readonly Pick<Incident, 'on' | 'suspected'>[];
};

/**
 * What a record says at this moment, on a day as YYYY-MM-DD: a child by year too, tests with what went wrong
 * since.
 */
export const notedBy = (record: NotedRecord, today: string, now: Date): NotedNow => ({
  sensitivities: record.sensitivities,
  features: featuresAtAge(record.features, record.birthYear, today),
  patchTests: patchMinded(record.patchTests, now, today, record.incidents),
});

/**
 * A chart as it is to be worked now: sensitivities noted since it was written are minded too, and lenses, a
 * tremor, lash extensions and that it is a child; none once minded is dropped. Of patch tests what they say
 * by now, and what only the chart still knows of. The same chart when nothing was noted since.
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
  const minded = featuresNow(client.features, features);
  if (since.length === 0 && same && minded === client.features) return chart;
  return {
    ...chart,
    client: {
      ...client,
      features: minded,
      sensitivities: [...client.sensitivities, ...since],
      ...(tests.length > 0 ? { patchTests: tests } : {}),
    },
  };
}

function featuresNow<F extends MindedFeatures>(written: F, now: MindedFeatures): F {
  const lenses = written.lenses || now.lenses;
  const headTremor = written.headTremor || now.headTremor;
  const lashes = now.lashes === 'extensions' ? now.lashes : written.lashes;
  const age = now.age === 'child' ? now.age : written.age;
  return lenses === written.lenses &&
    headTremor === written.headTremor &&
    lashes === written.lashes &&
    age === written.age
    ? written
    : { ...written, lenses, headTremor, age, ...(lashes ? { lashes } : {}) };
}
