import { useId, useState } from 'react';
import { hexToSrgb, labToHex, msg, srgbToLab, type Lab } from '@toile/core';
import { Button } from './Button';
import { LabField } from './LabField';
import { Column, Line, View } from './layout';
import { Label } from './Text';
import { useColours } from './theme';

type ColourFieldProps = {
  /** What it opens on. */
  readonly start: Lab;
  readonly button: string;
  readonly onLab: (lab: Lab) => void;
};

const tenths = (value: number): number => Math.round(value * 10) / 10;

/** A colour picked by eye, or typed as a reader gives it; to a tenth, as readers have it. */
export function ColourField({ start, button, onLab }: ColourFieldProps) {
  const [hex, setHex] = useState(() => labToHex(start));
  const [typed, setTyped] = useState(false);
  const c = useColours();
  const id = useId();
  const give = ([l, a, b]: Lab): void => onLab([tenths(l), tenths(a), tenths(b)]);
  return (
    <Column gap="$2">
      {typed ? (
        <LabField label={msg`Colour as a reader gives it`} button={button} onLab={give} />
      ) : (
        <Line flexWrap="nowrap" alignItems="flex-end">
          <View flex={1}>
            <Label render={<label htmlFor={id} />}>{msg`Colour by eye`}</Label>
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
          <Button onPress={() => give(srgbToLab(hexToSrgb(hex)))}>{button}</Button>
        </Line>
      )}
      <Line>
        <Button onPress={() => setTyped(!typed)}>{typed ? msg`Pick by eye` : msg`Type L*a*b*`}</Button>
      </Line>
    </Column>
  );
}
