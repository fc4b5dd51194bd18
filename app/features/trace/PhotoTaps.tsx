import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import {
  otherSide,
  questionTaps,
  TAP_WORDS,
  TAPPED_LANDMARKS,
  tapsInMm,
  type PictureTaps,
  type Point,
  type TappedLandmark,
  type Taps,
} from '@toile/core';
import {
  Body,
  Button,
  Choice,
  Column,
  Field,
  FileButton,
  Label,
  Line,
  Subheading,
  Switch,
  useColours,
} from '../../ui';
import { usePhoto } from './usePhoto';
import { capital } from '../words/capital';

/** Lengths that set the scale: two tapped places and what is between them. */
const SCALES = {
  pupils: { from: 'pupil_right', to: 'pupil_left', words: 'between the pupils', usual: '63' },
  face: { from: 'hairline_c', to: 'gnathion', words: 'hairline to chin', usual: '180' },
  cheekbones: { from: 'zygion_right', to: 'zygion_left', words: 'across the cheekbones', usual: '132' },
} as const satisfies Record<
  string,
  { from: TappedLandmark; to: TappedLandmark; words: string; usual: string }
>;
type ScaleName = keyof typeof SCALES;

const LOUPE_PX = 112;
const LOUPE_ZOOM = 3;

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
      <Subheading>Taps on a photo</Subheading>
      <Body>
        From the front, hair back, the camera level with the eyes. The photo stays in this page: it is never
        sent, and is dropped when you leave.
      </Body>
      <Line>
        <FileButton label="Choose a photo" accept="image/*" onFile={photo.open}>
          {photo.href ? 'Another photo' : 'Choose a photo'}
        </FileButton>
        {photo.href ? (
          <Button onPress={() => void photo.drop()}>
            {photo.kept ? 'Forget the kept photo' : 'Drop the photo'}
          </Button>
        ) : null}
      </Line>
      {photo.href ? <Tapping key={photo.href} href={photo.href} onTraced={onTraced} /> : null}
      {photo.href && !photo.kept ? (
        <Column gap="$1">
          <Switch
            label="The client agrees that the photo is kept on this device"
            on={consent}
            onToggle={() => setConsent((c) => !c)}
          />
          {consent ? <Button onPress={() => void photo.keep()}>Keep it on this device</Button> : null}
        </Column>
      ) : null}
      {photo.kept ? <Label>Kept on this device only, as the client agreed.</Label> : null}
    </Column>
  );
}

