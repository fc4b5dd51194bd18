import { useMemo, useState } from 'react';
import {
  ARRANGEMENTS,
  compactFrom,
  compactNotes,
  lessonFrom,
  msg,
  productName,
  type Arrangement,
  type Chart,
} from '@toile/core';
import { newId } from '@toile/contract';
import { call } from '../../../data/call';
import { useRefresh } from '../../../data/hooks';
import { useSaving } from '../../../data/useSaving';
import { Body, Button, Choice, Column, Label, Line, Stepper } from '../../../ui';
import { useMinded } from '../../clients/useMinded';
import { todayText } from '../../words/dates';
import { CompactTins } from './CompactTins';
import { CompactNotesPart } from './CompactNotesPart';

type ComposeProps = {
  readonly chart: Chart;
  /** Steps chosen in the lesson; what twenty minutes hold where none were. */
  readonly asked: readonly string[];
  readonly edits: boolean;
  readonly onKept: (id: string) => void;
  readonly onLeave: (() => void) | null;
};

/** A compact proposed from a lesson: how it is laid out is chosen, then it is kept. */
export function ComposeCompact({ chart: written, asked, edits, onKept, onLeave }: ComposeProps) {
  const chart = useMinded(written);
  const refresh = useRefresh();
  const { busy, failure, save } = useSaving();
  const [ids] = useState(() => ({ id: newId(), tins: Array.from({ length: 6 }, newId), today: todayText() }));
  const [perWeek, setPerWeek] = useState(3);
  const [rows, setRows] = useState(2);
  const [columns, setColumns] = useState(3);
  const [by, setBy] = useState<Arrangement>('order of use');
  const [has, setHas] = useState<readonly string[]>([]);
  const stepIds = useMemo(
    () => (asked.length > 0 ? asked : lessonFrom(chart, { minutes: 20 }).steps.map(({ stepId }) => stepId)),
    [chart, asked],
  );
  const { compact, beside } = useMemo(
    () => compactFrom(chart, stepIds, { perWeek, rows, columns, by, has }, ids),
    [chart, stepIds, perWeek, rows, columns, by, has, ids],
  );
  const used = useMemo(() => {
    const laid = chart.steps.filter(({ id }) => stepIds.includes(id)).flatMap(({ use }) => use);
    return [...new Map(laid.map(({ product }) => [product.id, product])).values()];
  }, [chart, stepIds]);
  const notes = useMemo(() => compactNotes(compact, chart), [compact, chart]);
  const keep = (): Promise<unknown> =>
    save(async () => {
      await call('createCompact', {
        params: { id: chart.id },
        body: { compact, version: chart.version },
        idempotencyKey: compact.id,
      });
      await refresh();
      onKept(compact.id);
    });
  return (
    <Column gap="$4">
      <Label>{msg`What the lesson’s steps lay, as pans in tins: all that stands by itself goes in, bottles and tubes stay as they are.`}</Label>
      <Line gap="$4" alignItems="flex-start">
        <Stepper
          label={msg`Rows of a tin`}
          unit=""
          value={rows}
          minimum={1}
          maximum={12}
          step={1}
          onChange={setRows}
        />
        <Stepper
          label={msg`Columns of a tin`}
          unit=""
          value={columns}
          minimum={1}
          maximum={12}
          step={1}
          onChange={setColumns}
        />
        <Stepper
          label={msg`Put on`}
          unit={msg`times a week`}
          value={perWeek}
          minimum={1}
          maximum={21}
          step={1}
          onChange={setPerWeek}
        />
      </Line>
      <Choice
        label={msg`Laid out`}
        options={ARRANGEMENTS}
        words={{ 'order of use': msg`in order of use`, 'light to dark': msg`light to dark` }}
        chosen={[by]}
        onChange={([one]) => one && setBy(one)}
      />
      {used.length > 0 ? (
        <Choice
          several
          label={msg`In the purse already`}
          options={used.map(({ id }) => id)}
          words={Object.fromEntries(used.map((product) => [product.id, productName(product)]))}
          chosen={[...has]}
          onChange={setHas}
        />
      ) : null}
      <CompactTins compact={compact} notes={notes} editable={false} onChange={() => undefined} />
      <CompactNotesPart notes={{ ...notes, beside }} />
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      <Line>
        {onLeave ? <Button onPress={onLeave}>{msg`Leave it`}</Button> : null}
        {edits ? (
          <Button
            kind="main"
            large
            disabled={busy}
            onPress={() => void keep()}
          >{msg`Keep this compact`}</Button>
        ) : null}
      </Line>
    </Column>
  );
}
