import { useState } from 'react';
import { newId, newSecret, SHARE_DAYS, sharePath, type ShareDays } from '@toile/contract';
import { messages, msg } from '@toile/core';
import { call } from '../../data/call';
import { useRefresh, useSession, useShares } from '../../data/hooks';
import { useSaving } from '../../data/useSaving';
import { Body, Button, Choice, Column, Dialog, Ready, Switch } from '../../ui';
import { LinkShown } from './LinkShown';
import { LinksGiven } from './LinksGiven';

type ShareDialogProps = { readonly chartId: string; readonly version: number; readonly onClose: () => void };

const DAY_WORDS: Readonly<Record<string, string>> = messages({
  '1': 'a day',
  '7': 'a week',
  '30': 'a month',
});

/** Links that show this version to a colleague or the client; each ends by itself and can be taken back. */
export function ShareDialog({ chartId, version, onClose }: ShareDialogProps) {
  const shares = useShares(chartId);
  const session = useSession();
  const refresh = useRefresh();
  const [days, setDays] = useState<ShareDays>(7);
  const [cautions, setCautions] = useState(false);
  const [link, setLink] = useState<string | null>(null);
  const { failure, save } = useSaving();

  const tried = async (work: () => Promise<unknown>): Promise<void> => {
    await save(async () => {
      await work();
      await refresh();
    });
  };
  const make = (): Promise<void> =>
    tried(async () => {
      const studioId = session.data?.studio.id;
      if (!studioId) return;
      const secret = newSecret();
      await call('createShare', {
        params: { id: chartId },
        body: { id: newId(), version, secret, days, cautions },
      });
      setLink(`${window.location.origin}${sharePath(studioId, secret)}`);
    });
  const [now] = useState(() => Date.now());
  return (
    <Dialog title={msg`Share the chart`} onClose={onClose}>
      <Column gap="$3">
        <Body>{msg`Whoever has the link sees version ${version}, and can change nothing. It shows no contact data, and cautions only if you choose so.`}</Body>
        <Choice
          label={msg`It lasts`}
          options={SHARE_DAYS.map(String)}
          words={DAY_WORDS}
          chosen={[String(days)]}
          onChange={([d]) => setDays(SHARE_DAYS.find((known) => String(known) === d) ?? 7)}
        />
        <Switch
          label={msg`Show the client’s cautions`}
          on={cautions}
          onToggle={() => setCautions((c) => !c)}
        />
        <Button kind="main" onPress={() => void make()}>{msg`Make a link`}</Button>
        {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
        {link ? <LinkShown link={link} /> : null}
        <Ready remote={shares}>
          {(list) => (
            <LinksGiven
              label={msg`Links`}
              links={list}
              wordsOf={(one) =>
                msg`Version ${one.version} by ${one.madeBy}${one.cautions ? msg`, with cautions` : ''}`
              }
              takes={(one) => msg`Take back the link to version ${one.version}`}
              busy={false}
              now={now}
              onRevoke={(one) => void tried(() => call('revokeShare', { params: { id: one.id }, body: {} }))}
            />
          )}
        </Ready>
      </Column>
    </Dialog>
  );
}
