import { Column, Rule } from '../layout';
import { Screen } from '../Screen';
import { Body, Heading, Label } from '../Text';
import { PIECES } from './pieces';

/** Every part of the interface in every state, for whoever works on it. */
export function GalleryScreen() {
  return (
    <Screen title="Parts of the interface" above="While it is worked on">
      <Body>{`${PIECES.length} parts. Look at them on a phone, wide, light and dark, at 200 % zoom.`}</Body>
      {PIECES.map(({ name, use, states }) => (
        <Column key={name} role="region" aria-label={name} marginTop="$4">
          <Rule />
          <Heading fontSize="$5" lineHeight="$5" aria-level={2}>
            {name}
          </Heading>
          <Body color="$inkSoft">{use}</Body>
          {Object.entries(states).map(([state, Draw]) => (
            <Column key={state} gap="$2" maxWidth={520}>
              <Label>{state}</Label>
              <Draw />
            </Column>
          ))}
        </Column>
      ))}
    </Screen>
  );
}
