import { useState } from 'react';
import {
  messagesIn,
  msg,
  otherSide,
  questionTaps,
  TAP_WORDS,
  TAPPED_LANDMARKS,
  tapsInMm,
  term,
  type PictureTaps,
  type Point,
  type TappedLandmark,
  type Taps,
} from '@toile/core';
import { Body, Button, Choice, Column, Field, FileButton, Label, Line, Subheading, Switch } from '../../ui';
import { TapPicture } from './TapPicture';
import { usePhoto } from './usePhoto';
import { capital } from '../words/capital';

/** Lengths that set the scale: two tapped places and what is between them. */
const SCALES = messagesIn(['words'], {
  pupils: { from: 'pupil_right', to: 'pupil_left', words: 'between the pupils', usual: '63' },
  face: { from: 'hairline_c', to: 'gnathion', words: 'hairline to chin', usual: '180' },
  cheekbones: { from: 'zygion_right', to: 'zygion_left', words: 'across the cheekbones', usual: '132' },
} as const satisfies Record<
  string,
  { from: TappedLandmark; to: TappedLandmark; words: string; usual: string }
>);
type ScaleName = keyof typeof SCALES;

type PhotoTapsProps = { readonly clientId: string; readonly onTraced: (taps: Taps) => void };

/**
 * A face traced by taps on a photo: one place after another, each to be moved or skipped, a loupe over the
 * finger, one length for the scale.
 */
export function PhotoTaps({ clientId, onTraced }: PhotoTapsProps) {
  const photo = usePhoto(clientId);
  const [consent, setConsent] = useState(false);
  return (
    <Column gap="$3">
      <Subheading>{msg`Taps on a photo`}</Subheading>
      <Body>{msg`From the front, hair back, the camera level with the eyes. The photo stays in this page: it is never sent, and is dropped when you leave.`}</Body>
      <Line>
        <FileButton label={msg`Choose a photo`} accept="image/*" onFile={photo.open}>
          {photo.href ? msg`Another photo` : msg`Choose a photo`}
        </FileButton>
        {photo.href ? (
          <Button onPress={() => void photo.drop()}>
            {photo.kept ? msg`Forget the kept photo` : msg`Drop the photo`}
          </Button>
        ) : null}
      </Line>
      {photo.href ? <Tapping key={photo.href} href={photo.href} onTraced={onTraced} /> : null}
      {photo.href && !photo.kept ? (
        <Column gap="$1">
          <Switch
            label={msg`The client agrees that the photo is kept on this device`}
            on={consent}
            onToggle={() => setConsent((c) => !c)}
          />
          {consent ? <Button onPress={() => void photo.keep()}>{msg`Keep it on this device`}</Button> : null}
        </Column>
      ) : null}
      {photo.kept ? <Label>{msg`Kept on this device only, as the client agreed.`}</Label> : null}
    </Column>
  );
}

function Tapping({ href, onTraced }: { readonly href: string; readonly onTraced: (taps: Taps) => void }) {
  const [taps, setTaps] = useState<PictureTaps>({});
  const [skipped, setSkipped] = useState<readonly TappedLandmark[]>([]);
  const [chosen, setChosen] = useState<TappedLandmark | null>(null);
  const [mirrored, setMirrored] = useState(false);
  const [scale, setScale] = useState<ScaleName>('pupils');
  const [length, setLength] = useState('');
  const [failure, setFailure] = useState<string | null>(null);

  const next = chosen ?? TAPPED_LANDMARKS.find((name) => !(name in taps) && !skipped.includes(name)) ?? null;
  const tapped = Object.keys(taps).length;
  const place = (name: TappedLandmark, at: Point): void => setTaps((all) => ({ ...all, [name]: at }));

  const finish = (): void => {
    const value = Number((length || SCALES[scale].usual).replace(',', '.'));
    if (length.trim() === '')
      return setFailure(
        msg`Measure ${term(SCALES[scale].words)} with the tape and write it down: it sets the scale.`,
      );
    const { from, to } = SCALES[scale];
    const named = mirrored
      ? Object.fromEntries(
          Object.entries(taps).map(([name, [x, y]]) => [otherSide(name as TappedLandmark), [-x, y] as const]),
        )
      : taps;
    try {
      const mm = tapsInMm(named, { from, to, mm: value });
      const swapped = questionTaps(mm);
      const grave = swapped.filter((q) => /swapped|below/.test(q.message));
      if (grave.length > 0) {
        setChosen(grave[0]!.name);
        return setFailure(`${capital(TAP_WORDS[grave[0]!.name])}: ${grave[0]!.message}`);
      }
      setFailure(
        swapped.length > 0 ? `${capital(TAP_WORDS[swapped[0]!.name])}: ${swapped[0]!.message}` : null,
      );
      onTraced(mm);
    } catch (error) {
      setFailure(error instanceof Error ? error.message : String(error));
    }
  };

  return (
    <Column gap="$2">
      <Body aria-live="polite" fontWeight="700">
        {next ? msg`Tap ${TAP_WORDS[next]}` : msg`All places tapped or skipped`}
      </Body>
      <Label>{msg`${tapped} of ${TAPPED_LANDMARKS.length} tapped${skipped.length > 0 ? msg`, ${skipped.length} skipped: inferred` : ''}`}</Label>
      <TapPicture
        href={href}
        alt={msg`Chosen for tracing`}
        points={(Object.entries(taps) as [TappedLandmark, Point][]).map(([name, at]) => ({
          name,
          at,
          words: TAP_WORDS[name],
        }))}
        chosen={chosen}
        onChoose={setChosen}
        onTap={(at) => {
          if (!next) return;
          place(next, at);
          setChosen(null);
        }}
        onMove={place}
      />
      <Line>
        <Button
          disabled={!next}
          onPress={() => next && (setSkipped((s) => [...s, next]), setChosen(null))}
        >{msg`Skip this place`}</Button>
        <Button
          disabled={tapped + skipped.length === 0}
          onPress={() => {
            const last = [...TAPPED_LANDMARKS]
              .reverse()
              .find((name) => name in taps || skipped.includes(name));
            setSkipped((s) => s.filter((name) => name !== last));
            setTaps(({ ...all }) =>
              last ? Object.fromEntries(Object.entries(all).filter(([name]) => name !== last)) : all,
            );
            setChosen(null);
          }}
        >{msg`Take the last back`}</Button>
      </Line>
      <Switch
        label={msg`The photo is mirrored, as selfies are`}
        on={mirrored}
        onToggle={() => setMirrored((m) => !m)}
      />
      <Choice
        label={msg`One length you know sets the scale`}
        options={Object.keys(SCALES) as ScaleName[]}
        words={{ pupils: SCALES.pupils.words, face: SCALES.face.words, cheekbones: SCALES.cheekbones.words }}
        chosen={[scale]}
        onChange={([s]) => s && setScale(s)}
      />
      <Field
        label={msg`Length ${term(SCALES[scale].words)}`}
        unit={msg`mm`}
        keyboard="decimal"
        value={length}
        onChange={setLength}
        placeholder={msg`about ${SCALES[scale].usual}`}
        error={failure ?? undefined}
      />
      <Button kind="main" disabled={tapped < 6} onPress={finish}>
        {tapped < 6 ? msg`Tap six places or more` : msg`Draw the face from the taps`}
      </Button>
    </Column>
  );
}
