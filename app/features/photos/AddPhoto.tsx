import { useEffect, useState } from 'react';
import {
  faceInPicture,
  messages,
  msg,
  PHOTO_LIGHTS,
  questionPicture,
  term,
  type Landmarks,
  type PhotoLight,
  type Point,
} from '@toile/core';
import { newId } from '@toile/contract';
import type { Photo } from '../../data/photos';
import { Body, Button, Choice, Column, Field, FileButton, Label, Line } from '../../ui';
import { TapPicture } from '../trace/TapPicture';
import { inZone, instantOf } from '../wear/wearView';
import { todayText, zoneOfDays } from '../words/dates';
import { PHOTO_TAP_WORDS, PHOTO_TAPS, type PhotoPlace, type PhotoTap } from './photosView';

const KEEP_WORDS = messages({ device: 'Keep it on this device', studio: 'Keep it with the studio' } as const);
/** So much of a file is looked at for how large its picture is. */
const HEAD_BYTES = 1 << 20;

type AddPhotoProps = {
  readonly client: { readonly id: string; readonly landmarks: Landmarks };
  readonly chartId: string;
  /** Where what is kept goes. */ readonly where: PhotoPlace;
  readonly onKeep: (photo: Photo) => Promise<boolean>;
};

/** A photograph is chosen, its light and hour said, and where the face lies on it tapped. */
export function AddPhoto({ client, chartId, where, onKeep }: AddPhotoProps) {
  const [chosen, setChosen] = useState<{ readonly file: File; readonly href: string } | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  const choose = async (file: File): Promise<void> => {
    const problem = questionPicture(new Uint8Array(await file.slice(0, HEAD_BYTES).arrayBuffer()));
    setFailure(problem);
    setChosen(problem ? null : { file, href: URL.createObjectURL(file) });
  };
  // The address is given back when another photograph takes its place and when the screen is left.
  useEffect(() => () => (chosen ? URL.revokeObjectURL(chosen.href) : undefined), [chosen]);
  return (
    <Column gap="$2" role="group" aria-label={msg`Another photograph`}>
      <Body>{msg`From the front, camera level with the eyes, hair back, with a place without make-up in it. For a flash test: once by daylight, once with the flash in a dim corner, from the same distance.`}</Body>
      <Line>
        <FileButton
          label={msg`Photograph`}
          accept="image/jpeg,image/png"
          kind={chosen ? 'quiet' : 'main'}
          onFile={(one) => void choose(one)}
        >
          {chosen ? msg`Another file` : msg`Choose a photograph`}
        </FileButton>
      </Line>
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      {chosen ? (
        <Taps
          key={chosen.href}
          {...chosen}
          landmarks={client.landmarks}
          where={where}
          onDone={async (told) => {
            const kept = await onKeep({
              id: newId(),
              clientId: client.id,
              chartId,
              blob: chosen.file,
              ...told,
            });
            if (kept) setChosen(null);
          }}
        />
      ) : null}
    </Column>
  );
}

type Told = Pick<Photo, 'at' | 'light' | 'taps' | 'bare'>;

function Taps({
  file,
  href,
  landmarks,
  where,
  onDone,
}: {
  readonly file: File;
  readonly href: string;
  readonly landmarks: Landmarks;
  readonly where: PhotoPlace;
  readonly onDone: (told: Told) => Promise<void>;
}) {
  const zone = zoneOfDays();
  const [taken] = useState(() => new Date(file.lastModified));
  const [day, setDay] = useState(() => todayText(taken));
  const [time, setTime] = useState(() => inZone(zone, taken, todayText(taken)));
  const [light, setLight] = useState<PhotoLight>('daylight');
  const [taps, setTaps] = useState<Readonly<Partial<Record<PhotoTap, Point>>>>({});
  const [chosen, setChosen] = useState<PhotoTap | null>(null);
  const [busy, setBusy] = useState(false);
  const [failure, setFailure] = useState<string | null>(null);
  const next = chosen ?? PHOTO_TAPS.find((name) => !(name in taps)) ?? null;
  const { pupil_right, pupil_left, gnathion, bare } = taps;
  const face = pupil_right && pupil_left && gnathion ? { pupil_right, pupil_left, gnathion } : null;
  const at = instantOf(zone, day, time);
  const place = (name: PhotoTap, to: Point): void => setTaps((all) => ({ ...all, [name]: to }));
  const keep = async (): Promise<void> => {
    if (!face) return;
    if (!at) return setFailure(msg`Say when it was taken: a day, and a time as 09:20.`);
    try {
      faceInPicture(landmarks, face);
    } catch (error) {
      return setFailure(error instanceof Error ? error.message : String(error));
    }
    setBusy(true);
    await onDone({ at, light, taps: face, bare: bare ?? null });
    setBusy(false);
  };
  return (
    <Column gap="$2">
      <Choice
        label={msg`Light`}
        options={PHOTO_LIGHTS}
        chosen={[light]}
        onChange={([one]) => one && setLight(one)}
      />
      <Line gap="$3">
        <Field label={msg`Taken on`} keyboard="date" value={day} onChange={setDay} />
        <Field label={msg`Taken at`} keyboard="time" value={time} onChange={setTime} />
      </Line>
      <Body aria-live="polite" fontWeight="700">
        {next ? msg`Tap ${PHOTO_TAP_WORDS[next]}` : msg`All four places are tapped.`}
      </Body>
      {next === 'bare' ? <Label>{msg`Needed for the flash test alone: it may be left out.`}</Label> : null}
      <TapPicture
        href={href}
        alt={msg`The photograph to be kept`}
        points={PHOTO_TAPS.flatMap((name) => {
          const to = taps[name];
          return to ? [{ name, at: to, words: PHOTO_TAP_WORDS[name] }] : [];
        })}
        chosen={chosen}
        onChoose={setChosen}
        onTap={(to) => {
          if (!next) return;
          place(next, to);
          setChosen(null);
        }}
        onMove={place}
      />
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      <Button kind="main" large disabled={!face || busy} onPress={() => void keep()}>
        {face ? term(KEEP_WORDS[where]) : msg`Tap both pupils and the chin`}
      </Button>
    </Column>
  );
}
