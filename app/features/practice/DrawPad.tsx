import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { msg, outlineOf, term, type DrawnExercise, type Point } from '@toile/core';
import { useColours } from '../../ui';
import { FaceStage } from '../face/FaceStage';
import { askedLine, frameOf } from './practiceView';
import { ROUND, StrokePlay } from './StrokePlay';

export type Drawn = {
  readonly line: readonly Point[];
  readonly coarse: boolean;
  readonly mmPerPixel: number;
  /** How hard each point was pressed; null where nothing tells, as of a finger or a mouse. */
  readonly pressure: readonly number[] | null;
};

type DrawPadProps = {
  readonly task: DrawnExercise;
  readonly height: number;
  /** What was drawn, once it is judged: shown beside the guide. */ readonly judged: {
    readonly line: readonly Point[];
    readonly at: Point | null;
  } | null;
  readonly watching: boolean;
  readonly onDrawn: (drawn: Drawn) => void;
};

/** A key moves the pen so far, mm; with Shift further. */
const STEP_MM = 1;
const STRIDE_MM = 5;
/** Points nearer than this are one, mm. */
const NEAR_MM = 0.3;

/**
 * A face to draw one line on, or round one patch: with a finger, a pen or a mouse, or with the arrow keys.
 */
export function DrawPad({ task, height, judged, watching, onDrawn }: DrawPadProps) {
  const { model, placement } = task;
  const shown = task.kind === 'line' ? task.shown : null;
  const round = task.kind === 'patch';
  return (
    <FaceStage
      landmarks={model.landmarks}
      features={model.features}
      skin={model.skin}
      height={height}
      framing={frameOf(task)}
      label={msg`A face to practise on, the client’s ${term(task.side)}`}
    >
      {(toPixels, mmPerPixel, toMm) => {
        const region = (of: typeof placement): string =>
          outlineOf(of, model.landmarks, model.features)
            .flatMap((shape) => shape.region)
            .map((polygon) => pathOf(polygon.map(toPixels), true))
            .join('');
        return (
          <>
            <Layers
              shownPath={shown ? region(shown) : null}
              guidePath={judged ? region(placement) : null}
              line={judged ? pathOf(judged.line.map(toPixels), round) : null}
              at={judged?.at ? toPixels(judged.at) : null}
            />
            {watching ? (
              <StrokePlay
                line={askedLine(task).map(toPixels)}
                fade={task.kind === 'line' ? task.guide.fade : ROUND.fade}
                widthPx={task.kind === 'line' ? task.guide.widthMm / mmPerPixel : ROUND.widthPx}
              />
            ) : null}
            {judged || watching ? null : (
              <Surface
                toMm={toMm}
                toPixels={toPixels}
                mmPerPixel={mmPerPixel}
                start={middleOf(task)}
                onDrawn={onDrawn}
              />
            )}
          </>
        );
      }}
    </FaceStage>
  );
}

const pathOf = (points: readonly Point[], closed: boolean): string =>
  points.length < 2
    ? ''
    : `M${points.map(([x, y]) => `${x.toFixed(1)},${y.toFixed(1)}`).join('L')}${closed ? 'Z' : ''}`;

/** Where the keys' pen begins: in the middle of what is shown, which tells nothing of where the line is. */
function middleOf(task: DrawnExercise): Point {
  const [x, y, w, h] = frameOf(task);
  return [x + w / 2, y + h / 2];
}

function Layers({
  shownPath,
  guidePath,
  line,
  at,
}: {
  readonly shownPath: string | null;
  readonly guidePath: string | null;
  readonly line: string | null;
  readonly at: Point | null;
}) {
  const c = useColours();
  return (
    <svg
      width="100%"
      height="100%"
      aria-hidden
      style={{ position: 'absolute', inset: 0, pointerEvents: 'none' }}
    >
      {shownPath ? <path d={shownPath} fill={c.woad} opacity={0.45} /> : null}
      {guidePath ? (
        <>
          <path d={guidePath} fill={c.moss} fillOpacity={0.3} stroke="#fff" strokeWidth={4} />
          <path d={guidePath} fill="none" stroke="#111" strokeWidth={2} strokeDasharray="6 4" />
        </>
      ) : null}
      {line ? (
        <>
          <path d={line} fill="none" stroke="#fff" strokeWidth={6} strokeLinecap="round" />
          <path d={line} fill="none" stroke="#111" strokeWidth={3} strokeLinecap="round" />
        </>
      ) : null}
      {at ? (
        <>
          <circle cx={at[0]} cy={at[1]} r={13} fill="none" stroke="#fff" strokeWidth={5} />
          <circle cx={at[0]} cy={at[1]} r={13} fill="none" stroke="#111" strokeWidth={2} />
        </>
      ) : null}
    </svg>
  );
}

