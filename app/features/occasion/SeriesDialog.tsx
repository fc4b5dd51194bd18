import { useMemo } from 'react';
import { msg, productsInWords, withColourSeries, type Chart, type ColourSeries, type Kit } from '@toile/core';
import { newId } from '@toile/contract';
import { Body, Button, Column, Dialog, Judged, Label, Line, Loading, Subheading, Swatch } from '../../ui';
import { askFitting, useWork } from '../../workers';
import { useMinded } from '../clients/useMinded';

type SeriesDialogProps = {
  readonly chart: Chart;
  readonly kit: Kit;
  readonly onKeep: (chart: Chart) => void;
  /** Says what is worn first. */
  readonly onOccasion: () => void;
  readonly onClose: () => void;
};

/**
 * Eye, cheek and lip coloured for what is worn, three ways, each from the kit with how far off it is; kept as
 * a variant.
 */
export function SeriesDialog({ chart, kit, onKeep, onOccasion, onClose }: SeriesDialogProps) {
  const minded = useMinded(chart);
  const asked = useMemo(() => ({ chart: minded, kit }), [minded, kit]);
  const { answer, error } = useWork(askFitting, 'series', asked);
  const names = new Set(chart.variants.map((v) => v.name));
  return (
    <Dialog title={msg`Colours for what is worn`} onClose={onClose}>
      {error ? <Body role="alert" color="$madder">{`▲ ${error}`}</Body> : null}
      {!answer && !error ? <Loading words={msg`Matching eye, cheek and lip`} /> : null}
      {answer?.length === 0 ? (
        <>
          <Body>{msg`Say first which colours are worn, or of which metal the jewellery is; ivory, grey and black lead no colour.`}</Body>
          <Button kind="main" onPress={onOccasion}>{msg`Say what is worn`}</Button>
        </>
      ) : null}
      {answer?.map((series) => (
        <Column key={series.scheme} gap="$2" role="group" aria-label={series.name}>
          <Subheading>{series.name}</Subheading>
          <Label>{`${series.why}.`}</Label>
          {series.steps.map((step) => (
            <Line key={step.stepId} flexWrap="nowrap" alignItems="center">
              <Judged padding="$1">
                <Swatch
                  lab={step.lab}
                  beside={step.sought}
                  size={40}
                  label={msg`${step.title}, beside what was sought`}
                />
              </Judged>
              <Column flex={1} gap={0}>
                <Body>
                  {step.nearest.length > 0
                    ? productsInWords(step.nearest)
                    : msg`${step.title}: nothing here does this`}
                </Body>
                <Label>{saidOf(step)}</Label>
              </Column>
            </Line>
          ))}
          {names.has(series.name) ? (
            <Label>{msg`✓ Kept as a variant.`}</Label>
          ) : (
            <Button
              disabled={series.steps.every((step) => step.use.length === 0)}
              onPress={() => onKeep(withColourSeries(chart, series, newId))}
            >{msg`Keep as a variant`}</Button>
          )}
        </Column>
      ))}
      <Label>{msg`The left half is the product, the right what was sought. Judge on the skin, in the light of the day.`}</Label>
    </Dialog>
  );
}

function saidOf({ title, off, gap, use }: ColourSeries['steps'][number]): string {
  if (gap) return msg`${gap.words}${gap.buy ? msg` Buy ${gap.buy}.` : ''} Stays as planned.`;
  if (off === null) return title;
  return use.length > 0
    ? msg`${title}, ${off.toFixed(1)} off`
    : msg`▲ ${title}: the nearest, ${off.toFixed(1)} off, is another colour. Stays as planned.`;
}
