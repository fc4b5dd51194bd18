import { useState } from 'react';
import {
  colourSeen,
  freshColour,
  isPlausibleSkin,
  LEAST_TOUCHES,
  msg,
  shiftInWords,
  term,
  trialZoneWords,
  type ColourSamples,
  type Lab,
  type Side,
  type SkinZone,
  type TrialNow,
  type TrialZone,
} from '@toile/core';
import { Body, Button, Choice, Column, Label, LabField, Line } from '../../ui';
import { ReaderDialog } from '../reading/ReaderDialog';
import { useReader } from '../reading/useReader';
import { capital } from '../words/capital';

/** Where the reader is laid for a zone of a trial; the nose has too little flat skin. */
const READ_AT: Readonly<Partial<Record<TrialZone, SkinZone>>> = {
  forehead: 'forehead',
  cheek: 'cheek',
  underEye: 'underEye',
  mouth: 'mouthSide',
  chin: 'chin',
  neck: 'neck',
};
const SIDES: readonly Side[] = ['right', 'left'];
const notSkin = (lab: Lab): string | null =>
  isPlausibleSkin(lab) ? null : msg`No skin has this colour. L* is 12 to 90, a* and b* mostly 3 to 30`;

type ColourHalvesProps = {
  readonly clientId: string;
  readonly zones: readonly TrialZone[];
  readonly looks: TrialNow['looks'];
  readonly value: ColourSamples;
  readonly onChange: (samples: ColourSamples) => void;
};

/**
 * Both halves read with the reader, or typed from one: the mean of some touches, and how far it is from the
 * fresh one.
 */
export function ColourHalves({ clientId, zones, looks, value, onChange }: ColourHalvesProps) {
  const reader = useReader();
  const [connecting, setConnecting] = useState(false);
  const [held, setHeld] = useState<{ readonly zone: TrialZone; readonly side: Side }>(() => ({
    zone: zones[0] ?? 'cheek',
    side: 'right',
  }));
  const [typing, setTyping] = useState(false);
  const at = READ_AT[held.zone];
  const name = msg`${capital(trialZoneWords(held.zone))}, client’s ${term(held.side)}`;
  const add = (lab: Lab): void =>
    onChange({
      ...value,
      [held.zone]: { ...value[held.zone], [held.side]: [...(value[held.zone]?.[held.side] ?? []), lab] },
    });
  const touch = async (): Promise<void> => {
    const lab = at ? await reader.touch({ clientId, zone: at }) : null;
    if (lab) add(lab);
  };
  const clear = (): void => onChange({ ...value, [held.zone]: { ...value[held.zone], [held.side]: [] } });
  return (
    <Column gap="$3">
      <Label>{msg`Five touches on one marked spot of each half, the same spot each time: the reader takes a little off. The first reading is the fresh one.`}</Label>
      <Column gap={0} role="table" aria-label={msg`What was read of both halves`}>
        {zones.flatMap((zone) =>
          SIDES.map((side) => (
            <Line key={`${zone} ${side}`} role="row" flexWrap="nowrap" gap="$2" paddingVertical="$1">
              <Body
                role="cell"
                flex={1}
              >{msg`${capital(trialZoneWords(zone))}, client’s ${term(side)}`}</Body>
              <Label role="cell" flex={1}>
                {readWords(value, looks, zone, side)}
              </Label>
            </Line>
          )),
        )}
      </Column>
      <Choice
        label={msg`Held to`}
        options={zones.flatMap((zone) => SIDES.map((side) => `${zone} ${side}` as const))}
        words={Object.fromEntries(
          zones.flatMap((zone) =>
            SIDES.map((side) => [`${zone} ${side}`, msg`${trialZoneWords(zone)}, client’s ${term(side)}`]),
          ),
        )}
        chosen={[`${held.zone} ${held.side}`]}
        onChange={([one]) => {
          const zone = zones.find((z) => one?.startsWith(`${z} `));
          if (zone && one) setHeld({ zone, side: one.endsWith('left') ? 'left' : 'right' });
        }}
      />
      <Line>
        {!at || typing ? null : reader.connected ? (
          <Button
            kind="main"
            label={msg`Take a sample: ${name}`}
            disabled={reader.busy}
            onPress={() => void touch()}
          >{msg`Take a sample`}</Button>
        ) : (
          <Button kind="main" onPress={() => setConnecting(true)}>{msg`Connect the reader`}</Button>
        )}
        <Button onPress={() => setTyping((on) => !on)}>
          {typing ? msg`Use the shade reader` : msg`Type CIELAB values`}
        </Button>
        <Button label={msg`Begin again: ${name}`} onPress={clear}>{msg`Begin again`}</Button>
      </Line>
      {at ? null : (
        <Label>{msg`The reader does not lie flat on the nose: type what another instrument reads.`}</Label>
      )}
      {typing || !at ? (
        <LabField key={name} label={name} button={msg`Add these values`} check={notSkin} onLab={add} />
      ) : null}
      {reader.failure ? <Body role="alert" color="$madder">{`▲ ${reader.failure}`}</Body> : null}
      {connecting ? <ReaderDialog reader={reader} onClose={() => setConnecting(false)} /> : null}
    </Column>
  );
}

/** How far one half is read, and how far it is from fresh. */
function readWords(value: ColourSamples, looks: TrialNow['looks'], zone: TrialZone, side: Side): string {
  const touches = value[zone]?.[side] ?? [];
  const [seen] = colourSeen({ [zone]: { [side]: touches } }, looks);
  if (!seen) return touches.length === 0 ? msg`not read` : msg`${touches.length} of ${LEAST_TOUCHES} touches`;
  return freshColour(looks, zone, side)
    ? msg`${touches.length} touches: ${shiftInWords(seen.value, touches.length)}`
    : msg`${touches.length} touches: fresh`;
}
