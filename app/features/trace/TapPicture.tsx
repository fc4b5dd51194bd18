import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { msg, type Point } from '@toile/core';
import { useColours } from '../../ui';

const LOUPE_PX = 112;
const LOUPE_ZOOM = 3;
/** A press of an arrow moves by so small a part of the width. */
const STEPS_ACROSS = 600;
const ARROWS: Readonly<Record<string, Point>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

type TapPictureProps<Name extends string> = {
  readonly href: string;
  readonly alt: string;
  /** What was tapped already, in the picture's own pixels. */
  readonly points: readonly { readonly name: Name; readonly at: Point; readonly words: string }[];
  /** The one that is moved by the next tap. */
  readonly chosen: Name | null;
  readonly onChoose: (name: Name | null) => void;
  readonly onTap: (at: Point) => void;
  readonly onMove: (name: Name, to: Point) => void;
};

/**
 * A picture whose places are tapped: a loupe over the finger, each place to be chosen again or moved by arrow
 * keys, with Shift ten times as far. By keys alone Enter puts the next place in the middle, to be moved from
 * there.
 */
export function TapPicture<Name extends string>({
  href,
  alt,
  points,
  chosen,
  onChoose,
  onTap,
  onMove,
}: TapPictureProps<Name>) {
  const c = useColours();
  const [loupe, setLoupe] = useState<LoupeAt | null>(null);
  const [natural, setNatural] = useState<readonly [width: number, height: number] | null>(null);
  const picture = useRef<HTMLImageElement>(null);
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
    if (at) onTap(at.at);
  };
  const nudge = (event: KeyboardEvent, name: Name, at: Point): void => {
    const by = ARROWS[event.key];
    if (!by) return;
    event.preventDefault();
    // A place of the picture as shown, not of its own pixels: twelve million are many presses.
    const step = Math.max(1, Math.round((natural?.[0] ?? 0) / STEPS_ACROSS)) * (event.shiftKey ? 10 : 1);
    onMove(name, [at[0] + step * by[0], at[1] + step * by[1]]);
  };
  const enter = (event: KeyboardEvent): void => {
    if (event.target !== event.currentTarget || event.key !== 'Enter' || !natural) return;
    event.preventDefault();
    onTap([natural[0] / 2, natural[1] / 2]);
  };
  return (
    <div
      role="application"
      aria-label={msg`The photo: tap the place that is asked for, or put it in the middle with Enter and move it with the arrow keys`}
      tabIndex={0}
      onKeyDown={enter}
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
        alt={alt}
        draggable={false}
        style={{ display: 'block', width: '100%' }}
        onLoad={(event) => setNatural([event.currentTarget.naturalWidth, event.currentTarget.naturalHeight])}
      />
      {points.map(({ name, at, words }) => {
        const [x, y] = shown(at);
        const on = name === chosen;
        return (
          <button
            key={name}
            type="button"
            aria-label={msg`${words}: move it with the arrow keys, or choose it and tap again`}
            onPointerDown={(event) => event.stopPropagation()}
            onPointerUp={(event) => event.stopPropagation()}
            onClick={() => onChoose(on ? null : name)}
            onKeyDown={(event) => nudge(event, name, at)}
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
