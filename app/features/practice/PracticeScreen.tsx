import { useRouter } from 'expo-router';
import { useState } from 'react';
import {
  dueFirst,
  msg,
  plural,
  practiceNow,
  skillNamed,
  SKILLS,
  type Attempt,
  type SkillNow,
} from '@toile/core';
import { may, newId, type PracticeAnswer } from '@toile/contract';
import { call } from '../../data/call';
import { useRefresh, useSession } from '../../data/hooks';
import { useSaving } from '../../data/useSaving';
import {
  Body,
  Button,
  Choice,
  Column,
  Label,
  LineGraph,
  Line,
  Ready,
  Row,
  Screen,
  Subheading,
  Switch,
} from '../../ui';
import { dayInWords, todayText, zoneOfDays } from '../words/dates';
import { lastWords, missWords, standsWords } from './practiceView';
import { usePracticeLog } from './usePracticeLog';

/** What to practise today, how the hand is getting on, and what the team shares. */
export function PracticeScreen() {
  const log = usePracticeLog();
  const router = useRouter();
  return (
    <Screen title={msg`Practice`} widest={760} onBack={() => router.navigate('/settings')}>
      <Ready remote={log.answer}>{(answer) => <Practice answer={answer} log={log} />}</Ready>
    </Screen>
  );
}

type Log = ReturnType<typeof usePracticeLog>;

function Practice({ answer, log }: { readonly answer: PracticeAnswer; readonly log: Log }) {
  const router = useRouter();
  const session = useSession();
  const today = todayText();
  const [open, setOpen] = useState<string | null>(null);
  const all = dueFirst(practiceNow(log.events, zoneOfDays()), today);
  const { week } = answer;
  return (
    <Column gap="$5">
      <Label>{msg`A fresh invented face each time. What goes well comes back later, what does not, soon. It is yours alone, unless you share a skill.`}</Label>
      {week ? (
        <Column gap="$2" role="group" aria-label={msg`This week`}>
          <Body fontWeight="700">{msg`This week: ${skillNamed(week.skill)?.name ?? week.skill}, set by ${week.by}.`}</Body>
          <Line>
            <Button
              kind="main"
              onPress={() => router.navigate(`/practice/${week.skill}`)}
            >{msg`Practise it`}</Button>
          </Line>
        </Column>
      ) : null}
      {log.unsentCount > 0 ? (
        <Label role="status">{msg`${log.unsentCount} kept here, not sent yet.`}</Label>
      ) : null}
      <Column gap={0} role="group" aria-label={msg`Skills`}>
        {all.map((one) => (
          <Column key={one.skill} gap={0}>
            <Row
              title={skillNamed(one.skill)?.name ?? one.skill}
              detail={standsWords(one, today)}
              chosen={open === one.skill}
              onPress={() => setOpen(open === one.skill ? null : one.skill)}
            />
            {open === one.skill ? <SkillPart one={one} log={log} /> : null}
          </Column>
        ))}
      </Column>
      <Team answer={answer} />
      {session.data && may(session.data.role, 'manage') ? <SetWeek /> : null}
    </Column>
  );
}

