import { useCallback, useEffect, useRef, useState } from 'react';
import { msg, type Photograph } from '@toile/core';
import { call, pictureAt } from '../../data/call';
import { usePhotographs, useRefresh } from '../../data/hooks';
import { dropPhoto, keepPhoto, photosOf, type Photo } from '../../data/photos';
import { askPhoto } from '../../workers';
import { asLetters, besides, missingWords, type PhotoPlace } from './photosView';

export type ShownPhoto = Photo & {
  /** An address inside this page only. */ readonly href: string;
  /** Where it is kept; in one place, never in both. */ readonly where: PhotoPlace;
};
export type Photos = {
  /** Null until they have been read. */
  readonly photos: readonly ShownPhoto[] | null;
  /** Whether the studio keeps what is added. */ readonly studioKeeps: boolean;
  readonly failure: string | null;
  readonly keep: (photo: Photo) => Promise<boolean>;
  /** What is on this device alone goes to the studio. */ readonly send: (photo: Photo) => Promise<boolean>;
  readonly drop: (photo: ShownPhoto) => Promise<void>;
};

const wordsOf = (error: unknown): string => (error instanceof Error ? error.message : String(error));

/**
 * A chart's photographs, on this device and with the studio; their addresses are given back when the screen
 * is left.
 */
export function usePhotos(clientId: string, chartId: string): Photos {
  const [here, setHere] = useState<readonly ShownPhoto[] | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  const [read, setRead] = useState(0);
  const studio = usePhotographs(chartId);
  const refresh = useRefresh();
  const there = useStudioPictures(studio.data?.photographs);
  useEffect(() => {
    let current = true;
    let made: readonly ShownPhoto[] = [];
    photosOf({ clientId, id: chartId }).then(
      (all) => {
        // Read when the screen had been left already: nobody would give the addresses back.
        if (!current) return;
        made = all.map((photo) => ({ ...photo, href: URL.createObjectURL(photo.blob), where: 'device' }));
        setHere(made);
      },
      () => {
        if (!current) return;
        setHere([]);
        setFailure(msg`This device keeps no photographs: a private window, or no room left.`);
      },
    );
    return () => {
      current = false;
      for (const { href } of made) URL.revokeObjectURL(href);
    };
  }, [clientId, chartId, read]);
  const again = useCallback(() => setRead((n) => n + 1), []);

  const send = async (photo: Photo): Promise<boolean> => {
    try {
      const { id, at, light } = photo;
      const { jpeg, taps, bare } = await askPhoto('forStudio', photo);
      const params = { id: chartId };
      const body = { id, at, light, taps, bare, picture: asLetters(jpeg) };
      const answer = await call('createPhotograph', { params, body });
      await dropPhoto(photo);
      setFailure(null);
      again();
      await refresh({ name: 'photographs', params, answer });
      return true;
    } catch (error) {
      setFailure(msg`It is on this device and not with the studio yet. ${wordsOf(error)}`);
      return false;
    }
  };
  return {
    photos: here && there ? besides(here, there.photos) : null,
    studioKeeps: studio.data?.keeps ?? false,
    failure:
      failure ??
      (studio.error
        ? msg`What the studio keeps is not shown. ${studio.error.message}`
        : (there?.failure ?? null)),
    keep: async (photo) => {
      try {
        await keepPhoto(photo);
        setFailure(null);
        again();
      } catch {
        setFailure(msg`The photograph was not kept: this device has no room for it. Drop another one first.`);
        return false;
      }
      // What the network loses stays here, and is sent by a touch.
      if (studio.data?.keeps) await send(photo);
      return true;
    },
    send,
    drop: async (photo) => {
      try {
        if (photo.where === 'device') {
          await dropPhoto(photo);
          again();
        } else {
          const answer = await call('dropPhotograph', { params: { id: photo.id }, body: {} });
          await refresh({ name: 'photographs', params: { id: chartId }, answer });
        }
        setFailure(null);
      } catch (error) {
        setFailure(msg`It was not dropped. ${wordsOf(error)}`);
      }
    },
  };
}

type Picture = Pick<ShownPhoto, 'blob' | 'href'>;

/**
 * The studio's pictures, fetched once each while the screen is open; null until all of them have been tried.
 */
function useStudioPictures(
  told: readonly Photograph[] | undefined,
): { readonly photos: readonly ShownPhoto[]; readonly failure: string | null } | null {
  const [pictures, setPictures] = useState<ReadonlyMap<string, Picture | null>>(new Map());
  const asked = useRef(new Set<string>());
  const made = useRef<string[] | null>(null);
  useEffect(() => {
    made.current = [];
    const tried = asked.current;
    return () => {
      for (const href of made.current ?? []) URL.revokeObjectURL(href);
      made.current = null;
      tried.clear();
    };
  }, []);
  useEffect(() => {
    for (const { id } of told ?? []) {
      if (asked.current.has(id)) continue;
      asked.current.add(id);
      pictureAt('photograph', { id })
        .catch(() => null)
        .then((blob) => {
          // Fetched when the screen had been left already.
          if (!made.current) return;
          const picture = blob && { blob, href: URL.createObjectURL(blob) };
          if (picture) made.current.push(picture.href);
          setPictures((known) => new Map(known).set(id, picture));
        });
    }
  }, [told]);
  if (!told) return { photos: [], failure: null };
  if (told.some(({ id }) => !pictures.has(id))) return null;
  const photos = told.flatMap(({ by: _by, keptAt: _keptAt, ...photo }): ShownPhoto[] => {
    const picture = pictures.get(photo.id);
    return picture ? [{ ...photo, ...picture, where: 'studio' }] : [];
  });
  const missing = told.filter(({ id }) => pictures.get(id) === null).length;
  return { photos, failure: missing === 0 ? null : missingWords(missing) };
}
