import { useMemo, useState } from 'react';
import {
  adaptationInWords,
  followDay,
  msg,
  occasionDifference,
  type Adaptation,
  type Chart,
  type Kit,
} from '@toile/core';
import { Body, Button, Column, Dialog, Label, Subheading } from '../../ui';
import { useMinded } from '../clients/useMinded';
import { useReview } from '../review/useReview';
import { findingsChanged, occasionErrors } from './occasionView';
import { OccasionFields } from './OccasionFields';

type ChartOccasionProps = {
  readonly chart: Chart;
  readonly kit: Kit;
  readonly onKeep: (chart: Chart) => void;
  readonly onClose: () => void;
};

/**
 * The occasion of a chart, changed: what the day then asks of its steps, and what the look-over finds and no
 * longer finds, is told before it is taken.
 */
export function ChartOccasion({ chart, kit, onKeep, onClose }: ChartOccasionProps) {
  const [value, setValue] = useState(chart.occasion);
  const [tried, setTried] = useState(false);
  const errors = occasionErrors(value);
  const minded = useMinded(chart);
  // A step the day adds takes nothing the client must not meet by now; the chart stays written as it was.
  const followed = useMemo(() => {
    const { chart: next, ...told } = followDay(minded, { ...value, asked: true }, kit);
    return { ...told, chart: { ...next, client: chart.client } };
  }, [minded, chart.client, value, kit]);
  const before = useReview(chart, kit);
  const after = useReview(followed.chart, kit);
  const difference = occasionDifference(chart.occasion, value);
  const titleOf = ({ stepId }: Adaptation): string | undefined =>
    [...followed.chart.steps, ...chart.steps].find((step) => step.id === stepId)?.title;
  const findings = before && after ? findingsChanged(before, after) : { come: [], gone: [] };
  const marks: readonly (readonly [string, readonly string[]])[] = [
    ['+', followed.come.map((a) => adaptationInWords(a, titleOf(a)))],
    ['−', followed.gone.map((a) => msg`No longer: ${adaptationInWords(a, titleOf(a))}`)],
    ['▲', findings.come.map(({ message }) => message)],
    ['✓', findings.gone.map(({ message }) => msg`No longer: ${message}`)],
  ];
  const told = marks.flatMap(([mark, lines]) => lines.map((line) => `${mark} ${line}`));
  const keep = (): void => {
    setTried(true);
    if (Object.keys(errors).length > 0) return;
    onKeep(followed.chart);
    onClose();
  };
  return (
    <Dialog title={msg`The occasion`} onClose={onClose}>
      <OccasionFields value={value} onChange={setValue} errors={tried ? errors : {}} />
      <Column gap="$1" role="status" aria-label={msg`What this changes`}>
        <Subheading fontSize="$3">{msg`What this changes`}</Subheading>
        <Label>{difference.length === 0 ? msg`Nothing yet.` : `${difference.join('; ')}.`}</Label>
        {told.map((line) => (
          <Body key={line} color={line.startsWith('▲') ? '$weld' : '$ink'}>
            {line}
          </Body>
        ))}
        {difference.length > 0 && told.length === 0 && after ? (
          <Body>{msg`Every step stands as it is.`}</Body>
        ) : null}
      </Column>
      <Button kind="main" onPress={keep}>{msg`Take it`}</Button>
    </Dialog>
  );
}
