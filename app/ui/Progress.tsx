import { msg } from '@toile/core';
import { Button } from './Button';
import { Column, Line, View } from './layout';
import { Label } from './Text';

/** Work that takes a moment: how far it is, and a way to stop it. */
export function Progress({
  words,
  share,
  onStop,
}: {
  readonly words: string;
  readonly share: number;
  readonly onStop?: () => void;
}) {
  const percent = Math.round(100 * Math.min(1, Math.max(0, share)));
  return (
    <Line flexWrap="nowrap" gap="$3">
      <Column
        gap="$1"
        flex={1}
        role="progressbar"
        aria-label={words}
        aria-valuemin={0}
        aria-valuemax={100}
        aria-valuenow={percent}
      >
        <Label>{`${words}, ${percent} %`}</Label>
        <View height={6} backgroundColor="$raised">
          <View height={6} width={`${percent}%`} backgroundColor="$woad" />
        </View>
      </Column>
      {onStop ? <Button onPress={onStop}>{msg`Stop`}</Button> : null}
    </Line>
  );
}