function SkillPart({ one, log }: { readonly one: SkillNow; readonly log: Log }) {
  const router = useRouter();
  const refresh = useRefresh();
  const { busy, failure, save } = useSaving(msg`It was not done. Try again.`);
  const [sure, setSure] = useState(false);
  const skill = skillNamed(one.skill);
  const attempts = log.events.filter(
    (event): event is Attempt => event.kind === 'attempt' && event.skill === one.skill,
  );
  const forget = (): Promise<unknown> =>
    save(async () => {
      // What arrives after is not forgotten.
      await log.afterAllOfIt();
      await call('forgetPractice', { body: { skill: one.skill, sure: true } });
      await refresh();
      setSure(false);
    });
  return (
    <Column gap="$3" paddingVertical="$3">
      <Body>{skill?.why}</Body>
      <Line>
        <Button
          kind="main"
          large
          onPress={() => router.navigate(`/practice/${one.skill}`)}
        >{msg`Practise`}</Button>
      </Line>
      {attempts.length >= 5 ? <Progress one={one} attempts={attempts} /> : null}
      <Switch
        label={msg`Share this skill with the team`}
        on={one.shared}
        onToggle={() =>
          log.tell({
            id: newId(),
            at: new Date().toISOString(),
            kind: 'shared',
            skill: one.skill,
            shared: !one.shared,
          })
        }
      />
      {attempts.length > 0 ? (
        <Line>
          {sure ? (
            <>
              <Label flex={1}>{msg`All ${attempts.length} attempts of this skill, for good?`}</Label>
              <Button kind="main" disabled={busy} onPress={() => void forget()}>{msg`Let them go`}</Button>
              <Button onPress={() => setSure(false)}>{msg`Keep them`}</Button>
            </>
          ) : (
            <Button onPress={() => setSure(true)}>{msg`Let go of my attempts`}</Button>
          )}
        </Line>
      ) : null}
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
    </Column>
  );
}

/** The misses in order, lower is nearer; the same in words and in a table. */
function Progress({ one, attempts }: { readonly one: SkillNow; readonly attempts: readonly Attempt[] }) {
  const shown = attempts.slice(-20);
  const most = Math.max(1, ...shown.map(({ miss }) => miss));
  return (
    <Column gap="$2">
      <Body>{lastWords(one)}</Body>
      <LineGraph values={shown.map(({ miss }) => miss)} most={Math.ceil(most)} sections={3} height={120} />
      <Column gap={0} role="table" aria-label={msg`The last five, newest first`}>
        {[...attempts]
          .reverse()
          .slice(0, 5)
          .map((attempt) => (
            <Line key={attempt.id} role="row" flexWrap="nowrap" gap="$3" minHeight={32}>
              <Label role="cell" width={96}>
                {dayInWords(attempt.at)}
              </Label>
              <Label role="cell">{missWords(attempt.skill, attempt.miss)}</Label>
            </Line>
          ))}
      </Column>
    </Column>
  );
}

/** What others share: by name, no ranking. */
function Team({ answer }: { readonly answer: PracticeAnswer }) {
  if (answer.team.length === 0) return null;
  return (
    <Column gap="$2" role="group" aria-label={msg`Shared by the team`}>
      <Subheading>{msg`Shared by the team`}</Subheading>
      {answer.team.map((one) => (
        <Label key={`${one.name} ${one.skill}`}>
          {[
            `${one.name}, ${skillNamed(one.skill)?.name ?? one.skill}`,
            plural(one.attempts)`${one.attempts} attempt|${one.attempts} attempts`,
            lastWords(one),
            one.at ? msg`last on ${dayInWords(one.at)}` : null,
          ]
            .filter((words) => words !== null)
            .join(' · ')}
        </Label>
      ))}
    </Column>
  );
}

function SetWeek() {
  const refresh = useRefresh();
  const { busy, failure, save } = useSaving(msg`It was not set. Try again.`);
  const [skill, setSkill] = useState<string | null>(null);
  const set = (): Promise<unknown> =>
    save(async () => {
      const event = {
        id: newId(),
        at: new Date().toISOString(),
        kind: 'week' as const,
        skill,
        from: todayText(),
      };
      await call('tellPractice', { body: { event } });
      await refresh();
    });
  return (
    <Column gap="$2" role="group" aria-label={msg`A skill for the week`}>
      <Subheading>{msg`A skill for the week`}</Subheading>
      <Choice
        label={msg`For everybody, from today`}
        options={SKILLS.map(({ id }) => id)}
        words={Object.fromEntries(SKILLS.map(({ id, name }) => [id, name]))}
        chosen={skill ? [skill] : []}
        onChange={([one]) => one && setSkill(one)}
      />
      <Line>
        <Button disabled={busy || !skill} onPress={() => void set()}>{msg`Set it`}</Button>
      </Line>
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
    </Column>
  );
}
