import { memo } from 'react';
import { G, Path } from 'react-native-svg';
import type { FaceGuides, Point } from '@toile/core';

const openPath = (line: readonly Point[]): string =>
  `M${line.map(([x, y]) => `${x.toFixed(1)},${y.toFixed(1)}`).join('L')}`;

/** Limits and guide lines, dashed and light. */
export const Chalk = memo(function Chalk({
  guides,
  finder,
  colour,
}: {
  readonly guides: FaceGuides;
  readonly finder: boolean;
  readonly colour: string;
}) {
  const lines = (['left', 'right'] as const).flatMap((side) => [
    guides.cheekLine[side],
    guides.smileLine[side],
    guides.pupilLine[side],
  ]);
  const closed = [guides.eyeArea.left, guides.eyeArea.right, guides.freeTriangle];
  return (
    <G fill="none" stroke={colour} strokeWidth={0.55} strokeDasharray="2.2 1.6">
      {lines.map((line, i) => (
        <Path key={i} d={openPath(line)} />
      ))}
      {closed.map((line, i) => (
        <Path key={`c${i}`} d={`${openPath(line)}Z`} />
      ))}
      {finder
        ? [guides.finder.left, guides.finder.right].map(({ gap, hollowLine }, i) => (
            <G key={`f${i}`}>
              <Path d={`${openPath(gap)}Z`} fill={colour} fillOpacity={0.13} stroke="none" />
              <Path
                d={openPath(hollowLine)}
                strokeWidth={0.8}
                strokeDasharray="0.2 2"
                strokeLinecap="round"
              />
            </G>
          ))
        : null}
    </G>
  );
});
