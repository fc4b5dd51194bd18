import { useState } from 'react';
import { feedPath, newSecret } from '@toile/contract';
import { msg } from '@toile/core';
import { call } from '../../data/call';
import { useCalendarFeed, useRefresh, useSession } from '../../data/hooks';
import { useSaving } from '../../data/useSaving';
import { Body, Button, Column, CopyButton, Field, Label, Line, Ready, Subheading } from '../../ui';
import { dayInWords } from '../words/dates';

/** One's own calendar of the studio by a secret link, shown when it is made; renewed, the old one ends. */
export function CalendarFeed() {
  const feed = useCalendarFeed();
  const session = useSession();
  const refresh = useRefresh();
  const { busy, failure, save } = useSaving();
  const [link, setLink] = useState<string | null>(null);
  const renew = (): Promise<unknown> =>
    save(async () => {
      if (!session.data) return;
      const secret = newSecret();
      await call('renewFeed', { body: { secret } });
      setLink(`${window.location.origin}${feedPath(session.data.studio.id, secret)}`);
      await refresh();
    });
  const end = (): Promise<unknown> =>
    save(async () => {
      await call('endFeed', { body: {} });
      setLink(null);
      await refresh();
    });
  return (
    <Column gap="$2" role="group" aria-label={msg`Calendar`}>
      <Subheading>{msg`Visits in your own calendar`}</Subheading>
      <Label>{msg`A link your calendar reads by itself: names, places, hours, and what is to be done by when. Whoever has it can read that; nothing of skin, health or contact is in it.`}</Label>
      <Ready remote={feed}>
        {({ madeAt }) => (
          <>
            {link ? (
              <>
                <Field label={msg`The link, shown this once`} value={link} onChange={() => undefined} />
                <CopyButton text={link} words={msg`Copy the link`} />
              </>
            ) : madeAt ? (
              <Body>{msg`A link is out since ${dayInWords(madeAt)}.`}</Body>
            ) : null}
            {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
            <Line>
              <Button disabled={busy} onPress={() => void renew()}>
                {madeAt ? msg`A new link, the old one ends` : msg`Make the link`}
              </Button>
              {madeAt ? (
                <Button kind="stop" disabled={busy} onPress={() => void end()}>{msg`End the link`}</Button>
              ) : null}
            </Line>
          </>
        )}
      </Ready>
    </Column>
  );
}
