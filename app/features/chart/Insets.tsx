import { useMemo, useState } from 'react';
import { insetBox, msg, term, type ClientSnapshot, type Inset, type Step } from '@toile/core';
import { Column, Judged, Label, Line, Switch } from '../../ui';
import { FaceView } from '../face/FaceView';
import { layersOf } from './layers';

const EYES: readonly Step['role'][] = ['eye', 'liner', 'lash', 'brow'];
const LIPS: readonly Step['role'][] = ['lip', 'lip line'];

/** The insets that show a step, or all of them when no step is open. */
export function insetsFor(step: Step | null): Inset[] {
  if (!step) return ['right eye', 'left eye', 'lips'];
  if (EYES.includes(step.role)) return ['right eye', 'left eye'];
  if (LIPS.includes(step.role)) return ['lips'];
  return [];
}

/**
 * Small work up close: each eye, open or closed, and the lips. The client's right stands on the left, as on
 * her face.
 */
export function Insets({
  client,
  steps,
  step,
}: {
  readonly client: ClientSnapshot;
  readonly steps: readonly Step[];
  readonly step: Step | null;
}) {
  const [closed, setClosed] = useState(false);
  const insets = insetsFor(step);
  const eyes = closed ? 'closed' : 'open';
  const small = useMemo(
    () =>
      steps.filter(
        (s) =>
          EYES.includes(s.role) || LIPS.includes(s.role) || s.role === 'highlight' || s.role === 'adornment',
      ),
    [steps],
  );
  const layers = useMemo(() => layersOf(client, small, step?.id ?? null, eyes), [client, small, step, eyes]);
  if (insets.length === 0) return null;
  return (
    <Column gap="$1" role="group" aria-label={msg`Up close`}>
      <Line flexWrap="nowrap" gap="$2">
        {insets.map((inset) => {
          const words =
            inset === 'lips' ? msg`lips` : msg`client’s ${term(inset)}${closed ? msg`, closed` : ''}`;
          return (
            <Judged key={inset} padding="$1" flex={1} gap={0}>
              <FaceView
                landmarks={client.landmarks}
                features={client.features}
                skin={client.skin}
                layers={layers}
                eyes={eyes}
                near
                view={insetBox(inset, client.landmarks)}
                width="100%"
                height={insets.length === 1 ? 150 : 104}
                label={msg`Up close: ${words}`}
              />
              <Label fontSize="$1" lineHeight="$1" color="$ink" textAlign="center">
                {words}
              </Label>
            </Judged>
          );
        })}
      </Line>
      {insets.includes('left eye') ? (
        <Switch label={msg`Eyes closed`} on={closed} onToggle={() => setClosed((now) => !now)} />
      ) : null}
    </Column>
  );
}
