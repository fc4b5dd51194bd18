import { useState } from 'react';
import { messages, msg, term } from '@toile/core';
import { Body, Button, Column, Dialog, Label, Line, Subheading } from '../../ui';
import { instantInWords } from '../words/dates';
import type { Photos, ShownPhoto } from './usePhotos';

type KeptPhotosProps = Pick<Photos, 'studioKeeps' | 'send' | 'drop'> & {
  readonly photos: readonly ShownPhoto[];
  /** Whether whoever looks may drop what is the studio's. */ readonly mayDrop: boolean;
};

const LIGHT_WORDS = messages({ daylight: 'By daylight', flash: 'With the flash' } as const);

/**
 * The photographs there are, with where each is kept; what is with the studio is dropped for everybody, and
 * asked about first.
 */
export function KeptPhotos({ photos, studioKeeps, mayDrop, send, drop }: KeptPhotosProps) {
  const [asked, setAsked] = useState<ShownPhoto | null>(null);
  const [busy, setBusy] = useState<string | null>(null);
  const during = async (id: string, work: () => Promise<unknown>): Promise<void> => {
    setBusy(id);
    await work();
    setBusy(null);
  };
  return (
    <Column gap="$2" role="group" aria-label={msg`Kept photographs`}>
      <Subheading>{msg`${photos.length} kept`}</Subheading>
      <Line gap="$3" alignItems="flex-start">
        {photos.map((photo) => {
          const when = instantInWords(photo.at);
          return (
            <Column key={photo.id} width={112} gap="$1">
              <img
                src={photo.href}
                alt={`${LIGHT_WORDS[photo.light]}, ${when}`}
                style={{ width: '100%', height: 112, objectFit: 'cover' }}
              />
              <Label>{`${term(photo.light)}, ${when}${photo.bare ? '' : msg`, no bare place`}`}</Label>
              <Label>{photo.where === 'studio' ? msg`With the studio` : msg`On this device alone`}</Label>
              {photo.where === 'device' && studioKeeps ? (
                <Button
                  label={msg`Keep with the studio: the photograph of ${when}, ${term(photo.light)}`}
                  disabled={busy !== null}
                  onPress={() => void during(photo.id, () => send(photo))}
                >
                  {busy === photo.id ? msg`Sending` : msg`Keep with the studio`}
                </Button>
              ) : null}
              {photo.where === 'device' || mayDrop ? (
                <Button
                  label={msg`Drop the photograph of ${when}, ${term(photo.light)}`}
                  disabled={busy !== null}
                  onPress={() => (photo.where === 'studio' ? setAsked(photo) : void drop(photo))}
                >{msg`Drop`}</Button>
              ) : null}
            </Column>
          );
        })}
      </Line>
      {asked ? (
        <Dialog title={msg`Drop it for everybody?`} onClose={() => setAsked(null)}>
          <Body>{msg`The photograph of ${instantInWords(asked.at)}, ${term(asked.light)}, is gone from the studio for good. Backups made before still hold it.`}</Body>
          <Button
            kind="main"
            onPress={() => {
              setAsked(null);
              void during(asked.id, () => drop(asked));
            }}
          >{msg`Drop it`}</Button>
        </Dialog>
      ) : null}
    </Column>
  );
}
