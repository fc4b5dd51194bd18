import { driftBetween, msg, type Lab } from '@toile/core';
import { Body, Button, Column, Figure, Line, Subheading, Swatch } from '../../ui';
import { labInWords, stepsInWords } from '../words/colours';
import { adviceFor, spotIn, summaryIn, sureness, type Held, type Session } from './readingView';

type ZonePanelProps = {
  readonly name: string;
  readonly held: Held;
  readonly session: Session;
  readonly samples: readonly Lab[];
  readonly before: Lab | null;
  readonly onClear: () => void;
  readonly onDrop?: () => void;
};

/**
 * What has been read in one place: mean, how sure, what it means, and every sample with outliers struck
 * through.
 */
export function ZonePanel({ name, held, session, samples, before, onClear, onDrop }: ZonePanelProps) {
  const summary = summaryIn(session, samples);
  const drift = before && summary ? driftBetween(before, summary.lab) : null;
  const extra = typeof held === 'number' ? session.extras[held] : undefined;
  const spot = extra ? spotIn(session, extra) : null;
  return (
    <Column gap="$2" aria-live="polite">
      <Line justifyContent="space-between">
        <Subheading fontSize="$4">{name}</Subheading>
        <Swatch
          lab={summary?.lab ?? null}
          beside={before}
          size={44}
          label={before ? msg`now, beside the last reading` : msg`now`}
        />
      </Line>
      <Body fontWeight="700">{adviceFor(summary)}</Body>
      {summary ? (
        <Figure>{msg`${labInWords(summary.lab)}, ± ${summary.uncertainty.toFixed(2)} from ${summary.keptCount}, ${sureness(summary)}`}</Figure>
      ) : null}
      {drift ? (
        <Body>{msg`Since the last reading: ${drift.deltaE.toFixed(1)} different, ${stepsInWords(drift.stepsDeeper)}.`}</Body>
      ) : null}
      {extra ? (
        <Body>
          {spot
            ? msg`${spot.deltaE.toFixed(1)} from the skin round it: ${spot.words}.`
            : msg`Read the zone it lies in too, and it can be compared.`}
        </Body>
      ) : null}
      {samples.map((lab, i) => {
        const dropped = summary?.dropped[i] ?? false;
        return (
          <Figure
            key={i}
            color={dropped ? '$madder' : '$inkSoft'}
            textDecorationLine={dropped ? 'line-through' : 'none'}
            aria-label={msg`sample ${i + 1}${dropped ? msg`, set aside` : ''}`}
          >
            {`${i + 1}.  ${labInWords(lab)}${dropped ? msg`   set aside` : ''}`}
          </Figure>
        );
      })}
      <Line>
        {samples.length > 0 ? <Button onPress={onClear}>{msg`Read this zone again`}</Button> : null}
        {onDrop ? <Button onPress={onDrop}>{msg`Leave this place out`}</Button> : null}
      </Line>
    </Column>
  );
}
