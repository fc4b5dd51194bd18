import type { ErrorBoundaryProps } from 'expo-router';
import { useEffect, useState } from 'react';
import { msg } from '@toile/core';
import { appOut, isUnfetched, renewIfNewer } from '../../data/appOut';
import { useReadAnew } from '../../data/handOver';
import { Body, Button, Column, Heading } from '../../ui';

/**
 * What stands in the place of a screen that has stumbled: the rest of the app goes on, and it can be opened
 * again. The router shuts the fault in, inside its own navigation: a boundary around that would take the
 * address away.
 */
export function Mishap({ error, retry }: ErrorBoundaryProps) {
  const readAnew = useReadAnew();
  const unfetched = isUnfetched(error);
  const [alone, setAlone] = useState(false);
  useEffect(() => void (unfetched && renewIfNewer()), [unfetched]);
  const again = async (): Promise<void> => {
    if (unfetched) {
      // What failed to come once is remembered by the page: only a new one asks for it again.
      const reachable = (await appOut()) !== 'unreachable';
      setAlone(!reachable);
      if (reachable) window.location.reload();
      return;
    }
    // What was read may be what it stumbled over.
    await readAnew();
    await retry();
  };
  return (
    <Column role="alert" padding="$4" gap="$3" alignItems="flex-start" maxWidth={640}>
      <Heading>{unfetched ? msg`A part of the app did not come` : msg`This place has stumbled`}</Heading>
      <Body>{msg`Charts being changed, readings being taken and what was recorded at the chair are kept on this device.`}</Body>
      {unfetched ? null : <Body color="$inkSoft">{msg`What it said: ${error.message}`}</Body>}
      {alone ? (
        <Body color="$madder">{msg`▲ The studio cannot be reached. Check the connection and try again.`}</Body>
      ) : null}
      <Button kind="main" onPress={() => void again()}>{msg`Open it again`}</Button>
    </Column>
  );
}
