import { useEffect, useState } from 'react';
import type { Point } from '@toile/core';

/** How long a stroke is drawn for, ms: half as fast as a hand. */
const PLAY_MS = 3200;
/** With little motion asked for it is shown in so many stages, each held so long, ms. */
const STAGES = 3;
const STAGE_MS = 1200;
/** As most strokes are: most lies where the brush lands, and it fades from there. */
const USUAL_FADE = [1, 0.3] as const;

/** Round a patch it is drawn so wide, px, and as lightly all the way. */
export const ROUND = { widthPx: 5, fade: [0.8, 0.8] } as const;

const reducedMotion = (): boolean => window.matchMedia('(prefers-reduced-motion: reduce)').matches;

/** A stroke as a hand draws it: from its beginning, thinner and lighter as its guide is, or growing. */
export function StrokePlay({
  line,
  widthPx,
  fade: [start, end] = USUAL_FADE,
}: {
  readonly line: readonly Point[];
  readonly widthPx: number;
  /** How much lies at its beginning and at its end. */ readonly fade?: readonly [start: number, end: number];
}) {
  const [share, setShare] = useState(0);
  useEffect(() => {
    if (reducedMotion()) {
      const timer = setInterval(
        () => setShare((now) => (now >= 1 ? 1 / STAGES : Math.min(1, now + 1 / STAGES))),
        STAGE_MS,
      );
      return () => clearInterval(timer);
    }
    const start = performance.now();
    let frame = requestAnimationFrame(function play(now) {
      setShare(Math.min(1, (now - start) / PLAY_MS));
      frame = requestAnimationFrame(play);
    });
    return () => cancelAnimationFrame(frame);
  }, []);
  const upTo = Math.max(1, Math.round(share * (line.length - 1)));
  return (
    <svg
      width="100%"
      height="100%"
      aria-hidden
      style={{ position: 'absolute', inset: 0, pointerEvents: 'none' }}
    >
      {line.slice(0, upTo).map(([x, y], i) => {
        const [toX, toY] = line[i + 1] ?? line[i]!;
        const t = i / Math.max(1, line.length - 1);
        return (
          <line
            key={i}
            x1={x}
            y1={y}
            x2={toX}
            y2={toY}
            stroke="#111"
            strokeOpacity={0.75 * (start + (end - start) * t)}
            strokeWidth={Math.max(2, widthPx * (0.4 + 0.6 * (start + (end - start) * t)))}
            strokeLinecap="round"
          />
        );
      })}
    </svg>
  );
}
