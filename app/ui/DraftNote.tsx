import { msg } from '@toile/core';
import { Button } from './Button';
import { Line } from './layout';
import { Label } from './Text';

/** Over a form that was left half filled in: it goes on where it was, unless one begins anew. */
export function DraftNote({ taken, anew }: { readonly taken: boolean; readonly anew: () => void }) {
  if (!taken) return null;
  return (
    <Line role="status" justifyContent="space-between" flexWrap="nowrap">
      <Label flex={1}>{msg`Taken up where it was left on this device.`}</Label>
      <Button onPress={anew}>{msg`Begin anew`}</Button>
    </Line>
  );
}
