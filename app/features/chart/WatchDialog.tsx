import {
  areaOf,
  guideNamed,
  msg,
  outlineOf,
  skillForGuide,
  type ClientSnapshot,
  type Placement,
  type Point,
} from '@toile/core';
import { Body, Dialog, Label } from '../../ui';
import { FaceStage } from '../face/FaceStage';
import { ROUND, StrokePlay } from '../practice/StrokePlay';
import { fadeWords } from '../practice/practiceView';
import { capital } from '../words/capital';

/** Round what is drawn so much of the face is shown, mm. */
const ROUND_MM = 24;

/** A line a hand draws, with how wide what is laid along it is; null where it goes round a patch. */
type Stroke = {
  readonly line: readonly Point[];
  readonly widthMm: number | null;
  readonly fade: readonly [number, number];
};

/**
 * A guide as a hand draws it on this client's own skin, at half speed, with where it begins and why it lies
 * there.
 */
export function WatchDialog({
  client,
  placement,
  onClose,
}: {
  readonly client: ClientSnapshot;
  readonly placement: Extract<Placement, { guide: unknown }>;
  readonly onClose: () => void;
}) {
  const { landmarks, features, skin } = client;
  const guide = guideNamed(placement.guide);
  const strokes = outlineOf(placement, landmarks, features).flatMap(({ line, region, fade }): Stroke[] => {
    const outline = region[0];
    if (line) return [{ line, widthMm: areaOf(region) / Math.max(1, lengthOf(line)), fade }];
    return outline ? [{ line: [...outline, outline[0]!], widthMm: null, fade: ROUND.fade }] : [];
  });
  const points = strokes.flatMap(({ line }) => line);
  const stroke = strokes.find(({ widthMm }) => widthMm !== null);
  const why = skillForGuide(placement.guide)?.why;
  return (
    <Dialog title={msg`${capital(guide.label.toLowerCase())}, as it is drawn`} onClose={onClose}>
      <FaceStage
        landmarks={landmarks}
        features={features}
        skin={skin}
        height={320}
        framing={points.length > 0 ? frameRound(points) : 'face'}
        label={msg`${guide.label} drawn on ${client.name}`}
      >
        {(toPixels, mmPerPixel) =>
          strokes.map(({ line, widthMm, fade }, i) => (
            <StrokePlay
              key={i}
              line={line.map(toPixels)}
              fade={fade}
              widthPx={widthMm === null ? ROUND.widthPx : widthMm / mmPerPixel}
            />
          ))
        }
      </FaceStage>
      <Body>{`${capital(guide.where)}.${stroke ? ` ${fadeWords(stroke.fade)}` : ''}`}</Body>
      {why ? <Label>{why}</Label> : null}
    </Dialog>
  );
}

const lengthOf = (line: readonly Point[]): number =>
  line.slice(1).reduce((sum, p, i) => sum + Math.hypot(p[0] - line[i]![0], p[1] - line[i]![1]), 0);

function frameRound(points: readonly Point[]): readonly [number, number, number, number] {
  const xs = points.map(([x]) => x);
  const ys = points.map(([, y]) => y);
  const [left, top] = [Math.min(...xs) - ROUND_MM, Math.min(...ys) - ROUND_MM];
  return [left, top, Math.max(...xs) + ROUND_MM - left, Math.max(...ys) + ROUND_MM - top];
}
