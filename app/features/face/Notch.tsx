import { LAYER_LOOKS, msg, type LayerKind } from '@toile/core';
import Svg, { Path, Text as SvgText } from 'react-native-svg';
import { useColours } from '../../ui';

/** The notch of a layer kind, cut into the edge above it, with its step's number under it. */
export function Notch({
  kind,
  number,
  size = 22,
}: {
  readonly kind: LayerKind | 'care';
  readonly number?: number;
  readonly size?: number;
}) {
  const c = useColours();
  const name = kind === 'care' ? msg`Care` : LAYER_LOOKS[kind].name;
  return (
    <Svg
      width={size}
      height={number === undefined ? size * 0.75 : size * 1.45}
      viewBox={number === undefined ? '0 0 16 12' : '0 0 16 23'}
      role="img"
      aria-label={number === undefined ? name : msg`step ${number}, ${name}`}
    >
      {kind === 'care' ? (
        <Path d="M0 0H16V1.6H0Z" fill={c.ink} />
      ) : (
        <Path d={LAYER_LOOKS[kind].notch} fill={c.ink} />
      )}
      {number === undefined ? null : (
        <SvgText
          x={8}
          y={22}
          fontSize={9.5}
          fontFamily="Atkinson, sans-serif"
          textAnchor="middle"
          fill={c.ink}
        >
          {`${number} `}
        </SvgText>
      )}
    </Svg>
  );
}
