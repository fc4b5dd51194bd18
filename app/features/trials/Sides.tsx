import { msg, SIDES, term, trialZoneWords, wayAt, type Trial } from '@toile/core';
import { Body, Column, Label, Line } from '../../ui';
import { capital } from '../words/capital';
import { letterAt } from './trialView';

type SidesProps = { readonly trial: Pick<Trial, 'question' | 'draw' | 'declared'> };

/** As a face is seen: the client's right on the left. */
const SEEN = [...SIDES].reverse();

/** Which way lies where: a line a side, or a row a place where each had a draw of its own. */
export function Sides({ trial }: SidesProps) {
  const { question, draw, declared } = trial;
  if ('aSide' in draw)
    return SIDES.map((side) => (
      <Body key={side} fontWeight="700">{msg`Client’s ${term(side)}: ${wayAt(trial, side)}`}</Body>
    ));
  return (
    <Column gap="$2">
      <Body fontWeight="700">{`A: ${question.a.words}`}</Body>
      <Body fontWeight="700">{`B: ${question.b.words}`}</Body>
      <Column gap={0} role="table" aria-label={msg`Which way lies where`}>
        <Line role="row" flexWrap="nowrap" gap="$2">
          <Label role="columnheader" flex={1}>{msg`Place`}</Label>
          {SEEN.map((side) => (
            <Label key={side} role="columnheader" width={96}>{msg`Client’s ${term(side)}`}</Label>
          ))}
        </Line>
        {declared.zones.map((zone) => (
          <Line
            key={zone}
            role="row"
            flexWrap="nowrap"
            gap="$2"
            paddingVertical="$1"
            borderTopWidth={1}
            borderTopColor="$line"
          >
            <Body role="cell" flex={1}>
              {capital(trialZoneWords(zone))}
            </Body>
            {SEEN.map((side) => (
              <Body key={side} role="cell" width={96} fontWeight="700">
                {term(letterAt(trial, side, zone))}
              </Body>
            ))}
          </Line>
        ))}
      </Column>
    </Column>
  );
}
