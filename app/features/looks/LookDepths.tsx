import { useMemo } from 'react';
import {
  labToHex,
  msg,
  PATTERN_SKIN_NAMES,
  patternClient,
  term,
  wantedColour,
  type Look,
  type LookStep,
  type PatternSkin,
} from '@toile/core';
import { Column, Label, Line } from '../../ui';
import { ColouredFace } from './ColouredFace';
import { layerOn } from './lookLayers';

/** A look on the pattern face in three depths of skin, each step in the colour it asks for there. */
export function LookDepths({ look, steps }: { readonly look: Look; readonly steps: readonly LookStep[] }) {
  return (
    <Column gap="$1" role="group" aria-label={msg`On three skins`}>
      <Line flexWrap="nowrap" gap="$2" alignItems="stretch">
        {PATTERN_SKIN_NAMES.map((skin) => (
          <OnSkin key={skin} look={look} steps={steps} skin={skin} />
        ))}
      </Line>
      <Label>{msg`The colour each step asks for, by a model; what the kit has for it is known once it is fitted.`}</Label>
    </Column>
  );
}

function OnSkin({
  look,
  steps,
  skin,
}: {
  readonly look: Look;
  readonly steps: readonly LookStep[];
  readonly skin: PatternSkin;
}) {
  const client = useMemo(() => patternClient(skin), [skin]);
  const layers = useMemo(
    () =>
      steps.flatMap((step) =>
        layerOn(step, client).map((layer) => {
          const lab = wantedColour(step, client, look.schools.contrast);
          return { ...layer, colour: lab ? labToHex(lab) : layer.colour };
        }),
      ),
    [steps, client, look.schools.contrast],
  );
  return (
    <ColouredFace
      client={client}
      layers={layers}
      title={term(skin)}
      height={190}
      label={msg`${look.name} on ${term(skin)} skin`}
    />
  );
}