type SurfaceProps = {
  readonly toMm: (p: Point) => Point;
  readonly toPixels: (p: Point) => Point;
  readonly mmPerPixel: number;
  readonly start: Point;
  readonly onDrawn: (drawn: Drawn) => void;
};

function Surface({ toMm, toPixels, mmPerPixel, start, onDrawn }: SurfaceProps) {
  const drawing = useRef<Point[] | null>(null);
  const pressed = useRef<number[]>([]);
  const preview = useRef<SVGPathElement>(null);
  const [pen, setPen] = useState<{
    readonly at: Point;
    readonly line: readonly Point[];
    readonly down: boolean;
  }>({
    at: start,
    line: [],
    down: false,
  });
  const [keyed, setKeyed] = useState(false);
  const show = (line: readonly Point[]): void =>
    preview.current?.setAttribute('d', pathOf(line.map(toPixels), false));
  const give = (line: readonly Point[], coarse: boolean, pressure: readonly number[] | null = null): void => {
    show([]);
    if (line.length >= 2) onDrawn({ line, coarse, mmPerPixel, pressure });
  };
  const at = (event: PointerEvent<HTMLDivElement>): Point => {
    const box = event.currentTarget.getBoundingClientRect();
    return toMm([event.clientX - box.left, event.clientY - box.top]);
  };
  const add = (p: Point, pressure: number): void => {
    const last = drawing.current?.at(-1);
    if (last && Math.hypot(p[0] - last[0], p[1] - last[1]) < NEAR_MM) return;
    drawing.current?.push(p);
    pressed.current.push(pressure);
  };
  const key = (event: KeyboardEvent<HTMLDivElement>): void => {
    const by = event.shiftKey ? STRIDE_MM : STEP_MM;
    const step: Readonly<Record<string, Point>> = {
      ArrowLeft: [-by, 0],
      ArrowRight: [by, 0],
      ArrowUp: [0, -by],
      ArrowDown: [0, by],
    };
    const move = step[event.key];
    if (move) {
      const to: Point = [pen.at[0] + move[0], pen.at[1] + move[1]];
      setPen({ ...pen, at: to, line: pen.down ? [...pen.line, to] : pen.line });
    } else if (event.key === ' ')
      setPen({ ...pen, down: !pen.down, line: pen.down ? pen.line : [...pen.line, pen.at] });
    else if (event.key === 'Backspace') setPen({ ...pen, line: [], down: false });
    else if (event.key === 'Enter') give(pen.line, false);
    else return;
    setKeyed(true);
    event.preventDefault();
    event.stopPropagation();
  };
  const [x, y] = toPixels(pen.at);
  return (
    <div
      role="application"
      tabIndex={0}
      aria-label={msg`Draw here. By keys: arrows move the pen a millimetre, with Shift five; Space puts it down and lifts it, Backspace begins anew, Enter is done.`}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        drawing.current = [at(event)];
        pressed.current = [event.pressure];
      }}
      onPointerMove={(event) => {
        if (!drawing.current) return;
        add(at(event), event.pressure);
        show(drawing.current);
      }}
      onPointerUp={(event) => {
        const line = drawing.current;
        drawing.current = null;
        if (line)
          give(line, event.pointerType === 'touch', event.pointerType === 'pen' ? pressed.current : null);
      }}
      onPointerCancel={() => {
        drawing.current = null;
        show([]);
      }}
      onKeyDown={key}
      style={{ position: 'absolute', inset: 0, touchAction: 'none', cursor: 'crosshair', userSelect: 'none' }}
    >
      <svg width="100%" height="100%" aria-hidden style={{ pointerEvents: 'none' }}>
        <path ref={preview} fill="none" stroke="#111" strokeWidth={4} strokeLinecap="round" />
        {keyed ? (
          <>
            <path d={pathOf(pen.line.map(toPixels), false)} fill="none" stroke="#111" strokeWidth={4} />
            <circle cx={x} cy={y} r={9} fill={pen.down ? '#111' : 'none'} stroke="#fff" strokeWidth={4} />
            <circle cx={x} cy={y} r={9} fill="none" stroke="#111" strokeWidth={2} />
          </>
        ) : null}
      </svg>
    </div>
  );
}
