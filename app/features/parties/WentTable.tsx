import { msg, term, timedVisits } from '@toile/core';
import { Body, Column, Label, Line, Subheading, View } from '../../ui';
import { hourInWords, todayText } from '../words/dates';
import type { PartyLog } from './usePartyLog';
import type { PartyWork } from './usePartyPlan';

/** How it went: each visit of which beginning and end were told, against what was planned for it. */
export function WentTable({ work, log }: { readonly work: PartyWork; readonly log: PartyLog }) {
  const { party, plan } = work;
  const went = timedVisits(party, plan, log.events, todayText());
  if (went.length === 0) return null;
  const byHands = [...new Set(went.map((one) => one.worker))].map((worker) => {
    const mine = went.filter((one) => one.worker === worker);
    const sum = (of: (one: (typeof went)[number]) => number): number =>
      mine.reduce((n, one) => n + of(one), 0);
    return { worker, mine, real: sum((one) => one.realMinutes), planned: sum((one) => one.plannedMinutes) };
  });
  return (
    <Column gap="$3" role="group" aria-label={msg`How it went`}>
      <Subheading>{msg`How it went`}</Subheading>
      {byHands.map(({ worker, mine, real, planned }) => (
        <Column key={worker} gap={0}>
          <Body fontWeight="700">{msg`${worker}: ${real} min for ${planned} planned`}</Body>
          {[...mine]
            .sort((a, b) => a.began - b.began)
            .map((one) => (
              <Line
                key={`${one.person} ${one.what}`}
                flexWrap="nowrap"
                gap="$3"
                minHeight={44}
                borderBottomWidth={1}
                borderBottomColor="$line"
              >
                <View flex={1}>
                  <Body>{`${one.person}, ${term(one.what)}`}</Body>
                </View>
                <Label>{msg`${hourInWords(one.began)} to ${hourInWords(one.ended)}`}</Label>
                <Label>{differenceWords(one.realMinutes - one.plannedMinutes)}</Label>
              </Line>
            ))}
        </Column>
      ))}
      <Label>{msg`From these the minutes of each pair of hands are learned: they stand under Hands.`}</Label>
    </Column>
  );
}

const differenceWords = (minutes: number): string =>
  minutes === 0 ? msg`as planned` : minutes > 0 ? msg`${minutes} min more` : msg`${-minutes} min less`;
