import { useLocalSearchParams } from 'expo-router';
import { useMemo } from 'react';
import { compactNotes, msg, renewedCompact, type Chart, type Compact } from '@toile/core';
import { newId, pathTo, type CompactAnswer, type KitAnswer } from '@toile/contract';
import { call } from '../../../data/call';
import { useChart, useRefresh } from '../../../data/hooks';
import { useBegun, type Begun } from '../../../data/useBegun';
import { useSaving } from '../../../data/useSaving';
import { Body, Button, Column, Field, Line, Ready, Stepper, Subheading, useWide, View } from '../../../ui';
import { useMinded } from '../../clients/useMinded';
import { todayText } from '../../words/dates';
import { CompactNotesPart } from './CompactNotesPart';
import { CompactTins } from './CompactTins';
import { SeasonPart } from './SeasonPart';
import { WhichPan } from './WhichPan';

type OpenProps = {
  readonly answer: CompactAnswer;
  readonly newest: Chart;
  readonly kit: KitAnswer;
  readonly edits: boolean;
  /** What the last season brought; null before one was taken over. */ readonly told:
    readonly string[] | null;
  readonly onTold: (told: readonly string[]) => void;
};

/** A kept compact, by the version of the chart it is for. */
export function OpenCompact({ answer: saved, ...props }: OpenProps) {
  const { newest } = props;
  const { begun: answer, ...work } = useBegun({
    newest: saved,
    stampOf: ({ revision }) => revision,
    workOf: ({ compact }) => compact,
    same: (compact, from) => compact === from.compact,
  });
  const older = useChart(answer.version === newest.version ? '' : newest.id, String(answer.version));
  const opened = (chart: Chart) => (
    <Opened key={answer.revision} {...props} answer={answer} saved={saved} work={work} chart={chart} />
  );
  if (answer.version === newest.version) return opened(newest);
  return <Ready remote={older}>{({ chart }) => opened(chart)}</Ready>;
}

const MOST_TINS = 6;

/** One tin more, as large as the first: what had no place goes in it. */
function withAnotherTin(compact: Compact, chart: Chart): Compact {
  const { rows, columns } = compact.tins[0]!;
  const larger = { ...compact, tins: [...compact.tins, { id: newId(), rows, columns, pans: [] }] };
  return renewedCompact(larger, chart, chart, todayText()) ?? larger;
}

type OpenedProps = OpenProps & {
  readonly chart: Chart;
  /** As saved now. */ readonly saved: CompactAnswer;
  readonly work: Omit<Begun<CompactAnswer, Compact>, 'begun'>;
};

function Opened({ answer, saved, work, chart, newest, kit, edits, told, onTold }: OpenedProps) {
  const { pan } = useLocalSearchParams<{ pan?: string }>();
  const wide = useWide();
  const refresh = useRefresh();
  const { busy, failure, save } = useSaving();
  const { work: compact, setWork: setCompact, changed, begin, kept: keptAs } = work;
  const months = useMemo(
    () => new Map(kit.products.map(({ id, monthsAfterOpening }) => [id, monthsAfterOpening])),
    [kit],
  );
  const minded = useMinded(chart);
  const notes = useMemo(() => compactNotes(compact, minded, months), [compact, minded, months]);
  const keep = (): Promise<unknown> =>
    save(async () => {
      const kept = await call('updateCompact', {
        params: { id: compact.id },
        body: {
          compact: { ...compact, name: compact.name.trim() || answer.compact.name },
          version: answer.version,
        },
        revision: answer.revision,
      });
      keptAs(compact, kept);
      await refresh();
    });
  const print = (as: 'labels' | 'card', paper: 'a4' | 'letter'): void =>
    window.location.assign(pathTo('printCompact', { id: compact.id }, { as, paper }));
  return (
    <View flexDirection={wide ? 'row' : 'column'} gap="$5">
      <Column flex={wide ? 1 : undefined} gap="$4">
        <CompactTins compact={compact} notes={notes} editable={edits} asked={pan} onChange={setCompact} />
        {edits ? (
          <Line gap="$4" alignItems="flex-end">
            <View minWidth={220} flex={1}>
              <Field
                label={msg`Name on the labels`}
                value={compact.name}
                onChange={(name) => setCompact({ ...compact, name: name.slice(0, 200) })}
              />
            </View>
            <Stepper
              label={msg`Put on`}
              unit={msg`times a week`}
              value={compact.perWeek}
              minimum={1}
              maximum={21}
              step={1}
              onChange={(perWeek) => setCompact({ ...compact, perWeek })}
            />
          </Line>
        ) : null}
        {edits && compact.tins.length < MOST_TINS ? (
          <Line>
            <Button onPress={() => setCompact(withAnotherTin(compact, chart))}>{msg`Another tin`}</Button>
          </Line>
        ) : null}
        {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
        {changed ? (
          <Line>
            <Button
              large
              onPress={() => {
                begin(saved);
                if (failure) void refresh();
              }}
            >{msg`Undo all`}</Button>
            <Button
              large
              grow
              kind="main"
              disabled={busy}
              onPress={() => void keep()}
            >{msg`Save the compact`}</Button>
          </Line>
        ) : (
          <Column gap="$2" role="group" aria-label={msg`On paper`}>
            <Subheading fontSize="$4">{msg`On paper`}</Subheading>
            <Line>
              <Button onPress={() => print('labels', 'a4')}>{msg`Labels`}</Button>
              <Button onPress={() => print('card', 'a4')}>{msg`Card for the lid, A4`}</Button>
              <Button onPress={() => print('card', 'letter')}>{msg`Card for the lid, Letter`}</Button>
            </Line>
          </Column>
        )}
        <WhichPan compact={compact} notes={notes} />
      </Column>
      <Column flex={wide ? 1 : undefined} gap="$5">
        {changed ? null : (
          <SeasonPart
            answer={answer}
            chart={chart}
            newest={newest}
            kit={kit}
            edits={edits}
            told={told}
            onTold={onTold}
          />
        )}
        <CompactNotesPart notes={notes} />
      </Column>
    </View>
  );
}
