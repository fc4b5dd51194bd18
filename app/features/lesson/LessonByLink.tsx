import { useState } from 'react';
import {
  LESSON_DAYS,
  lessonPath,
  newId,
  newSecret,
  type LessonDays,
  type LessonLinkAnswer,
} from '@toile/contract';
import { messages, msg } from '@toile/core';
import { call } from '../../data/call';
import { useLessonLinks, useRefresh, useSession } from '../../data/hooks';
import { useSaving } from '../../data/useSaving';
import { Body, Button, Choice, Column, Line, Ready, Subheading } from '../../ui';
import { LinkShown } from '../share/LinkShown';
import { LinksGiven } from '../share/LinksGiven';
import { dayInWords } from '../words/dates';
import type { Given } from './given';

const DAY_WORDS: Readonly<Record<string, string>> = messages({
  '30': 'a month',
  '180': 'half a year',
  '0': 'until it is taken back',
});

/** A lesson for the client's own phone, and the links that were given. */
export function LessonByLink({ chart, minutes, kept, tools }: Given) {
  const session = useSession();
  const refresh = useRefresh();
  const links = useLessonLinks(chart.id);
  const { busy, failure, save } = useSaving();
  const [days, setDays] = useState<LessonDays>(180);
  const [link, setLink] = useState<string | null>(null);
  const [now] = useState(() => Date.now());
  const make = (): Promise<unknown> =>
    save(async () => {
      const studioId = session.data?.studio.id;
      if (!studioId) return;
      const secret = newSecret();
      await call('createLessonLink', {
        params: { id: chart.id },
        body: {
          id: newId(),
          version: chart.version,
          minutes,
          keep: [...kept],
          tools: tools ? [...tools] : null,
          secret,
          days,
        },
      });
      setLink(`${window.location.origin}${lessonPath(studioId, secret)}`);
      await refresh();
    });
  const revoke = (one: LessonLinkAnswer): Promise<unknown> =>
    save(async () => {
      await call('revokeLessonLink', { params: { id: one.id }, body: {} });
      await refresh();
    });
  return (
    <Column gap="$3" role="group" aria-label={msg`By a link`}>
      <Subheading>{msg`By a link`}</Subheading>
      <Choice
        label={msg`It lasts`}
        options={LESSON_DAYS.map(String)}
        words={DAY_WORDS}
        chosen={[String(days)]}
        onChange={([d]) => setDays(LESSON_DAYS.find((known) => String(known) === d) ?? 180)}
      />
      <Line>
        <Button
          kind="main"
          disabled={busy || kept.length === 0}
          onPress={() => void make()}
        >{msg`Make a link`}</Button>
      </Line>
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      {link ? <LinkShown link={link} /> : null}
      <Ready remote={links}>
        {(list) => (
          <LinksGiven
            label={msg`Links to this lesson`}
            links={list}
            wordsOf={(one) =>
              msg`${one.steps} of its steps, version ${one.version}, by ${one.madeBy}, ${dayInWords(one.madeAt)}`
            }
            takes={(one) => msg`Take back the link of ${dayInWords(one.madeAt)}`}
            busy={busy}
            now={now}
            onRevoke={(one) => void revoke(one)}
          />
        )}
      </Ready>
    </Column>
  );
}
