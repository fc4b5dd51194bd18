import { instantAt, msg, visitKey, type Replanned, type RunningVisit } from '@toile/core';
import { Body, Button, Column, CopyButton, Empty, Label, Line, Progress, Subheading } from '../../ui';
import { dayAndDistance, hourInWords } from '../words/dates';
import { WentTable } from './WentTable';
import { LogState } from './LogState';
import {
  atHand,
  bookedChart,
  changeWords,
  lateWords,
  standsWords,
  tellTexts,
  visitWords,
  whenWords,
  type AtHand,
} from './nowView';
import { usePartyLog, type PartyLog } from './usePartyLog';
import type { PartyWork } from './usePartyPlan';
import { useRunning, type Running } from './useRunning';

/** So late, a visit may have begun in time and nobody told. */
const MISSED_MINUTES = 5;
/** From so many minutes behind on, another plan is offered though nobody will be late. */
const WORTH_ASKING = 10;

/**
 * The day as it goes: who is at whom, what is next, what runs late and what could be done; afterwards, how it
 * went.
 */
export function NowPanel({ work }: { readonly work: PartyWork }) {
  const log = usePartyLog(work.party.id);
  const now = useRunning(work, log);
  const { plan, party } = work;
  if (!plan.timetable)
    return (
      <Empty
        title={msg`No timetable yet`}
        words={msg`Plan the day and keep it: then it can be followed here.`}
      />
    );
  if (now.when === 'before')
    return (
      <Empty
        title={msg`The day is ${dayAndDistance(party.date)}`}
        words={msg`On the day this shows who is at whom, what runs late, and what could be done about it.`}
      />
    );
  return (
    <Column gap="$4">
      <LogState log={log} />
      {now.when === 'on the day' && now.running ? <OnTheDay work={work} log={log} now={now} /> : null}
      <WentTable work={work} log={log} />
    </Column>
  );
}

type OnTheDayProps = { readonly work: PartyWork; readonly log: PartyLog; readonly now: Running };

function OnTheDay({ work, log, now }: OnTheDayProps) {
  const running = now.running!;
  const { plan } = work;
  const untold = running.visits.every((one) => one.state === 'to come' || one.state === 'due');
  const troubled =
    running.late.length > 0 || running.lost.length > 0 || running.behindMinutes >= WORTH_ASKING;
  return (
    <>
      <Column gap="$1" aria-live="polite" role="status">
        <Label>{msg`${hourInWords(now.minute)} there`}</Label>
        <Body color={running.late.length + running.lost.length > 0 ? '$madder' : '$ink'}>
          {`${running.late.length + running.lost.length > 0 ? '▲ ' : ''}${standsWords(plan, running)}`}
        </Body>
        {untold ? (
          <Label>{msg`Nobody has told that anything began. Tap Begun when a visit begins, Done when it is over; ticks at the chair count too.`}</Label>
        ) : null}
      </Column>
      {work.failure ? <Body role="alert" color="$madder">{`▲ ${work.failure}`}</Body> : null}
      {troubled ? <Proposals work={work} now={now} /> : null}
      <Column gap="$4" role="list" aria-label={msg`Hands`}>
        {atHand(plan, running).map((one) => (
          <HandsCard key={one.hands} one={one} work={work} log={log} />
        ))}
      </Column>
    </>
  );
}

