import { useId, useState } from 'react';
import { hexToSrgb, labToHex, srgbToLab, type Lab, type Occasion } from '@toile/core';
import { Button, Column, Field, Label, LabField, Line, Swatch, useColours, View } from '../../ui';

type Worn = NonNullable<Occasion['outfit']>;
/** As many as one outfit needs. */
const MOST = 6;
const START = '#7a8f7d';
const rounded = (lab: Lab): [number, number, number] => [
  Math.round(lab[0] * 10) / 10,
  Math.round(lab[1] * 10) / 10,
  Math.round(lab[2] * 10) / 10,
];

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
  const [hex, setHex] = useState(START);
  const [typed, setTyped] = useState(false);
  const [wrong, setWrong] = useState<string | undefined>();
  const c = useColours();
  const id = useId();
  const add = (lab: Lab): void => {
    if (name.trim() === '') return setWrong('Name it, as sage silk');
    onChange([...value, { name: name.trim(), lab: rounded(lab) }]);
    setName('');
    setWrong(undefined);
    setAdding(false);
  };
  return (
    <Column gap="$2" role="group" aria-label="Colours worn">
      <Label>Colours worn</Label>
      {value.map((worn, i) => (
        <Line key={`${worn.name} ${i}`} justifyContent="space-between" flexWrap="nowrap">
          <Line flexWrap="nowrap" flex={1}>
            <Swatch lab={worn.lab} size={36} label={worn.name} />
            <Label color="$ink" flex={1}>
              {worn.name}
            </Label>
          </Line>
          <Button label={`Take ${worn.name} away`} onPress={() => onChange(value.filter((_, k) => k !== i))}>
            ✕
          </Button>
        </Line>
      ))}
      {adding ? (
        <Column gap="$2" borderLeftWidth={2} borderLeftColor="$line" paddingLeft="$3">
          <Field label="What is it" value={name} onChange={setName} error={wrong} placeholder="Sage silk" />
          {typed ? (
            <LabField label="Colour as a reader gives it" button="Add this colour" onLab={add} />
          ) : (
            <Line flexWrap="nowrap" alignItems="flex-end">
              <View flex={1}>
                <Label render={<label htmlFor={id} />}>Colour by eye</Label>
                <input
                  id={id}
                  type="color"
                  value={hex}
                  onChange={(event) => setHex(event.target.value)}
                  style={{
                    width: '100%',
                    height: 46,
                    padding: 4,
                    border: `1px solid ${c.inkSoft}`,
                    background: c.surface,
                  }}
                />
              </View>
              <Button onPress={() => add(srgbToLab(hexToSrgb(hex)))}>Add this colour</Button>
            </Line>
          )}
          <Line>
            <Button onPress={() => setTyped(!typed)}>{typed ? 'Pick by eye' : 'Type L*a*b*'}</Button>
            <Button onPress={() => setAdding(false)}>Not now</Button>
          </Line>
        </Column>
      ) : value.length < MOST ? (
        <Button
          onPress={() => {
            setAdding(true);
            const last = value.at(-1);
            setHex(last ? labToHex(last.lab) : START);
          }}
        >
          Add a colour
        </Button>
      ) : null}
    </Column>
  );
}
