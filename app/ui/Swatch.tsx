import { labToHex, msg, type Lab } from '@toile/core';
import { View } from '@tamagui/core';

type SwatchProps = {
  readonly lab: Lab | null;
  /** What it will sit on, shown beside it without a gap. */
  readonly beside?: Lab | null;
  readonly size?: number;
  readonly label?: string;
};

/** A colour on neutral grey, never smaller than 28 px, beside the skin it will sit on. */
export function Swatch({ lab, beside = null, size = 32, label }: SwatchProps) {
  const side = Math.max(28, size);
  return (
    <View
      role="img"
      aria-label={label ?? msg`colour sample`}
      flexDirection="row"
      backgroundColor="$judged"
      padding={4}
      flexShrink={0}
    >
      <View
        width={side}
        height={side}
        backgroundColor={lab ? labToHex(lab) : undefined}
        borderWidth={lab ? 0 : 1}
        borderStyle="dashed"
        borderColor="$inkSoft"
      />
      {beside ? <View width={side} height={side} backgroundColor={labToHex(beside)} /> : null}
    </View>
  );
}
