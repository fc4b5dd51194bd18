import { useState } from 'react';
import {
  listed,
  messages,
  msg,
  packedThings,
  type PackingList,
  type Packed,
  type ShortOf,
  type Thing,
} from '@toile/core';
import { usePacking } from '../../data/hooks';
import {
  Body,
  Button,
  Choice,
  Column,
  Dialog,
  Empty,
  Field,
  Label,
  Line,
  Ready,
  Subheading,
  Switch,
} from '../../ui';
import { dayInWords, todayText } from '../words/dates';
import { LogState } from './LogState';
import { usePartyLog, type PartyLog } from './usePartyLog';
import type { PartyWork } from './usePartyPlan';

/** What stands for no case in particular. */
const LOOSE = 'no case';
const FIRST_CASES = messages(['Kit case', 'Brush roll', 'Bag']);

/** What to pack: ticked by whoever packs, on as many phones as there are, with or without a network. */
export function PackPanel({ work }: { readonly work: PartyWork }) {
  const { party, plan } = work;
  const log = usePartyLog(party.id);
  const list = usePacking(party.id, todayText());
  if (plan.guests.length === 0)
    return <Empty title={msg`Nobody to pack for`} words={msg`Add the people first, and give them charts.`} />;
  return (
    <Column gap="$4">
      <LogState log={log} />
      <Ready remote={list}>{(packing) => <Lists work={work} log={log} packing={packing} />}</Ready>
    </Column>
  );
}

type ListsProps = { readonly work: PartyWork; readonly log: PartyLog; readonly packing: PackingList };

function Lists({ work, log, packing }: ListsProps) {
  const { plan, keep, failure } = work;
  const packed = packedThings(log.events);
  const used = [...new Set(log.events.flatMap((event) => event.into ?? []))];
  const cases = [...new Set([...(used.length > 0 ? used : FIRST_CASES)])];
  const [into, setInto] = useState<string>(cases[0]!);
  const [naming, setNaming] = useState(false);
  const things = [...packing.products, ...packing.tools, ...packing.disposables, ...packing.bags];
  const doneCount = things.filter((thing) => packed.has(thing.key)).length;
  const toggle = (thing: Thing): void =>
    packed.has(thing.key)
      ? log.tell('unpacked', thing.key)
      : log.tell('packed', thing.key, into === LOOSE ? {} : { into });
  const lists: readonly (readonly [title: string, things: readonly Thing[]])[] = [
    [msg`Products`, packing.products],
    [msg`Tools`, packing.tools],
    [msg`Used once`, packing.disposables],
    [msg`Touch-up bags`, packing.bags],
  ];
  return (
    <>
      <Column gap="$1" aria-live="polite">
        <Body>{msg`${doneCount} of ${things.length} packed`}</Body>
        {packing.without.length > 0 ? (
          <Label>{msg`No chart yet, so nothing is packed for: ${packing.without.join(', ')}.`}</Label>
        ) : null}
        {packing.gone.length > 0 ? (
          <Body color="$madder">{msg`▲ In a chart but no longer in the kit: ${packing.gone.join(', ')}.`}</Body>
        ) : null}
        {packing.barred.length > 0 ? (
          <Body color="$madder">{msg`■ In a chart and not for who wears it, by what is noted now: ${packing.barred.join('; ')}.`}</Body>
        ) : null}
      </Column>
      <Column gap="$2">
        <Switch
          label={msg`Nothing can be bought there`}
          on={plan.noShop === true}
          onToggle={() => void keep({ ...plan, noShop: plan.noShop !== true })}
        />
        {plan.noShop ? (
          <Field
            label={msg`Last day with a shop before`}
            keyboard="date"
            value={plan.lastShop ?? ''}
            onChange={(day) => {
              if (/^\d{4}-\d{2}-\d{2}$/.test(day) || day === '')
                void keep({ ...plan, lastShop: day || null });
            }}
          />
        ) : null}
        {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      </Column>
      {packing.short.length > 0 ? <Shorts shorts={packing.short} /> : null}
      {packing.shared.map((one) => (
        <Body key={one.productId} color="$madder">
          {`▲ ${sharedWords(one)}`}
        </Body>
      ))}
      {things.length === 0 ? null : (
        <Line gap="$3" alignItems="flex-end">
          <Choice
            label={msg`Packing into`}
            options={[...new Set([...cases, into, LOOSE])]}
            chosen={[into]}
            onChange={([one]) => one && setInto(one)}
          />
          <Button onPress={() => setNaming(true)}>{msg`Another case`}</Button>
        </Line>
      )}
      {lists.map(([title, some]) =>
        some.length === 0 ? null : (
          <Column key={title} gap={0} role="group" aria-label={title}>
            <Subheading>{title}</Subheading>
            {some.map((thing) => (
              <Switch
                key={thing.key}
                label={[thing.title, thing.detail, whereWords(packed.get(thing.key))]
                  .filter((words) => words !== '')
                  .join(' · ')}
                on={packed.has(thing.key)}
                onToggle={() => toggle(thing)}
              />
            ))}
          </Column>
        ),
      )}
      {naming ? (
        <CaseDialog
          onName={(name) => {
            setInto(name);
            setNaming(false);
          }}
          onClose={() => setNaming(false)}
        />
      ) : null}
    </>
  );
}

/** What is enough and yet not where it is wanted, and what helps. */
const sharedWords = ({ name, who, how }: PackingList['shared'][number]): string =>
  how === 'at once'
    ? msg`${name} is wanted at one time by ${listed(who)}, and there is not enough of it for each: decant it, bring another, or plan those faces one after the other.`
    : msg`${name} is wanted by ${listed(who)} in different places, and there is not enough of it for each: decant it or bring another.`;

const whereWords = (packed: Packed | undefined): string =>
  packed ? msg`in ${packed.into ?? msg`no case`}, by ${packed.by}` : '';

function Shorts({ shorts }: { readonly shorts: readonly ShortOf[] }) {
  return (
    <Column gap="$2" role="group" aria-label={msg`Short`}>
      <Subheading>{msg`Short`}</Subheading>
      {shorts.map((one) => (
        <Body key={one.productId} color="$madder">
          {[
            msg`▲ ${one.name}: ${grams(one.needMg)} wanted, ${grams(one.haveMg)} there`,
            one.left.includes('past') ? msg`what else there is is past its months that day` : '',
            one.left.includes('withdrawn') ? msg`it is withdrawn` : '',
            one.tooLate
              ? msg`too late to order (${dayInWords(one.buyBy)}): take another in its place`
              : msg`buy ${one.buy} by ${dayInWords(one.buyBy)}`,
          ]
            .filter((words) => words !== '')
            .join('; ')}
        </Body>
      ))}
    </Column>
  );
}

/** 0.4 g, 12 g. */
const grams = (mg: number): string => `${mg < 10_000 ? (mg / 1000).toFixed(1) : Math.round(mg / 1000)} g`;

function CaseDialog({
  onName,
  onClose,
}: {
  readonly onName: (name: string) => void;
  readonly onClose: () => void;
}) {
  const [name, setName] = useState('');
  const [tried, setTried] = useState(false);
  const wrong =
    name.trim() === '' ? msg`Write a name` : name.trim().length > 60 ? msg`At most 60 letters` : undefined;
  return (
    <Dialog title={msg`Another case`} onClose={onClose}>
      <Field label={msg`Name`} value={name} onChange={setName} error={tried ? wrong : undefined} autoFocus />
      <Button
        kind="main"
        onPress={() => (wrong ? setTried(true) : onName(name.trim()))}
      >{msg`Pack into it`}</Button>
    </Dialog>
  );
}
