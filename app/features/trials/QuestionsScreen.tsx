import { useRouter } from 'expo-router';
import { useState } from 'react';
import { msg, NOT_BLIND, plural, term, type QuestionSoFar } from '@toile/core';
import type { QuestionsAnswer } from '@toile/contract';
import { useQuestions } from '../../data/hooks';
import { Body, Button, Column, Empty, Label, Line, Ready, Row, Screen, Subheading } from '../../ui';
import { dayInWords } from '../words/dates';
import { HalfBars } from './HalfBars';
import { STATE_WORDS } from './trialView';

/** What the studio asks by half-face trials, over all clients, and what may be said of it so far. */
export function QuestionsScreen() {
  const answer = useQuestions();
  const router = useRouter();
  return (
    <Screen title={msg`Questions tried`} widest={760} onBack={() => router.navigate('/settings')}>
      <Ready remote={answer}>{(all) => <Questions answer={all} />}</Ready>
    </Screen>
  );
}

function Questions({ answer }: { readonly answer: QuestionsAnswer }) {
  const [open, setOpen] = useState<string | null>(null);
  if (answer.questions.length === 0)
    return (
      <Empty
        title={msg`Nothing was tried yet`}
        words={msg`A half-face trial begins in a chart, under “Half-face trial”: one side the one way, the other the other.`}
      />
    );
  return (
    <Column gap="$4">
      <Label>{msg`One face proves nothing in general. Over several, this says how sure it may be said, however often one looks; who was tried on was chosen by you, and is no random sample.`}</Label>
      <Column gap={0}>
        {answer.questions.map((one) => {
          const { key, text } = one.question;
          return (
            <Column key={key} gap={0}>
              <Row
                title={text}
                detail={`${countedWords(one)} · ${term(one.verdict.words)}`}
                chosen={open === key}
                onPress={() => setOpen(open === key ? null : key)}
              />
              {open === key ? <Question one={one} names={answer.names} /> : null}
            </Column>
          );
        })}
      </Column>
    </Column>
  );
}

/** How many trials there are, and of how many the outcome counts. */
function countedWords({ marks }: QuestionSoFar): string {
  const judged = marks.filter(({ outcome, counts }) => outcome !== null && counts).length;
  const all = plural(marks.length)`${marks.length} trial|${marks.length} trials`;
  return judged === marks.length ? all : `${all}, ${plural(judged)`${judged} counts|${judged} count`}`;
}

/** A share in tenths, and what is told of the other way where that one leads. */
const tenths = (share: number): number => Math.round(10 * share);
function groupWords(
  { skin, better, ties, trials, share }: QuestionSoFar['groups'][number],
  { a, b }: QuestionSoFar['question'],
): string {
  const aLeads = share.mean >= 0.5;
  const count = aLeads ? better : trials - better - ties;
  const [mean, low, high] = aLeads
    ? [share.mean, share.low, share.high]
    : [1 - share.mean, 1 - share.high, 1 - share.low];
  const alike = ties > 0 ? msg`, ${ties} alike` : '';
  return msg`${term(skin)}: ${(aLeads ? a : b).words} better on ${count} of ${trials}${alike}; leaning on all, about ${tenths(mean)} of 10 (${tenths(low)} to ${tenths(high)})`;
}

function Question({ one, names }: { readonly one: QuestionSoFar; readonly names: QuestionsAnswer['names'] }) {
  const router = useRouter();
  const { a, b } = one.question;
  const { guesses } = one;
  return (
    <Column gap="$3" paddingVertical="$3" role="group" aria-label={one.question.text}>
      {one.says.map((says) => (
        <Body key={says}>{says}</Body>
      ))}
      <HalfBars
        a={a.words}
        b={b.words}
        marks={one.marks.flatMap(({ trialId, clientId, difference, counts }) =>
          difference === null
            ? []
            : [{ key: trialId, words: names[clientId] ?? msg`somebody`, difference, soft: !counts }],
        )}
      />
      {one.groups.length > 0 ? (
        <Column gap="$1">
          <Subheading>{msg`By skin where it was judged`}</Subheading>
          {one.groups.map((group) => (
            <Label key={group.skin}>{groupWords(group, one.question)}</Label>
          ))}
        </Column>
      ) : null}
      {guesses.of >= NOT_BLIND.of && guesses.right >= (NOT_BLIND.right / NOT_BLIND.of) * guesses.of ? (
        <Body color="$weld">{msg`▲ Which half was which was guessed right in ${guesses.right} of ${guesses.of}: it was not blind in effect.`}</Body>
      ) : null}
      <Subheading>{msg`Its trials`}</Subheading>
      <Column gap={0}>
        {one.marks.map(({ trialId, clientId, date, state, outcome, counts }) => (
          <Row
            key={trialId}
            title={names[clientId] ?? msg`somebody`}
            detail={`${dayInWords(date)} · ${STATE_WORDS[state]}${outcome === null ? '' : outcome === 0 ? msg` · alike` : msg` · ${outcome > 0 ? a.words : b.words} better`}${outcome !== null && !counts ? msg` · the client’s first trial counts` : ''}`}
            onPress={() => router.navigate(`/trials/${trialId}`)}
          />
        ))}
      </Column>
      <Line>
        <Button onPress={() => router.navigate('/clients')}>{msg`Try it on another client`}</Button>
      </Line>
    </Column>
  );
}
