import { useState } from 'react';
import { msg, plural, refuseAdaptation, type Adaptation, type Chart } from '@toile/core';
import { Body, Button, Column, Label, Line } from '../../ui';

type AdaptationsPanelProps = {
  readonly chart: Chart;
  readonly editable: boolean;
  readonly onChange: (chart: Chart) => void;
};

/**
 * What was changed of the look for this client and this day, each with its reason, and each refused by one
 * touch.
 */
export function AdaptationsPanel({ chart, editable, onChange }: AdaptationsPanelProps) {
  const [open, setOpen] = useState(false);
  const adaptations = chart.adaptations ?? [];
  if (adaptations.length === 0) return null;
  const kept = adaptations.filter((a) => !a.refused).length;
  return (
    <Column gap="$2" role="group" aria-label={msg`Fitted to the client and the day`}>
      <Line justifyContent="space-between" flexWrap="nowrap">
        <Body
          flex={1}
        >{msg`Fitted to this client and day: ${plural(kept)`${kept} change|${kept} changes`} of the look.`}</Body>
        <Button
          label={open ? msg`Close what was fitted` : msg`Show what was fitted`}
          onPress={() => setOpen((o) => !o)}
        >
          {open ? msg`Close` : msg`Show`}
        </Button>
      </Line>
      {open
        ? adaptations.map((adaptation) => (
            <AdaptationRow
              key={`${adaptation.id} ${adaptation.stepId}`}
              adaptation={adaptation}
              title={chart.steps.find((s) => s.id === adaptation.stepId)?.title}
              onRefuse={editable ? () => onChange(refuseAdaptation(chart, adaptation)) : null}
            />
          ))
        : null}
    </Column>
  );
}

type AdaptationRowProps = {
  readonly adaptation: Adaptation;
  readonly title: string | undefined;
  readonly onRefuse: (() => void) | null;
};

/** One change of the look with its reason, and one touch to have it back as it was. */
export function AdaptationRow({ adaptation, title, onRefuse }: AdaptationRowProps) {
  const { words, why, refused } = adaptation;
  return (
    <Line
      flexWrap="nowrap"
      alignItems="flex-start"
      borderBottomWidth={1}
      borderBottomColor="$line"
      paddingBottom="$2"
    >
      <Column gap={0} flex={1}>
        <Body color={refused ? '$inkSoft' : '$ink'}>{refused ? msg`${words}: refused` : words}</Body>
        <Label>{[title, why].filter(Boolean).join(' · ')}</Label>
      </Column>
      {onRefuse && !refused ? (
        <Button label={msg`Not here: ${words}`} onPress={onRefuse}>{msg`Not here`}</Button>
      ) : null}
    </Line>
  );
}
