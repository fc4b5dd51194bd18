import { useState, type ReactNode } from 'react';
import { listed, msg, RULES, type Chart } from '@toile/core';
import { Body, Button, Column, Label, Line } from '../../ui';
import type { ReviewLine } from '../../workers/fittingJobs';
import { SEVERITY_MARKS } from './reviewView';

type ManyAlikeProps = {
  readonly chart: Chart;
  readonly lines: readonly ReviewLine[];
  /** Each by itself, once it is asked for. */
  readonly children: ReactNode;
};

/** Many findings of one rule, read as one: what it is, and of which steps. */
export function ManyAlike({ chart, lines, children }: ManyAlikeProps) {
  const [open, setOpen] = useState(false);
  const [first] = lines;
  const name = RULES.find(({ id }) => id === first!.rule)?.name ?? first!.rule;
  const titles = chart.steps
    .filter(({ id }) => lines.some(({ stepIds }) => stepIds.includes(id)))
    .map(({ title }) => title.toLowerCase());
  return (
    <Column gap="$1" paddingVertical="$2" borderBottomWidth={1} borderBottomColor="$line">
      <Body
        color={first!.severity === 'caution' ? '$weld' : '$ink'}
      >{msg`${SEVERITY_MARKS[first!.severity]} ${name}, ${lines.length} times: ${listed(titles)}.`}</Body>
      <Label>{first!.why}</Label>
      <Line>
        <Button onPress={() => setOpen((now) => !now)}>
          {open ? msg`Together again` : msg`Each by itself`}
        </Button>
      </Line>
      {open ? children : null}
    </Column>
  );
}
