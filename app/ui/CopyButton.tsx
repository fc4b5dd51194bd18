import { useState } from 'react';
import { msg } from '@toile/core';
import { Button } from './Button';
import { Column } from './layout';
import { Body } from './Text';

/** Copies a text, and says whether it did. */
export function CopyButton({
  text,
  words = msg`Copy`,
  label,
}: {
  readonly text: string;
  readonly words?: string;
  /** What is copied, where several stand beside each other. */
  readonly label?: string;
}) {
  const [told, setTold] = useState<{ readonly of: string; readonly done: boolean } | null>(null);
  const mine = told?.of === text ? told : null;
  const copy = (): void => {
    const copied = navigator.clipboard?.writeText(text) ?? Promise.reject(new Error('no clipboard'));
    copied.then(
      () => setTold({ of: text, done: true }),
      () => setTold({ of: text, done: false }),
    );
  };
  return (
    <Column gap="$1">
      <Button onPress={copy} label={label}>
        {mine?.done ? msg`✓ Copied` : words}
      </Button>
      {mine && !mine.done ? (
        <Body
          role="alert"
          color="$madder"
        >{msg`▲ It could not be copied: mark it and copy it by hand.`}</Body>
      ) : null}
    </Column>
  );
}
