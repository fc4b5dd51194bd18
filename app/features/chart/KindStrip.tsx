import { LAYER_KINDS, LAYER_LOOKS, msg, type Chart } from '@toile/core';
import { Label, Line } from '../../ui';
import { Notch } from '../face/Notch';

/** Which kinds of layer the chart has: notch and word; the legend of the drawing. */
export function KindStrip({ steps }: { readonly steps: Chart['steps'] }) {
  const kinds = LAYER_KINDS.filter((kind) => steps.some((s) => s.role === kind));
  return (
    <Line gap="$3" role="group" aria-label={msg`What the marks mean`}>
      {kinds.map((kind) => (
        <Line key={kind} gap="$1">
          <Notch kind={kind} size={16} />
          <Label fontSize="$1" lineHeight="$1">
            {LAYER_LOOKS[kind].name}
          </Label>
        </Line>
      ))}
    </Line>
  );
}
