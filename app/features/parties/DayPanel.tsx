import { useState } from 'react';
import { messages, msg } from '@toile/core';
import {
  Body,
  Button,
  Choice,
  Column,
  CopyButton,
  Empty,
  Label,
  Line,
  Progress,
  Subheading,
  useRoomy,
  View,
} from '../../ui';
import { DayBoard } from './DayBoard';
import {
  atRiskWords,
  CALM_ENOUGH,
  groupsOf,
  proofWords,
  sureWords,
  VIEWS,
  type View as ViewOf,
} from './partyView';
import { HelpersPanel } from './HelpersPanel';
import { useDay } from './useDay';
import { saveCalendar } from './saveCalendar';
import type { PartyWork } from './usePartyPlan';
import { SheetsDialog } from './SheetsDialog';
import { VisitMenu } from './VisitMenu';
import { WhyPanel } from './WhyPanel';
import { withHours } from '../words/dates';

const VIEW_WORDS: Readonly<Record<ViewOf, string>> = messages({
  hands: 'by hands',
  chair: 'by chair',
  person: 'by person',
});

/** The timetable: found, judged, changed, held, kept. */
export function DayPanel({ work }: { readonly work: PartyWork }) {
  const day = useDay(work);
  const roomy = useRoomy();
  const [view, setView] = useState<ViewOf>('hands');
  const [telling, setTelling] = useState(false);
  const { plan, shown, judged, planning, replanning, wrong } = day;
  if (plan.guests.length === 0)
    return (
      <Empty
        title={msg`Nobody to plan for`}
        words={msg`Add the people first: who, by when, and how long each takes.`}
      />
    );
  const late = judged ? plan.guests.filter((guest) => (judged.people[guest.id]?.lateMinutes ?? 0) > 0) : [];
  const atRisk = day.sure ? atRiskWords(day.sure, plan) : null;
  const busy = planning.busy || replanning.busy || day.calming.busy;
  const unsure = late.length === 0 && !busy && day.sure !== null && day.sure.all.share < CALM_ENOUGH;
  // The cheapest timetable waits least and bears least: what was just found is best made calmer first.
  const brittle = unsure && !day.calmed && day.changed;
  return (
    <Column gap="$3">
      {wrong.map((one) => (
        <Body key={one} role="alert" color="$madder">{`▲ ${one}`}</Body>
      ))}
      {planning.busy ? (
        <Progress words={msg`Looking for the best timetable`} share={planning.share} onStop={planning.stop} />
      ) : day.calming.busy ? (
        <Progress words={msg`Looking for a calmer one`} share={day.calming.share} onStop={day.calming.stop} />
      ) : replanning.busy ? (
        <Progress words={msg`Planning the rest`} share={replanning.share} onStop={replanning.stop} />
      ) : (
        <Line>
          <Button kind={shown ? 'quiet' : 'main'} disabled={wrong.length > 0} onPress={day.find}>
            {shown ? msg`Plan the day again` : msg`Plan the day`}
          </Button>
          {shown && day.changed ? (
            <>
              <Button
                kind={brittle ? 'quiet' : 'main'}
                disabled={work.busy}
                onPress={() => void day.keep()}
              >{msg`Keep this timetable`}</Button>
              <Button onPress={day.planAround}>{msg`Plan the rest around it`}</Button>
              <Button onPress={day.discard}>{msg`As it was`}</Button>
            </>
          ) : null}
        </Line>
      )}
      {[planning.error, replanning.error, day.calming.error, work.failure].map((words) =>
        words ? <Body key={words} role="alert" color="$madder">{`▲ ${words}`}</Body> : null,
      )}
      {day.stuck ? (
        <Body
          role="alert"
          color="$madder"
        >{msg`▲ Around what is held there is no timetable. Let go of something, or move it.`}</Body>
      ) : null}
      {day.unplaced.length > 0 ? (
        <Body role="alert" color="$madder">
          {msg`▲ There is no place at all for ${day.unplaced.map((id) => plan.guests.find((guest) => guest.id === id)?.name ?? id).join(', ')}: nobody who may has the time.`}
        </Body>
      ) : null}
      {shown && judged ? (
        <Column gap="$1" aria-live="polite">
          {judged.conflicts.slice(0, 8).map((conflict) => (
            <Body key={conflict.message + conflict.about.join()} color="$madder">
              {`▲ ${withHours(conflict.message)}`}
            </Body>
          ))}
          {judged.conflicts.length === 0 ? <Body>{proofWords(judged.objective, shown)}</Body> : null}
          {late.map((guest) => (
            <Body
              key={guest.id}
              color="$madder"
            >{msg`▲ ${guest.name} is ready ${judged.people[guest.id]!.lateMinutes} min late`}</Body>
          ))}
          {day.sure ? <Body>{sureWords(day.sure)}</Body> : null}
          {atRisk ? <Body>{atRisk}</Body> : null}
          {brittle ? (
            <Body>{msg`▲ It has little room for delay: make it calmer before you keep it.`}</Body>
          ) : null}
        </Column>
      ) : null}
      {unsure && !day.calmed ? (
        <Line>
          <Button kind={brittle ? 'main' : 'quiet'} onPress={day.askCalm}>{msg`Make it calmer`}</Button>
        </Line>
      ) : null}
      {unsure && !day.more ? (
        <Line>
          <Button onPress={day.askMore}>{msg`What would one more pair of hands buy?`}</Button>
        </Line>
      ) : null}
      {day.more ? (
        <HelpersPanel more={day.more} busy={work.busy} onTake={(way) => void day.take(way)} />
      ) : null}
      {late.length > 0 && !busy && !day.why ? (
        <Button onPress={day.askWhy}>{msg`Why, and what would help`}</Button>
      ) : null}
      {day.why ? <WhyPanel why={day.why} busy={work.busy} onTake={(way) => void day.take(way)} /> : null}
      {telling ? (
        <SheetsDialog partyId={work.party.id} plan={work.plan} onClose={() => setTelling(false)} />
      ) : null}
      {shown ? (
        <>
          {roomy ? <DayBoard day={day} /> : null}
          <Choice
            label={msg`Shown`}
            options={VIEWS}
            words={VIEW_WORDS}
            chosen={[view]}
            onChange={([one]) => one && setView(one)}
          />
          {work.plan.timetable && !day.changed && !work.busy ? (
            <Line>
              <Button onPress={() => setTelling(true)}>{msg`Call sheets`}</Button>
              <Button onPress={() => saveCalendar(work.party, work.plan)}>{msg`Calendar file`}</Button>
            </Line>
          ) : null}
          {groupsOf(plan, shown, view).map((group) => (
            <Column key={group.id} gap={0}>
              <Subheading>{group.title}</Subheading>
              {group.tell === null ? (
                <Label>{group.detail}</Label>
              ) : (
                <Line flexWrap="nowrap" gap="$3">
                  <Label flex={1}>{group.detail}</Label>
                  <CopyButton text={group.tell} label={msg`Copy for ${group.title}`} />
                </Line>
              )}
              {group.rows.length === 0 ? <Label>{msg`Nothing to do.`}</Label> : null}
              {group.rows.map((row) => (
                <Line
                  key={row.key}
                  flexWrap="nowrap"
                  gap="$3"
                  minHeight={56}
                  borderBottomWidth={1}
                  borderBottomColor="$line"
                >
                  <View flex={1}>
                    <Body>{`${row.late ? '▲ ' : ''}${row.held ? '■ ' : ''}${row.words}`}</Body>
                    <Label>{`${row.time}${row.held ? msg`, held` : ''}${row.late ? msg`, ready too late` : ''}`}</Label>
                  </View>
                  <VisitMenu visit={row.visit} title={`${row.words}, ${row.time}`} day={day} />
                </Line>
              ))}
            </Column>
          ))}
        </>
      ) : null}
    </Column>
  );
}
