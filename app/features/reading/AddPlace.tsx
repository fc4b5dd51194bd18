import { useState } from 'react';
import { msg, SKIN_ZONE_NAMES, SKIN_ZONES, term, type SkinZone } from '@toile/core';
import { Button, Choice, Column, Field, Line } from '../../ui';

type AddPlaceProps = {
  readonly beside: SkinZone;
  readonly onAdd: (name: string, beside: SkinZone) => void;
  readonly onClose: () => void;
};

const USUAL = ['Shadow', 'Redness', 'Mark', 'Scar'] as const;

/** A spot that differs, or any other place: what it is called and which zone it lies in. */
export function AddPlace({ beside, onAdd, onClose }: AddPlaceProps) {
  const [name, setName] = useState('');
  const [zone, setZone] = useState<SkinZone>(beside);
  const [error, setError] = useState<string | undefined>();
  const add = (): void => {
    const trimmed = name.trim();
    if (trimmed === '') return setError(msg`Name the place`);
    if (trimmed.length > 60) return setError(msg`At most 60 letters`);
    onAdd(trimmed, zone);
  };
  return (
    <Column
      gap="$2"
      borderWidth={1}
      borderColor="$line"
      padding="$3"
      role="group"
      aria-label={msg`Add a place`}
    >
      <Field
        label={msg`What it is called`}
        value={name}
        onChange={setName}
        error={error}
        onSubmit={add}
        placeholder={msg`Old scar, ear, jaw`}
      />
      <Line>
        {USUAL.map((usual) => (
          <Button key={usual} onPress={() => setName(usual)}>
            {term(usual)}
          </Button>
        ))}
      </Line>
      <Choice
        label={msg`Lies in`}
        options={SKIN_ZONES}
        words={SKIN_ZONE_NAMES}
        chosen={[zone]}
        onChange={([z]) => z && setZone(z)}
      />
      <Line flexWrap="nowrap">
        <Button onPress={onClose}>{msg`Not now`}</Button>
        <Button grow kind="main" onPress={add}>{msg`Add the place`}</Button>
      </Line>
    </Column>
  );
}
