import { useState } from 'react';
import { isZone, msg } from '@toile/core';
import type { StudioSettingsAnswer } from '@toile/contract';
import { call } from '../../data/call';
import { deviceZone } from '../../data/deviceZone';
import { useRefresh } from '../../data/hooks';
import { useSaving } from '../../data/useSaving';
import { Body, Button, Column, Field, Line } from '../../ui';

/** The zone whose days the studio works by: where it is said, “today” is the same on every device. */
export function StudioZone({
  answer,
  mayChange,
}: {
  readonly answer: StudioSettingsAnswer;
  readonly mayChange: boolean;
}) {
  const refresh = useRefresh();
  const { busy, failure, errors, save } = useSaving();
  const [typed, setTyped] = useState<string | null>(null);
  const { zone } = answer.settings;
  const unknown = typed !== null && typed !== '' && !isZone(typed);

  const keep = async (next: string | undefined): Promise<void> => {
    const { zone: _before, ...others } = answer.settings;
    const body = next === undefined ? others : { ...others, zone: next };
    const saved = await save(() => call('updateStudioSettings', { body, revision: answer.revision }));
    if (!saved) return;
    setTyped(null);
    await refresh({ name: 'studioSettings', params: {}, answer: saved });
  };

  return (
    <Column gap="$2" role="group" aria-label={msg`The studio’s days`}>
      <Body>
        {zone === undefined
          ? msg`Days are those of each device; here ${deviceZone()}.`
          : msg`Days are those of ${zone}, on every device.`}
      </Body>
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      {!mayChange ? null : typed === null ? (
        <Line>
          <Button disabled={busy} onPress={() => setTyped(zone ?? deviceZone())}>
            {zone === undefined ? msg`Keep to one zone` : msg`Another zone`}
          </Button>
          {zone === undefined ? null : (
            <Button disabled={busy} onPress={() => void keep(undefined)}>{msg`As each device`}</Button>
          )}
        </Line>
      ) : (
        <>
          <Field
            label={msg`Time zone`}
            value={typed}
            onChange={setTyped}
            hint={msg`Continent and city, as Europe/Lisbon`}
            error={errors.zone ?? (unknown ? msg`No zone by that name, as Europe/Lisbon` : undefined)}
            onSubmit={() => void (unknown || typed === '' ? undefined : keep(typed))}
          />
          <Line>
            <Button onPress={() => setTyped(null)}>{msg`Leave it`}</Button>
            <Button
              kind="main"
              grow
              disabled={busy || unknown || typed === ''}
              onPress={() => void keep(typed)}
            >{msg`Keep to this zone`}</Button>
          </Line>
        </>
      )}
    </Column>
  );
}
