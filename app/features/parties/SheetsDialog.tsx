import { useState } from 'react';
import {
  newId,
  newSecret,
  pathTo,
  readSheetFor,
  sheetForText,
  SHARE_DAYS,
  sheetPath,
  type ShareDays,
  type SheetLinkAnswer,
} from '@toile/contract';
import { messages, msg, type PartyPlan, type SheetFor } from '@toile/core';
import { call } from '../../data/call';
import { useRefresh, useSession, useSheetLinks } from '../../data/hooks';
import { useSaving } from '../../data/useSaving';
import { Body, Button, Choice, Column, Dialog, Label, Line, Ready, Subheading } from '../../ui';
import { LinkShown } from '../share/LinkShown';
import { LinksGiven } from '../share/LinksGiven';

const PAPER_WORDS = messages({ a4: 'A4', letter: 'Letter' } as const);
const KINDS = ['whole', 'hands', 'person'] as const satisfies readonly SheetFor['kind'][];
const KIND_WORDS = messages({
  whole: 'everybody',
  hands: 'one pair of hands',
  person: 'one person',
} as const);
const DAY_WORDS: Readonly<Record<string, string>> = messages({
  '1': 'a day',
  '7': 'a week',
  '30': 'a month',
});

type SheetsDialogProps = {
  readonly partyId: string;
  readonly plan: PartyPlan;
  readonly onClose: () => void;
};

/**
 * What each is told: the day on paper, or by a link that ends; of everybody, one pair of hands, or one
 * person.
 */
export function SheetsDialog({ partyId, plan, onClose }: SheetsDialogProps) {
  const session = useSession();
  const refresh = useRefresh();
  const links = useSheetLinks(partyId);
  const { busy, failure, save } = useSaving();
  const [kind, setKind] = useState<SheetFor['kind']>('whole');
  const [whom, setWhom] = useState('whole');
  const [paper, setPaper] = useState<keyof typeof PAPER_WORDS>('a4');
  const [days, setDays] = useState<ShareDays>(7);
  const [link, setLink] = useState<{ readonly whom: string; readonly address: string } | null>(null);
  const [now] = useState(() => Date.now());
  const nameOf = (text: string): string => {
    const read = readSheetFor(text);
    if (!read || read.kind === 'whole') return msg`everybody`;
    const list = read.kind === 'hands' ? plan.hands : plan.guests;
    return list.find((one) => one.id === read.id)?.name ?? msg`somebody no longer there`;
  };
  const optionsOf = (of: SheetFor['kind']): string[] =>
    of === 'whole'
      ? ['whole']
      : (of === 'hands' ? plan.hands : plan.guests).map((one) => sheetForText({ kind: of, id: one.id }));
  const options = optionsOf(kind);
  const make = (): Promise<unknown> =>
    save(async () => {
      const studioId = session.data?.studio.id;
      if (!studioId) return;
      const secret = newSecret();
      await call('createSheetLink', { params: { id: partyId }, body: { id: newId(), whom, secret, days } });
      setLink({ whom, address: `${window.location.origin}${sheetPath(studioId, secret)}` });
      await refresh();
    });
  const revoke = (one: SheetLinkAnswer): Promise<unknown> =>
    save(async () => {
      await call('revokeSheetLink', { params: { id: one.id }, body: {} });
      await refresh();
    });
  return (
    <Dialog title={msg`Call sheets`} onClose={onClose}>
      <Column gap="$3">
        <Label>{msg`Times, names and places; nothing of skin, health or contact is on any of them.`}</Label>
        <Choice
          label={msg`For`}
          options={KINDS}
          words={KIND_WORDS}
          chosen={[kind]}
          onChange={([one]) => {
            if (!one) return;
            setKind(one);
            setWhom(optionsOf(one)[0] ?? 'whole');
          }}
        />
        {kind === 'whole' ? null : (
          <Choice
            label={kind === 'hands' ? msg`Whose work` : msg`Who is made up`}
            options={options}
            words={Object.fromEntries(options.map((one) => [one, nameOf(one)]))}
            chosen={[whom]}
            onChange={([one]) => one && setWhom(one)}
          />
        )}
        <Subheading>{msg`On paper`}</Subheading>
        <Line gap="$3" alignItems="flex-end">
          <Choice
            label={msg`Paper`}
            options={['a4', 'letter'] as const}
            words={PAPER_WORDS}
            chosen={[paper]}
            onChange={([one]) => one && setPaper(one)}
          />
          <Button
            kind="main"
            onPress={() =>
              window.location.assign(pathTo('partySheet', { id: partyId }, { for: whom, paper }))
            }
          >{msg`PDF`}</Button>
        </Line>
        <Subheading>{msg`By a link`}</Subheading>
        <Choice
          label={msg`It lasts`}
          options={SHARE_DAYS.map(String)}
          words={DAY_WORDS}
          chosen={[String(days)]}
          onChange={([d]) => setDays(SHARE_DAYS.find((known) => String(known) === d) ?? 7)}
        />
        <Line>
          <Button disabled={busy} onPress={() => void make()}>{msg`Make a link for ${nameOf(whom)}`}</Button>
        </Line>
        {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
        {link ? (
          <Column gap="$1">
            <LinkShown link={link.address} label={msg`The link for ${nameOf(link.whom)}, shown this once`} />
            <Label>{msg`It shows the day as it stands whenever it is opened.`}</Label>
          </Column>
        ) : null}
        <Ready remote={links}>
          {(list) => (
            <LinksGiven
              label={msg`Links to call sheets`}
              links={list}
              wordsOf={(one) => msg`${nameOf(one.whom)}, by ${one.madeBy}`}
              takes={(one) => msg`Take back the link for ${nameOf(one.whom)}`}
              busy={busy}
              now={now}
              onRevoke={(one) => void revoke(one)}
            />
          )}
        </Ready>
      </Column>
    </Dialog>
  );
}
