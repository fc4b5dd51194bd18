import type { ReactNode } from 'react';
import { ActivityIndicator } from 'react-native';
import { msg } from '@toile/core';
import { Button } from './Button';
import { Column } from './layout';
import { Body, Heading } from './Text';
import { useColours } from './theme';

/** Waiting, said in words. */
export function Loading({ words = msg`One moment` }: { readonly words?: string }) {
  const c = useColours();
  return (
    <Column padding="$5" alignItems="center" role="status" aria-live="polite">
      <ActivityIndicator aria-label={words} color={c.woad} />
      <Body color="$inkSoft">{words}</Body>
    </Column>
  );
}

/** What went wrong, and the way to try again. */
export function Failed({ words, onRetry }: { readonly words: string; readonly onRetry: () => void }) {
  return (
    <Column padding="$5" alignItems="flex-start" role="alert">
      <Body color="$madder">{`▲ ${words}`}</Body>
      <Button onPress={onRetry}>{msg`Try again`}</Button>
    </Column>
  );
}

/** Nothing here yet, and the first step towards something. */
export function Empty({
  title,
  words,
  children,
}: {
  readonly title: string;
  readonly words: string;
  readonly children?: ReactNode;
}) {
  return (
    <Column padding="$5" alignItems="flex-start">
      <Heading fontSize="$5" lineHeight="$5">
        {title}
      </Heading>
      <Body color="$inkSoft">{words}</Body>
      {children}
    </Column>
  );
}

export type Remote<T> = {
  readonly data: T | undefined;
  readonly error: Error | undefined;
  readonly retry: () => void;
};

/** Draws a remote value in one of its states: waiting, failed, or ready. */
export function Ready<T>({
  remote,
  children,
  words,
}: {
  readonly remote: Remote<T>;
  readonly children: (data: T) => ReactNode;
  readonly words?: string;
}) {
  if (remote.data !== undefined) return <>{children(remote.data)}</>;
  if (remote.error) return <Failed words={remote.error.message} onRetry={remote.retry} />;
  return <Loading words={words} />;
}