function Tapping({ href, onTraced }: { readonly href: string; readonly onTraced: (taps: Taps) => void }) {
  const c = useColours();
  const [taps, setTaps] = useState<PictureTaps>({});
  const [skipped, setSkipped] = useState<readonly TappedLandmark[]>([]);
  const [chosen, setChosen] = useState<TappedLandmark | null>(null);
  const [mirrored, setMirrored] = useState(false);
  const [scale, setScale] = useState<ScaleName>('pupils');
  const [length, setLength] = useState('');
  const [failure, setFailure] = useState<string | null>(null);
  const [loupe, setLoupe] = useState<LoupeAt | null>(null);
  const [natural, setNatural] = useState<readonly [width: number, height: number] | null>(null);
  const picture = useRef<HTMLImageElement>(null);

  const next = chosen ?? TAPPED_LANDMARKS.find((name) => !(name in taps) && !skipped.includes(name)) ?? null;
  const tapped = Object.keys(taps).length;
  const place = (name: TappedLandmark, at: Point): void => setTaps((all) => ({ ...all, [name]: at }));

  /** Where a finger is, in pixels of the picture itself; null before it has loaded. */
  const inPicture = (event: PointerEvent): LoupeAt | null => {
    const box = picture.current?.getBoundingClientRect();
    if (!box || !natural) return null;
    const [x, y] = [event.clientX - box.left, event.clientY - box.top];
    return {
      at: [(x / box.width) * natural[0], (y / box.height) * natural[1]],
      shown: [x, y],
      width: box.width,
    };
  };
  const shown = ([x, y]: Point): Point =>
    natural ? [(x / natural[0]) * 100, (y / natural[1]) * 100] : [0, 0];
  const down = (event: PointerEvent<HTMLDivElement>): void => {
    event.currentTarget.setPointerCapture(event.pointerId);
    setLoupe(inPicture(event));
  };
  const up = (event: PointerEvent<HTMLDivElement>): void => {
    const at = inPicture(event);
    setLoupe(null);
    if (!at || !next) return;
    place(next, at.at);
    setChosen(null);
  };
  const nudge = (event: KeyboardEvent, name: TappedLandmark): void => {
    const by = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
    const at = taps[name];
    if (!by || !at) return;
    event.preventDefault();
    place(name, [at[0] + by[0]!, at[1] + by[1]!]);
  };

  const finish = (): void => {
    const value = Number((length || SCALES[scale].usual).replace(',', '.'));
    if (length.trim() === '')
      return setFailure(`Measure ${SCALES[scale].words} with the tape and write it down: it sets the scale.`);
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
        {next ? `Tap ${TAP_WORDS[next]}` : 'All places tapped or skipped'}
      </Body>
      <Label>{`${tapped} of ${TAPPED_LANDMARKS.length} tapped${skipped.length > 0 ? `, ${skipped.length} skipped: inferred` : ''}`}</Label>
      <div
        role="application"
        aria-label="The photo: tap the place that is asked for"
        onPointerDown={down}
        onPointerMove={(event) => loupe && setLoupe(inPicture(event))}
        onPointerUp={up}
        onPointerCancel={() => setLoupe(null)}
        style={{
          position: 'relative',
          width: '100%',
          touchAction: 'none',
          userSelect: 'none',
          cursor: 'crosshair',
        }}
      >
        <img
          ref={picture}
          src={href}
          alt="Chosen for tracing"
          draggable={false}
          style={{ display: 'block', width: '100%' }}
          onLoad={(event) =>
            setNatural([event.currentTarget.naturalWidth, event.currentTarget.naturalHeight])
          }
        />
        {(Object.entries(taps) as [TappedLandmark, Point][]).map(([name, at]) => {
          const [x, y] = shown(at);
          const on = name === chosen;
          return (
            <button
              key={name}
              type="button"
              aria-label={`${TAP_WORDS[name]}: move it with the arrow keys, or choose it and tap again`}
              onPointerDown={(event) => event.stopPropagation()}
              onPointerUp={(event) => event.stopPropagation()}
              onClick={() => setChosen(on ? null : name)}
              onKeyDown={(event) => nudge(event, name)}
              style={{
                position: 'absolute',
                left: `${x}%`,
                top: `${y}%`,
                width: 24,
                height: 24,
                margin: '-12px 0 0 -12px',
                padding: 0,
                border: 'none',
                background: 'transparent',
              }}
            >
              <span
                style={{
                  display: 'block',
                  width: on ? 12 : 8,
                  height: on ? 12 : 8,
                  margin: 'auto',
                  borderRadius: 8,
                  background: on ? c.weld : c.woad,
                  border: `2px solid ${c.surface}`,
                }}
              />
            </button>
          );
        })}
        {loupe ? <Loupe href={href} {...loupe} /> : null}
      </div>
      <Line>
        <Button disabled={!next} onPress={() => next && (setSkipped((s) => [...s, next]), setChosen(null))}>
          Skip this place
        </Button>
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
        >
          Take the last back
        </Button>
      </Line>
      <Switch
        label="The photo is mirrored, as selfies are"
        on={mirrored}
        onToggle={() => setMirrored((m) => !m)}
      />
      <Choice
        label="One length you know sets the scale"
        options={Object.keys(SCALES) as ScaleName[]}
        words={{ pupils: SCALES.pupils.words, face: SCALES.face.words, cheekbones: SCALES.cheekbones.words }}
        chosen={[scale]}
        onChange={([s]) => s && setScale(s)}
      />
      <Field
        label={`Length ${SCALES[scale].words}`}
        unit="mm"
        keyboard="decimal"
        value={length}
        onChange={setLength}
        placeholder={`about ${SCALES[scale].usual}`}
        error={failure ?? undefined}
      />
      <Button kind="main" disabled={tapped < 6} onPress={finish}>
        {tapped < 6 ? 'Tap six places or more' : 'Draw the face from the taps'}
      </Button>
    </Column>
  );
}

/** A finger on the picture: in its own pixels, on screen, and how wide it is shown. */
type LoupeAt = { readonly at: Point; readonly shown: Point; readonly width: number };

/** The picture round the finger, larger, above it, so that the finger does not hide the place. */
function Loupe({ href, shown: [x, y], width }: LoupeAt & { readonly href: string }) {
  const c = useColours();
  const above = y > LOUPE_PX + 40;
  return (
    <div
      aria-hidden
      style={{
        position: 'absolute',
        left: Math.max(0, Math.min(width - LOUPE_PX, x - LOUPE_PX / 2)),
        top: above ? y - LOUPE_PX - 36 : y + 36,
        width: LOUPE_PX,
        height: LOUPE_PX,
        borderRadius: LOUPE_PX,
        border: `2px solid ${c.ink}`,
        overflow: 'hidden',
        backgroundColor: c.judged,
        backgroundImage: `url("${href}")`,
        backgroundRepeat: 'no-repeat',
        backgroundSize: `${width * LOUPE_ZOOM}px auto`,
        backgroundPosition: `${LOUPE_PX / 2 - x * LOUPE_ZOOM}px ${LOUPE_PX / 2 - y * LOUPE_ZOOM}px`,
        pointerEvents: 'none',
      }}
    >
      <span
        style={{
          position: 'absolute',
          left: LOUPE_PX / 2 - 10,
          top: LOUPE_PX / 2 - 1,
          width: 20,
          height: 1,
          background: c.madder,
        }}
      />
      <span
        style={{
          position: 'absolute',
          left: LOUPE_PX / 2 - 1,
          top: LOUPE_PX / 2 - 10,
          width: 1,
          height: 20,
          background: c.madder,
        }}
      />
    </div>
  );
}
