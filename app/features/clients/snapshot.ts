import { inferLandmarks, type ClientSnapshot, type Landmarks, type Measurements, type Skin } from '@toile/core';
import type { ClientAnswer } from '@toile/contract';

const landmarksByText = new Map<string, Landmarks>();

/** The landmarks inferred from measurements, the same object for the same numbers so that drawings are kept. */
export function landmarksFor(measurements: Measurements): Landmarks {
  const key = JSON.stringify(measurements);
  let landmarks = landmarksByText.get(key);
  if (!landmarks) {
    if (landmarksByText.size > 60) landmarksByText.clear();
    landmarksByText.set(key, (landmarks = inferLandmarks(measurements)));
  }
  return landmarks;
}

/** The newest reading's means, or an empty skin before any. */
export function newestSkin(client: Pick<ClientAnswer, 'readings'>): Skin {
  return client.readings[0]?.skin ?? {};
}

/** The client as a chart remembers her: face, features and newest skin. */
export function snapshotOfClient(client: ClientAnswer): ClientSnapshot {
  return {
    id: client.id,
    name: client.name,
    landmarks: landmarksFor(client.measurements),
    features: client.features,
    skin: newestSkin(client),
    readingId: client.readings[0]?.id ?? null,
    sensitivities: [...client.sensitivities],
  };
}
