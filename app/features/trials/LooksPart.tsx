import { useRouter } from 'expo-router';
import { useState } from 'react';
import {
  colourSeen,
  msg,
  questionLook,
  TRIAL_JUDGES,
  TRIAL_ZONES,
  trialZoneWords,
  WEAR_MARKS,
  type ColourSamples,
  type Judge,
  type TrialNow,
  type TrialZone,
  type WearMark,
} from '@toile/core';
import { newId, newSecret, tokenOf, WEAR_LINK_DAYS, wearPath, type TrialAnswer } from '@toile/contract';
import { call } from '../../data/call';
import { useSession } from '../../data/hooks';
import type { ToldAway } from '../../data/outbox';
import { useSaving } from '../../data/useSaving';
import { Body, Button, Choice, Column, Field, Label, Line, Subheading } from '../../ui';
import { LinkShown } from '../share/LinkShown';
import { todayText, zoneOfDays } from '../words/dates';
import { inZone, instantOf } from '../wear/wearView';
import { ColourHalves } from './ColourHalves';
import { HalvesFields, StingField, TouchedField, type Stings } from './HalvesFields';
import { isGraded, NO_HALVES, seenOf } from './halfLook';
import { JUDGE_WORDS, lookRows, MEASURE_WORDS } from './trialView';

type LooksPartProps = {
  readonly trial: TrialAnswer;
  readonly now: TrialNow;
  readonly tell: (event: ToldAway) => void;
  readonly over: boolean;
};

/** When it was put on, what was seen of both halves, and another look. */
export function LooksPart({ trial, now, tell, over }: LooksPartProps) {
  return (
    <Column gap="$5">
      {over || now.appliedAt !== null ? null : <PutOn tell={tell} />}
      <Seen trial={trial} now={now} />
      {over || now.appliedAt === null ? null : <AnotherLook trial={trial} now={now} tell={tell} />}
      {over || now.appliedAt === null || !isGraded(trial.declared.measure) ? null : (
        <FromPhotographs trial={trial} />
      )}
      {over || now.appliedAt === null || trial.declared.measure === 'colour' ? null : (
        <ByLink trial={trial} appliedAt={now.appliedAt} />
      )}
    </Column>
  );
}

/** Blind, by whoever looks: one half at a time. */
function FromPhotographs({ trial }: Pick<LooksPartProps, 'trial'>) {
  const router = useRouter();
  return (
    <Column gap="$2" role="group" aria-label={msg`Or from photographs`}>
      <Subheading>{msg`Or from photographs`}</Subheading>
      <Label>{msg`One half at a time, mirrored and ordered by lot, some twice: so it is judged without knowing which is which.`}</Label>
      <Line>
        <Button
          onPress={() => router.navigate(`/trials/${trial.id}/photos`)}
        >{msg`Judge from photographs`}</Button>
        <Button
          onPress={() => router.navigate(`/charts/${trial.chartId}/photos`)}
        >{msg`Keep a photograph`}</Button>
      </Line>
    </Column>
  );
}

function PutOn({ tell }: Pick<LooksPartProps, 'tell'>) {
  const zone = zoneOfDays();
  const [day] = useState(todayText);
  const [time, setTime] = useState(() => inZone(zone, new Date(), day));
  const appliedAt = instantOf(zone, day, time);
  return (
    <Column gap="$3" role="group" aria-label={msg`Put on`}>
      <Subheading>{msg`Put on`}</Subheading>
      <Line alignItems="flex-end">
        <Field
          label={msg`Both halves were done at`}
          keyboard="time"
          value={time}
          onChange={setTime}
          error={appliedAt ? undefined : msg`A time, as 09:20`}
        />
        <Button
          kind="main"
          disabled={!appliedAt}
          onPress={() =>
            appliedAt && tell({ id: newId(), at: new Date().toISOString(), kind: 'applied', appliedAt })
          }
        >{msg`Both halves are on`}</Button>
      </Line>
    </Column>
  );
}

function Seen({ trial, now }: Pick<LooksPartProps, 'trial' | 'now'>) {
  const rows = lookRows(trial, now);
  if (rows.length === 0) return null;
  const first = rows.findIndex((row) => !row.counts);
  return (
    <Column gap="$2">
      <Subheading>{msg`What was seen`}</Subheading>
      <Column gap={0} role="table" aria-label={msg`What was seen of both halves`}>
        <Line role="row" flexWrap="nowrap" gap="$2" minHeight={32}>
          {[msg`After`, msg`Client’s right`, msg`Client’s left`].map((head) => (
            <Label key={head} role="columnheader" flex={1}>
              {head}
            </Label>
          ))}
        </Line>
        {rows.map((row, i) => (
          <Line
            key={`${row.hour} ${row.zone} ${row.measure} ${row.by}`}
            role="row"
            flexWrap="nowrap"
            alignItems="baseline"
            gap="$2"
            borderTopWidth={i === first ? 2 : 1}
            borderTopColor={i === first ? '$ink' : '$line'}
            paddingVertical="$1"
          >
            <Label
              role="cell"
              flex={1}
            >{`${row.hour.toFixed(1)} h, ${trialZoneWords(TRIAL_ZONES.find((zone) => zone === row.zone) ?? 'nose')}${
              row.counts ? '' : msg`: ${MEASURE_WORDS[row.measure]}, by ${JUDGE_WORDS[row.by]}`
            }${row.late ? msg`, after the last planned hour` : ''}`}</Label>
            <Body role="cell" flex={1} color={row.counts ? '$ink' : '$inkSoft'}>
              {row.right}
            </Body>
            <Body role="cell" flex={1} color={row.counts ? '$ink' : '$inkSoft'}>
              {row.left}
            </Body>
          </Line>
        ))}
      </Column>
      {first >= 0 ? (
        <Label>{msg`Below the strong line: also seen, and no part of what was declared.`}</Label>
      ) : null}
    </Column>
  );
}

