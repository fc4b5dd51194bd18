import { memo, useId } from 'react';
import { Defs, Ellipse, G, RadialGradient, Stop } from 'react-native-svg';
import type { SkinSpot } from '@toile/core';

/** The zones as they were read, each fading into the face's general colour. */
export const SkinSpots = memo(function SkinSpots({ spots }: { readonly spots: readonly SkinSpot[] }) {
  const id = useId();
  return (
    <G>
      <Defs>
        {spots.map(({ colour }, i) => (
          <RadialGradient key={i} id={`${id}${i}`} cx="0.5" cy="0.5" rx="0.5" ry="0.5">
            <Stop offset="0" stopColor={colour} stopOpacity={1} />
            <Stop offset="0.45" stopColor={colour} stopOpacity={0.75} />
            <Stop offset="1" stopColor={colour} stopOpacity={0} />
          </RadialGradient>
        ))}
      </Defs>
      {spots.map(({ at, radii }, i) => (
        <Ellipse key={i} cx={at[0]} cy={at[1]} rx={radii[0]} ry={radii[1]} fill={`url(#${id}${i})`} />
      ))}
    </G>
  );
});
