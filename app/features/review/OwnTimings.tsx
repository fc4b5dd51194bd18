import { useState } from 'react';
import { msg, withOwnTimings, type Chart } from '@toile/core';
import { useSession, useTimings } from '../../data/hooks';
import { Body, Button, Choice, Column, Label, Line } from '../../ui';
import { timingsInWords } from './timeView';

type OwnTimingsProps = {
  readonly chart: Chart;
  readonly editable: boolean;
  readonly onChange: (chart: Chart) => void;
};

const handsOn = (chart: Chart): number =>
  chart.steps.reduce((sum, s) => sum + (s.variant === undefined ? s.handsOnMinutes : 0), 0);

/** How quick somebody's hands are, learned from the chair, and the chart's minutes taken from that. */
export function OwnTimings({ chart, editable, onChange }: OwnTimingsProps) {
  const timings = useTimings();
  const session = useSession();
  const [chosen, setChosen] = useState<string | null>(null);
  const people = timings.data ?? [];
  const whose = people.find((p) => p.by === (chosen ?? session.data?.name)) ?? people[0];
  if (!whose)
    return <Label>{msg`Your own minutes are learned at the chair: tick each step when it is done.`}</Label>;
  const timed = withOwnTimings(chart, whose.timings);
  const more = handsOn(timed) - handsOn(chart);
  return (
    <Column gap="$2" role="group" aria-label={msg`Minutes learned at the chair`}>
      {people.length > 1 || whose.by !== session.data?.name ? (
        <Choice
          label={msg`Whose hands`}
          options={people.map((p) => p.by)}
          chosen={[whose.by]}
          onChange={([by]) => setChosen(by ?? null)}
        />
      ) : null}
      <Body>{msg`Learned at the chair: ${timingsInWords(whose.timings)}.`}</Body>
      {editable && Math.abs(more) >= 0.5 ? (
        <Line>
          <Button
            onPress={() => onChange(timed)}
          >{msg`Plan with these minutes, ${more > 0 ? '+' : '−'}${Math.abs(more)} min`}</Button>
        </Line>
      ) : null}
    </Column>
  );
}