function AnotherLook({ trial, now, tell }: Omit<LooksPartProps, 'over'>) {
  const zone = zoneOfDays();
  const [opened] = useState(() => new Date());
  const [day, setDay] = useState(() => todayText(opened));
  const [time, setTime] = useState(() => inZone(zone, opened, todayText(opened)));
  const [judge, setJudge] = useState<Judge>(trial.declared.by);
  const [look, setLook] = useState(NO_HALVES);
  const [read, setRead] = useState<ColourSamples>({});
  const [stings, setStings] = useState<Stings>('none');
  const [marks, setMarks] = useState<readonly WearMark[]>([]);
  const [touched, setTouched] = useState<readonly TrialZone[]>([]);
  const [wrong, setWrong] = useState<string | null>(null);
  const { measure, zones } = trial.declared;
  const keep = (): void => {
    const lookedAt = instantOf(zone, day, time);
    if (!lookedAt) return setWrong(msg`Say when it was looked at`);
    const event = {
      id: newId(),
      at: new Date().toISOString(),
      kind: 'looked' as const,
      judge,
      lookedAt,
      seen:
        measure === 'colour'
          ? colourSeen(read, now.looks)
          : seenOf(look, zones).map((one) => ({ ...one, measure })),
      touched: [...touched],
      marks: [...marks],
      ...(stings !== 'none' && { stings }),
    };
    const problem = questionLook(now.appliedAt, event);
    if (problem) return setWrong(problem.message);
    tell(event);
    setWrong(null);
    setLook(NO_HALVES);
    setRead({});
    setStings('none');
    setMarks([]);
    setTouched([]);
  };
  return (
    <Column gap="$3" role="group" aria-label={msg`A look at both halves`}>
      <Subheading>{msg`A look at both halves`}</Subheading>
      <Line gap="$3">
        <Field label={msg`Looked at, day`} keyboard="date" value={day} onChange={setDay} />
        <Field label={msg`Looked at`} keyboard="time" value={time} onChange={setTime} />
      </Line>
      <Choice
        label={msg`By`}
        options={TRIAL_JUDGES}
        words={JUDGE_WORDS}
        chosen={[judge]}
        onChange={([by]) => by && setJudge(by)}
      />
      {judge === trial.declared.by ? null : (
        <Label>{msg`Declared was ${JUDGE_WORDS[trial.declared.by]}: this is kept as also seen.`}</Label>
      )}
      {measure === 'colour' ? (
        <ColourHalves
          clientId={trial.clientId}
          zones={zones}
          looks={now.looks}
          value={read}
          onChange={setRead}
        />
      ) : (
        <HalvesFields measure={measure} zones={zones} value={look} onChange={setLook} of="artist" />
      )}
      <TouchedField zones={zones} value={touched} onChange={setTouched} />
      <Choice
        label={msg`Since the last look there was`}
        options={WEAR_MARKS}
        chosen={marks}
        several
        onChange={setMarks}
      />
      <StingField value={stings} onChange={setStings} />
      {wrong ? <Body role="alert" color="$madder">{`▲ ${wrong}`}</Body> : null}
      <Button kind="main" large onPress={keep}>{msg`Keep this look`}</Button>
    </Column>
  );
}

function ByLink({ trial, appliedAt }: { readonly trial: TrialAnswer; readonly appliedAt: string }) {
  const session = useSession();
  const { busy, failure, save } = useSaving(msg`No link was made. Try again.`);
  const [link, setLink] = useState<string | null>(null);
  const make = (): Promise<unknown> =>
    save(async () => {
      const studioId = session.data?.studio.id;
      if (!studioId) return;
      const secret = newSecret();
      await call('createWearLink', {
        params: { id: trial.chartId },
        body: { id: newId(), version: trial.version, appliedAt, secret, trialId: trial.id },
      });
      setLink(`${window.location.origin}${wearPath(tokenOf(studioId, secret))}`);
    });
  return (
    <Column gap="$2" role="group" aria-label={msg`Or let the client tell`}>
      <Subheading>{msg`Or let the client tell`}</Subheading>
      <Label>
        {msg`By a link for ${WEAR_LINK_DAYS} days: it asks about the left and the right and says nothing of what is on them.`}
      </Label>
      <Line>
        <Button disabled={busy} onPress={() => void make()}>{msg`Make a link`}</Button>
      </Line>
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      {link ? <LinkShown link={link} /> : null}
    </Column>
  );
}
