import { useMemo, useState } from 'react';
import {
  labToHex,
  msg,
  PATTERN_SKIN_NAMES,
  patternClient,
  type ClientSnapshot,
  type Lab,
  type Look,
  type OwnKitLine,
  type PatternSkin,
} from '@toile/core';
import { useClient, useKit } from '../../data/hooks';
import { Body, Choice, Column, Label, Line, Loading, Ready, Swatch } from '../../ui';
import { askFitting, useWork } from '../../workers';
import { snapshotOfClient } from '../clients/snapshot';
import { todayText } from '../words/dates';
import { ColouredFace } from './ColouredFace';
import { layerOn } from './lookLayers';

const MARKS: Readonly<Record<OwnKitLine['met'], string>> = { met: '✓', near: '◐', far: '▲', nothing: '■' };

/**
 * A look as the studio's own kit can do it: as asked beside as ours, and for each step what is nearest and
 * how far off.
 */
export function WithOurKit({ look, clientId }: { readonly look: Look; readonly clientId: string | null }) {
  const kit = useKit();
  const person = useClient(clientId ?? '');
  const [skin, setSkin] = useState<PatternSkin>('medium');
  const read = person.data && person.data.readings.length > 0 ? person.data : null;
  const client = useMemo(() => (read ? snapshotOfClient(read) : patternClient(skin)), [read, skin]);
  const request = useMemo(
    () => (kit.data ? { look, client, kit: kit.data, date: todayText() } : null),
    [look, client, kit.data],
  );
  const { answer, error, fresh } = useWork(askFitting, 'ownKit', request);
  return (
    <Column gap="$3" role="group" aria-label={msg`With our kit`}>
      {read ? (
        <Label>{msg`On ${read.name}, as read last.`}</Label>
      ) : (
        <Choice
          label={msg`On skin that is`}
          options={PATTERN_SKIN_NAMES}
          chosen={[skin]}
          onChange={([one]) => one && setSkin(one)}
        />
      )}
      {error ? <Body role="alert" color="$madder">{`▲ ${error}`}</Body> : null}
      <Ready remote={kit}>
        {() =>
          answer && fresh ? (
            <Compared look={look} client={client} lines={answer} />
          ) : error ? null : (
            <Loading words={msg`Matching each step with the kit`} />
          )
        }
      </Ready>
    </Column>
  );
}

type ComparedProps = {
  readonly look: Look;
  readonly client: ClientSnapshot;
  readonly lines: readonly OwnKitLine[];
};

function Compared({ look, client, lines }: ComparedProps) {
  const count = (met: OwnKitLine['met']): number => lines.filter((line) => line.met === met).length;
  const said = [
    msg`${count('met')} of ${lines.length} as asked`,
    count('near') > 0 ? msg`${count('near')} near` : null,
    count('far') > 0 ? msg`${count('far')} plainly off` : null,
    count('nothing') > 0 ? msg`${count('nothing')} we have nothing for` : null,
  ].filter((words) => words !== null);
  return (
    <Column gap="$3">
      <Body role="status" fontWeight="700">{`${said.join(', ')}.`}</Body>
      <Line flexWrap="nowrap" gap="$2" alignItems="stretch">
        <Face
          look={look}
          client={client}
          title={msg`as asked`}
          colourOf={(line) => line.asked}
          lines={lines}
        />
        <Face look={look} client={client} title={msg`as ours`} colourOf={(line) => line.ours} lines={lines} />
      </Line>
      <Column gap="$2" role="list" aria-label={msg`Step by step`}>
        {lines.map((line) => (
          <Line key={line.stepId} role="listitem" flexWrap="nowrap" gap="$3" alignItems="flex-start">
            {line.ours ? (
              <Swatch
                lab={line.ours}
                beside={line.asked ?? undefined}
                size={36}
                label={msg`ours beside what is asked`}
              />
            ) : (
              <Swatch lab={line.asked} size={36} label={msg`what is asked`} />
            )}
            <Column gap={0} flex={1}>
              <Body>{`${MARKS[line.met]} ${line.title}`}</Body>
              <Label>{line.words}</Label>
            </Column>
          </Line>
        ))}
      </Column>
    </Column>
  );
}

function Face({
  look,
  client,
  title,
  lines,
  colourOf,
}: ComparedProps & { readonly title: string; readonly colourOf: (line: OwnKitLine) => Lab | null }) {
  const layers = lines.flatMap((line) => {
    const step = look.steps.find(({ id }) => id === line.stepId);
    const lab = colourOf(line);
    return step && (lab || line.met !== 'nothing')
      ? layerOn(step, client).map((layer) => ({ ...layer, colour: lab ? labToHex(lab) : layer.colour }))
      : [];
  });
  return (
    <ColouredFace
      client={client}
      layers={layers}
      title={title}
      height={230}
      label={`${look.name}, ${title}`}
    />
  );
}
