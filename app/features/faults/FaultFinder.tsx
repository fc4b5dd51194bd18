import { useMemo, useState } from 'react';
import { FAULTS, findCauses, msg, type Chart, type Kit, type LikelyCause } from '@toile/core';
import { Body, Button, Choice, Column, Label } from '../../ui';

type FaultFinderProps = {
  readonly chart: Chart;
  readonly kit: Kit | undefined;
  /** The step at which it is seen; null for the whole face. */
  readonly seenAt: string | null;
  /** What taking a cause does. */
  readonly action: string;
  readonly onTake: (seen: string, cause: LikelyCause) => void;
};

/** What do you see? The likely causes for this chart, what to do now, and what to change next time. */
export function FaultFinder({ chart, kit, seenAt, action, onTake }: FaultFinderProps) {
  const [seen, setSeen] = useState<string | null>(null);
  const causes = useMemo(
    () => (seen === null ? [] : findCauses(chart, kit ?? null, seen, seenAt)),
    [chart, kit, seen, seenAt],
  );
  return (
    <Column gap="$3" role="group" aria-label={msg`What do you see?`}>
      <Choice
        label={msg`What do you see?`}
        options={FAULTS.map((f) => f.id)}
        words={Object.fromEntries(FAULTS.map((f) => [f.id, f.seen]))}
        chosen={seen ? [seen] : []}
        onChange={([id]) => setSeen(id === seen ? null : (id ?? null))}
      />
      {causes.map((likely, i) => (
        <Column
          key={likely.cause.id}
          gap="$1"
          borderLeftWidth={3}
          borderLeftColor={i === 0 ? '$ink' : '$line'}
          paddingLeft="$3"
        >
          <Body
            fontWeight={i === 0 ? '700' : '400'}
          >{`${likely.cause.words}${likely.step ? msg`, in ${likely.step.title.toLowerCase()}` : ''} · ${Math.round(likely.share * 100)} %`}</Body>
          <Label>{likely.because ?? msg`Often so; nothing in this chart points at it.`}</Label>
          <Body>{msg`Now: ${likely.cause.now}`}</Body>
          <Body>{msg`Next time: ${likely.cause.next}.`}</Body>
          {likely.step && seen ? (
            <Button label={`${action}: ${likely.cause.next}`} onPress={() => onTake(seen, likely)}>
              {action}
            </Button>
          ) : null}
        </Column>
      ))}
      {seen ? (
        <Label>{msg`Shares weigh the trade’s experience by what this chart shows; they are not measured.`}</Label>
      ) : null}
    </Column>
  );
}
