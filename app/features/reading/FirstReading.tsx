import { messages, msg } from '@toile/core';
import { useClients } from '../../data/hooks';
import { Body, Column, Label } from '../../ui';

const HOW = messages([
  'Bare, clean skin; ten minutes after washing or cream, when no redness is left.',
  'Lay the reader flat and lightly: pressed hard, skin pales. It brings its own light.',
  'Five touches a zone, a few millimetres apart; spots and hair are left out and read by themselves.',
  'Do not leave out neck and decollete: the base is matched to them.',
  'A touch that stands off is struck through. Go on until the zone says steady.',
]);

/** How a reading is done, until a studio has done its first. */
export function FirstReading() {
  const clients = useClients('');
  if (!clients.data || clients.data.some(({ lastRead }) => lastRead !== null)) return null;
  return (
    <Column
      gap="$1"
      borderLeftWidth={3}
      borderLeftColor="$woad"
      paddingLeft="$3"
      role="group"
      aria-label={msg`How a first reading is done`}
    >
      <Body fontWeight="700">{msg`How a first reading is done`}</Body>
      {HOW.map((words, i) => (
        <Label key={words}>{`${i + 1}. ${words}`}</Label>
      ))}
    </Column>
  );
}
