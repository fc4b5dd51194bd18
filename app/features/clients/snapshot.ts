import {
  featuresAtAge,
  landmarksOf,
  notedBy,
  type ClientSnapshot,
  type Features,
  type Landmarks,
  type NotedNow,
  type Skin,
  type Trace,
} from '@toile/core';
import type { ClientAnswer } from '@toile/contract';
import { todayText } from '../words/dates';

const landmarksByText = new Map<string, Landmarks>();

/** The landmarks of a trace, the same object for the same numbers so that drawings are kept. */
export function landmarksFor({ measurements, taps, likeness }: Trace): Landmarks {
  const key = JSON.stringify([measurements, taps, likeness]);
  let landmarks = landmarksByText.get(key);
  if (!landmarks) {
    if (landmarksByText.size > 60) landmarksByText.clear();
    landmarksByText.set(key, (landmarks = landmarksOf({ measurements, taps, likeness })));
  }
  return landmarks;
}

const NOT_READ: Skin = {};

/** The newest reading's means, or an empty skin before any. */
export function newestSkin(client: Pick<ClientAnswer, 'readings'>): Skin {
  return client.readings[0]?.skin ?? NOT_READ;
}

/** What is noted of a face, a child's by the year of birth too. */
export const featuresNow = ({
  features,
  birthYear,
}: Pick<ClientAnswer, 'features' | 'birthYear'>): Features => featuresAtAge(features, birthYear, todayText());

/** What is noted of a client by now: sensitivities, what is minded at the eyes, and what patch tests say. */
export const notedNow = (client: ClientAnswer): NotedNow => notedBy(client, todayText(), new Date());

/** The client as a chart remembers her: face, features and newest skin. */
export function snapshotOfClient(client: ClientAnswer): ClientSnapshot {
  const { patchTests } = notedNow(client);
  return {
    id: client.id,
    name: client.name,
    landmarks: landmarksFor(client),
    features: featuresNow(client),
    skin: newestSkin(client),
    readingId: client.readings[0]?.id ?? null,
    sensitivities: [...client.sensitivities],
    ...(patchTests.length > 0 ? { patchTests: [...patchTests] } : {}),
  };
}
