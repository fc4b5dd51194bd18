import { useMemo } from 'react';
import { guides, msg, type Chart, type Step } from '@toile/core';
import { Column, Label, Subheading } from '../../ui';

/** Whether a step contours the cheek by its guide or by hand: where the edge and the hollow matter. */
export function isCheekContour(step: Step): boolean {
  return (
    step.role === 'contour' && step.placements.some((p) => ('guide' in p ? p.guide === 'cheekContour' : true))
  );
}

/** Says what the two lines on the cheek are and how far apart they lie on this face. */
export function ContourLines({ client, step }: { readonly client: Chart['client']; readonly step: Step }) {
  const finder = useMemo(() => guides(client.landmarks, client.features).finder, [client]);
  if (!isCheekContour(step)) return null;
  const [left, right] = [finder.left.gapMm.toFixed(0), finder.right.gapMm.toFixed(0)];
  const gap =
    left === right ? msg`${left} mm` : msg`${left} mm on the client’s left, ${right} mm on the right`;
  return (
    <Column gap="$1" role="note" aria-label={msg`Smile line and hollow line`}>
      <Subheading fontSize="$2" lineHeight="$2">{msg`Two ways to find it`}</Subheading>
      <Label>{msg`Smile and trace the edge: the dashed line, where contour lies. Suck the cheeks in and the hollow shows: the dotted line, ${gap} from it and too low.`}</Label>
    </Column>
  );
}
