import { useCallback, useEffect, useState } from 'react';
import { dropPhoto, keepPhoto, photosOf, type Photo } from '../../data/photos';

export type ShownPhoto = Photo & { /** An address inside this page only. */ readonly href: string };
export type Photos = {
  /** Null until they have been read. */
  readonly photos: readonly ShownPhoto[] | null;
  readonly failure: string | null;
  readonly keep: (photo: Photo) => Promise<boolean>;
  readonly drop: (photo: Photo) => Promise<void>;
};

/** A chart's photographs on this device; their addresses are given back when the screen is left. */
export function usePhotos(clientId: string, chartId: string): Photos {
  const [photos, setPhotos] = useState<readonly ShownPhoto[] | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  const read = useCallback(
    () =>
      photosOf({ clientId, id: chartId }).then(
        (all) => setPhotos(all.map((photo) => ({ ...photo, href: URL.createObjectURL(photo.blob) }))),
        () => {
          setPhotos([]);
          setFailure('This device keeps no photographs: a private window, or no room left.');
        },
      ),
    [clientId, chartId],
  );
  useEffect(() => void read(), [read]);
  useEffect(
    () => () => {
      for (const { href } of photos ?? []) URL.revokeObjectURL(href);
    },
    [photos],
  );
  return {
    photos,
    failure,
    keep: async (photo) => {
      try {
        await keepPhoto(photo);
        setFailure(null);
        await read();
        return true;
      } catch {
        setFailure('The photograph was not kept: this device has no room for it. Drop another one first.');
        return false;
      }
    },
    drop: async (photo) => {
      await dropPhoto(photo);
      await read();
    },
  };
}
