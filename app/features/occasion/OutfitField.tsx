import { useState } from 'react';
import { hexToSrgb, msg, srgbToLab, type Lab, type Occasion } from '@toile/core';
import { Button, ColourField, Column, Field, Label, Line, Swatch } from '../../ui';

type Worn = NonNullable<Occasion['outfit']>;
/** As many as one outfit needs. */
const MOST = 6;
const START = srgbToLab(hexToSrgb('#7a8f7d'));

/** Colours that are worn, each with a name: picked by eye, or typed as a reader gives them. */
export function OutfitField({
  value,
  onChange,
}: {
  readonly value: Worn;
  readonly onChange: (outfit: Worn) => void;
}) {
  const [adding, setAdding] = useState(false);
  const [name, setName] = useState('');
  const [wrong, setWrong] = useState<string | undefined>();
  const add = (lab: Lab): void => {
    if (name.trim() === '') return setWrong(msg`Name it, as sage silk`);
    onChange([...value, { name: name.trim(), lab: [...lab] }]);
    setName('');
    setWrong(undefined);
    setAdding(false);
  };
  return (
    <Column gap="$2" role="group" aria-label={msg`Colours worn`}>
      <Label>{msg`Colours worn`}</Label>
      {value.map((worn, i) => (
        <Line key={`${worn.name} ${i}`} justifyContent="space-between" flexWrap="nowrap">
          <Line flexWrap="nowrap" flex={1}>
            <Swatch lab={worn.lab} size={36} label={worn.name} />
            <Label color="$ink" flex={1}>
              {worn.name}
            </Label>
          </Line>
          <Button
            label={msg`Take ${worn.name} away`}
            onPress={() => onChange(value.filter((_, k) => k !== i))}
          >
            ✕
          </Button>
        </Line>
      ))}
      {adding ? (
        <Column gap="$2" borderLeftWidth={2} borderLeftColor="$line" paddingLeft="$3">
          <Field
            label={msg`What is it`}
            value={name}
            onChange={setName}
            error={wrong}
            placeholder={msg`Sage silk`}
          />
          <ColourField start={value.at(-1)?.lab ?? START} button={msg`Add this colour`} onLab={add} />
          <Line>
            <Button onPress={() => setAdding(false)}>{msg`Not now`}</Button>
          </Line>
        </Column>
      ) : value.length < MOST ? (
        <Button onPress={() => setAdding(true)}>{msg`Add a colour`}</Button>
      ) : null}
    </Column>
  );
}
