import { useMemo, useState } from 'react';
import { occasionDifference, withOccasion, type Chart, type Kit } from '@toile/core';
import { Body, Button, Column, Dialog, Label, Subheading } from '../../ui';
import { useReview } from '../review/useReview';
import { findingsChanged, occasionErrors } from './occasionView';
import { OccasionFields } from './OccasionFields';

type ChartOccasionProps = {
  readonly chart: Chart;
  readonly kit: Kit | undefined;
  readonly onKeep: (chart: Chart) => void;
  readonly onClose: () => void;
};

/** The occasion of a chart, changed: what the look-over then finds and no longer finds is told before it is taken. */
export function ChartOccasion({ chart, kit, onKeep, onClose }: ChartOccasionProps) {
  const [value, setValue] = useState(chart.occasion);
  const [tried, setTried] = useState(false);
  const errors = occasionErrors(value);
  const next = useMemo(() => withOccasion(chart, { ...value, asked: true }), [chart, value]);
  const before = useReview(chart, kit);
  const after = useReview(next, kit);
  const difference = occasionDifference(chart.occasion, value);
  const keep = (): void => {
    setTried(true);
    if (Object.keys(errors).length > 0) return;
    onKeep(next);
    onClose();
  };
  return (
    <Dialog title="The occasion" onClose={onClose}>
      <OccasionFields value={value} onChange={setValue} errors={tried ? errors : {}} />
      <Column gap="$1" role="status" aria-label="What this changes">
        <Subheading fontSize="$3">What this changes</Subheading>
        {difference.length === 0 ? <Label>Nothing yet.</Label> : <Label>{`${difference.join('; ')}.`}</Label>}
        {difference.length > 0 && before && after ? <Findings {...findingsChanged(before, after)} /> : null}
      </Column>
      <Button kind="main" onPress={keep}>
        Take it
      </Button>
    </Dialog>
  );
}

function Findings({
  come,
  gone,
}: {
  readonly come: readonly { readonly message: string }[];
  readonly gone: readonly { readonly message: string }[];
}) {
  if (come.length + gone.length === 0)
    return (
      <Body>Every step stands as it is. Repeat fits the chart anew, where more should follow the day.</Body>
    );
  return (
    <>
      {come.map(({ message }) => (
        <Body key={message} color="$weld">{`▲ ${message}`}</Body>
      ))}
      {gone.map(({ message }) => (
        <Body key={message} color="$inkSoft">{`✓ No longer: ${message}`}</Body>
      ))}
    </>
  );
}
