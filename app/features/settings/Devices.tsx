import { msg } from '@toile/core';
import { call } from '../../data/call';
import { useDevices, useRefresh } from '../../data/hooks';
import { useSaving } from '../../data/useSaving';
import { Body, Button, Column, Label, Line, Ready, Subheading } from '../../ui';
import { instantInWords } from '../words/dates';

/** Where one is signed in: each device, when it was last used, and signed out from here. */
export function Devices() {
  const devices = useDevices();
  const refresh = useRefresh();
  const { busy, failure, save } = useSaving();
  const end = (id: string | null): Promise<unknown> =>
    save(async () => {
      const answer = await call('endSessions', { body: { id } });
      await refresh({ name: 'devices', params: {}, answer });
    });
  return (
    <Column gap="$2">
      <Subheading>{msg`Where you are signed in`}</Subheading>
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      <Ready remote={devices}>
        {(list) => (
          <>
            <Column gap="$2" role="list" aria-label={msg`Devices`}>
              {list.map((device) => (
                <Line key={device.id} role="listitem" flexWrap="nowrap" justifyContent="space-between">
                  <Column flex={1} gap={0}>
                    <Body>{device.here ? msg`${device.device} (here)` : device.device}</Body>
                    <Label>{msg`Last used ${instantInWords(device.lastUse)}`}</Label>
                  </Column>
                  {device.here ? null : (
                    <Button
                      label={msg`Sign out ${device.device}`}
                      disabled={busy}
                      onPress={() => void end(device.id)}
                    >{msg`Sign out`}</Button>
                  )}
                </Line>
              ))}
            </Column>
            {list.length > 1 ? (
              <Button disabled={busy} onPress={() => void end(null)}>{msg`Sign out all others`}</Button>
            ) : null}
          </>
        )}
      </Ready>
    </Column>
  );
}