function HandsCard({
  one,
  work,
  log,
}: {
  readonly one: AtHand;
  readonly work: PartyWork;
  readonly log: PartyLog;
}) {
  const { plan, party } = work;
  const titleOf = (visit: RunningVisit): string => visitWords(plan, visit.visit);
  const told = (kind: 'began' | 'ended' | 'undone', at: RunningVisit, when?: Date): void =>
    log.tell(kind, visitKey(at.visit.of, at.visit.task), when ? { at: when } : {});
  const { now, then } = one;
  const chair = plan.chairs.find((candidate) => candidate.id === now?.visit.chair)?.name;
  const guest = plan.guests.find((candidate) => candidate.id === now?.visit.of);
  const chart =
    guest?.chartId ?? (guest && guest.clientId !== null ? bookedChart(party, guest.clientId) : null);
  const noted = guest?.notes.trim() ?? '';
  return (
    <Column role="listitem" gap="$2" borderLeftWidth={2} borderLeftColor="$ink" paddingLeft="$3">
      <Line gap="$2">
        <Subheading>{one.name}</Subheading>
        <Label>{msg`${one.doneCount} of ${one.count} done`}</Label>
      </Line>
      {now ? (
        <>
          <Body fontWeight="700">{titleOf(now)}</Body>
          <Label>{[whenWords(now), chair].filter(Boolean).join(' · ')}</Label>
          {noted ? <Body>{`“${noted}”`}</Body> : null}
          <Line>
            {now.state === 'under way' ? (
              <Button
                kind="main"
                label={msg`Done: ${titleOf(now)}`}
                onPress={() => told('ended', now)}
              >{msg`Done`}</Button>
            ) : (
              <Button
                kind="main"
                label={msg`Begun: ${titleOf(now)}`}
                onPress={() => told('began', now)}
              >{msg`Begun`}</Button>
            )}
            {now.state === 'due' && now.behindMinutes >= MISSED_MINUTES ? (
              <Button
                label={msg`Begun as planned, at ${hourInWords(now.visit.start)}: ${titleOf(now)}`}
                onPress={() => told('began', now, instantAt(plan.zone, party.date, now.visit.start))}
              >
                {msg`It began at ${hourInWords(now.visit.start)}`}
              </Button>
            ) : null}
            {now.state === 'under way' ? (
              <Button
                label={msg`Not begun after all: ${titleOf(now)}`}
                onPress={() => told('undone', now)}
              >{msg`Not yet after all`}</Button>
            ) : null}
            {chart && now.visit.task.endsWith('.face') ? (
              <Button
                href={`/charts/${chart}/chair`}
                label={msg`To the chair: ${titleOf(now)}`}
              >{msg`To the chair`}</Button>
            ) : null}
          </Line>
          {then ? <Label>{msg`Then ${titleOf(then)}, about ${hourInWords(then.start)}`}</Label> : null}
        </>
      ) : (
        <Body>{msg`✓ All done`}</Body>
      )}
    </Column>
  );
}

/**
 * The day planned anew from where it stands: the same order only later, or few changes; what to tell whom.
 */
function Proposals({ work, now }: { readonly work: PartyWork; readonly now: Running }) {
  const { proposals, fresh } = now;
  const answer = fresh ? proposals.answer : null;
  if (proposals.busy)
    return <Progress words={msg`Planning the rest`} share={proposals.share} onStop={proposals.stop} />;
  if (!answer)
    return (
      <Column gap="$2">
        {proposals.error ? <Body role="alert" color="$madder">{`▲ ${proposals.error}`}</Body> : null}
        <Button onPress={now.ask}>{msg`What could be done`}</Button>
      </Column>
    );
  const { push, repair } = answer;
  const same = push && repair && JSON.stringify(push.visits) === JSON.stringify(repair.visits);
  return (
    <Column gap="$4" role="group" aria-label={msg`What could be done`}>
      {repair && !same ? (
        <Proposal title={msg`With few changes`} proposal={repair} work={work} now={now} />
      ) : null}
      {push ? (
        <Proposal title={msg`The same order, only later`} proposal={push} work={work} now={now} />
      ) : null}
      {!push && !repair ? (
        <Body
          role="alert"
          color="$madder"
        >{msg`▲ From here there is no timetable that keeps every rule. Take a face off the list, or give somebody a lighter look.`}</Body>
      ) : null}
      <Button onPress={now.forget}>{msg`Leave it as it is`}</Button>
    </Column>
  );
}

type ProposalProps = {
  readonly title: string;
  readonly proposal: Replanned;
  readonly work: PartyWork;
  readonly now: Running;
};

function Proposal({ title, proposal, work, now }: ProposalProps) {
  const { plan, keep, busy } = work;
  const day = now.running!.day;
  const changes = changeWords(plan, proposal);
  const take = async (): Promise<void> => {
    const timetable = {
      ways: { ...proposal.ways },
      visits: proposal.visits.map((visit) => ({ ...visit })),
      boundLate: 0,
      boundCost: 0,
      proven: false,
    };
    // Before it is kept: what is asked next must not be forgotten with it.
    now.forget();
    await keep({ ...plan, held: [], timetable });
  };
  return (
    <Column gap="$2" padding="$3" backgroundColor="$surface" borderTopWidth={2} borderTopColor="$ink">
      <Subheading>{title}</Subheading>
      <Body>{lateWords(plan, day, proposal)}</Body>
      {changes.length === 0 ? <Label>{msg`Nothing else changes.`}</Label> : null}
      {changes.map((line) => (
        <Label key={line}>{line}</Label>
      ))}
      <Button
        kind="main"
        disabled={busy}
        onPress={() => void take()}
        label={msg`Do it this way: ${title}`}
      >{msg`Do it this way`}</Button>
      {tellTexts(plan, proposal).map(({ to, text }) => (
        <Line key={to} flexWrap="nowrap" gap="$3">
          <Label flex={1}>{text}</Label>
          <CopyButton text={text} label={msg`Copy for ${to}`} />
        </Line>
      ))}
    </Column>
  );
}
