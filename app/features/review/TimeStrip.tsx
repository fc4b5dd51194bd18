import { useDeferredValue, useMemo } from 'react';
import { chartAsReviewed, msg, orderedSteps, type Chart, type StepOrder } from '@toile/core';
import { Body, Button, Column, Label, View } from '../../ui';
import { askFitting, useWork } from '../../workers';
import { useSame } from '../../data/useSame';
import { OwnTimings } from './OwnTimings';
import { choiceInWords, saversInWords, timeInWords } from './timeView';

type TimeStripProps = {
  readonly chart: Chart;
  readonly editable: boolean;
  readonly onChange: (chart: Chart) => void;
};

/**
 * How long the chart takes as it stands and with its waits filled: hands and waits on a strip, and what would
 * save the most.
 */
export function TimeStrip({ chart, editable, onChange }: TimeStripProps) {
  const drawn = useSame(useDeferredValue(useMemo(() => chartAsReviewed(chart), [chart])));
  const asked = useMemo(() => ({ chart: drawn }), [drawn]);
  const { answer } = useWork(askFitting, 'order', asked);
  if (!answer) return null;
  const { given, woven, choices, savers } = answer;
  return (
    <Column gap="$2" role="group" aria-label={msg`Time`}>
      <Body>{timeInWords(answer)}</Body>
      <Strip name={msg`As it stands`} order={given} chart={chart} whole={given.totalMinutes} />
      {choices.length > 0 ? (
        <Strip name={msg`Waits filled`} order={woven} chart={chart} whole={given.totalMinutes} />
      ) : null}
      <Label>{msg`Filled: hands at work. Hatched below: drying. ${saversInWords(savers, chart)}`}</Label>
      <OwnTimings chart={chart} editable={editable} onChange={onChange} />
      {editable
        ? choices.map((choice) => (
            <Column key={choice.moves} gap="$1">
              <Button
                onPress={() =>
                  onChange(
                    orderedSteps(
                      chart,
                      choice.steps.map((s) => s.stepId),
                    ),
                  )
                }
              >
                {choiceInWords(choice)}
              </Button>
              <Label>{msg`Moves ${choice.movedIds.map((id) => chart.steps.find((s) => s.id === id)?.title.toLowerCase() ?? '').join(', ')}.`}</Label>
            </Column>
          ))
        : null}
    </Column>
  );
}

function Strip({
  name,
  order,
  chart,
  whole,
}: {
  readonly name: string;
  readonly order: StepOrder;
  readonly chart: Chart;
  readonly whole: number;
}) {
  const at = (minutes: number): `${number}%` => `${(100 * minutes) / Math.max(1, whole)}%`;
  return (
    <Column
      gap={0}
      role="img"
      aria-label={msg`${name}: ${order.totalMinutes.toFixed(0)} minutes, ${order.steps.map((s) => chart.steps.find((c) => c.id === s.stepId)?.title).join(', ')}`}
    >
      <Label>{msg`${name}, ${order.totalMinutes.toFixed(0)} min`}</Label>
      <View height={34} position="relative" backgroundColor="$raised">
        {order.steps.map((s) => (
          <View
            key={s.stepId}
            position="absolute"
            top={0}
            height={20}
            left={at(s.startMinutes)}
            width={at(Math.max(0.2, s.endMinutes - s.startMinutes))}
            backgroundColor="$woad"
            borderRightWidth={1}
            borderRightColor="$surface"
          />
        ))}
        {order.steps
          .filter((s) => s.dryMinutes > s.endMinutes)
          .map((s) => (
            <View
              key={`${s.stepId} dry`}
              position="absolute"
              top={22}
              height={10}
              left={at(s.endMinutes)}
              width={at(Math.min(whole, s.dryMinutes) - s.endMinutes)}
              borderWidth={1}
              borderStyle="dashed"
              borderColor="$ink"
            />
          ))}
      </View>
    </Column>
  );
}
