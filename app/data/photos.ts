import { createStore, del, delMany, entries, get, keys, set, type UseStore } from 'idb-keyval';
import type { Consult, FaceTaps, PhotoLight, Point } from '@toile/core';

/** A photograph of a made-up face, with where the face lies on it, in its pixels. */
export type Photo = {
  readonly id: string;
  readonly clientId: string;
  readonly chartId: string;
  /** When it was taken. */
  readonly at: string;
  readonly light: PhotoLight;
  readonly blob: Blob;
  readonly taps: FaceTaps;
  /** Skin without make-up; null where none was shown. */
  readonly bare: Point | null;
};

let store: UseStore | null = null;
const photos = (): UseStore => (store ??= createStore('toile-photos', 'photos'));
const nameOf = (clientId: string, id: string): string => `${clientId}/${id}`;
/** The photo a face is traced on. */
const TRACING = 'tracing';

/**
 * Photographs are kept on this device, with the client's consent: sent only to a studio that says it keeps
 * them, gone when the client is erased or whoever is signed in signs out. What keeps or reads one rejects
 * when the device will not have it.
 */
export const keepPhoto = async (photo: Photo): Promise<void> =>
  set(nameOf(photo.clientId, photo.id), photo, photos());

/** The photographs of one chart, the newest first. */
export async function photosOf({
  clientId,
  id,
}: {
  readonly clientId: string;
  readonly id: string;
}): Promise<Photo[]> {
  const all = await entries<string, Photo>(photos());
  return all
    .filter(([name, photo]) => name.startsWith(`${clientId}/`) && photo.chartId === id)
    .map(([, photo]) => photo)
    .sort((one, other) => other.at.localeCompare(one.at));
}

export const dropPhoto = async ({ clientId, id }: Pick<Photo, 'clientId' | 'id'>): Promise<void> =>
  del(nameOf(clientId, id), photos());

export const keepTracing = async (clientId: string, blob: Blob): Promise<void> =>
  set(nameOf(clientId, TRACING), blob, photos());
export const tracingOf = async (clientId: string): Promise<Blob | undefined> =>
  get<Blob>(nameOf(clientId, TRACING), photos());
export const dropTracing = async (clientId: string): Promise<void> =>
  del(nameOf(clientId, TRACING), photos());

/**
 * Drops what is named so; a device that keeps nothing has nothing to drop, and holds up neither erasing nor
 * signing in or out.
 */
async function dropNamed(which: (name: string) => boolean): Promise<void> {
  try {
    const names = await keys<string>(photos());
    await delMany(names.filter(which), photos());
  } catch {
    store = null;
  }
}

/** Every photograph of a client that is erased. */
export const dropPhotosOf = (clientId: string): Promise<void> =>
  dropNamed((name) => name.startsWith(`${clientId}/`));

/**
 * Called wherever it is known what a client says of photographs: what was kept here goes with the consent.
 */
export const dropIfRefused = async (clientId: string, photos: Consult['photos']): Promise<void> => {
  if (photos === 'none') await dropPhotosOf(clientId);
};

/** Every photograph on this device: they belong to whoever was signed in. */
export const dropPhotos = (): Promise<void> => dropNamed(() => true);

const OWNER = 'owner';
let owners: UseStore | null = null;

/**
 * Called when somebody signs in: photographs of anybody else who was signed in on this device are dropped.
 */
export async function photosBelongTo(email: string): Promise<void> {
  try {
    owners ??= createStore('toile-photos-of', 'owner');
    if ((await get<string>(OWNER, owners)) === email) return;
    await dropPhotos();
    await set(OWNER, email, owners);
  } catch {
    owners = null;
    await dropPhotos();
  }
}
