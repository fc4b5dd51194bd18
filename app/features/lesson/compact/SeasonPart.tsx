import { useState } from 'react';
import {
  compactChanges,
  msg,
  plural,
  renewedCompact,
  seasonChart,
  seasonOf,
  type Chart,
  type Refit,
} from '@toile/core';
import type { ChartAnswer, ClientAnswer, CompactAnswer, KitAnswer, LessonLinkAnswer } from '@toile/contract';
import { call } from '../../../data/call';
import { useChart, useClient, useLessonLinks, useRefresh, useSession } from '../../../data/hooks';
import { useSaving } from '../../../data/useSaving';
import { Body, Button, Column, Label, Line, Loading, Ready, Subheading } from '../../../ui';
import { askFitting } from '../../../workers';
import { snapshotOfClient } from '../../clients/snapshot';
import { useWorn } from '../../repeat/useWorn';
import { howFar, todayText } from '../../words/dates';

type SeasonProps = {
  readonly answer: CompactAnswer;
  /** The version the compact is for. */ readonly chart: Chart;
  readonly newest: Chart;
  readonly kit: KitAnswer;
  readonly edits: boolean;
  readonly told: readonly string[] | null;
  readonly onTold: (told: readonly string[]) => void;
};

const MARKS = { holds: '✓', mix: '▲', swap: '▲', 'nothing nearer': '▲' } as const;

/**
 * Months later: what of a compact still holds on the skin as it was read last, and what to mix or swap; taken
 * over by one touch.
 */
export function SeasonPart(props: SeasonProps) {
  const client = useClient(props.chart.client.id);
  const worn = useChart(props.newest.id);
  return (
    <Column gap="$2" role="group" aria-label={msg`Another season`}>
      <Subheading fontSize="$4">{msg`Another season`}</Subheading>
      <Ready remote={client}>
        {(person) => (
          <Ready remote={worn}>{(data) => <WithWorn {...props} client={person} answered={data} />}</Ready>
        )}
      </Ready>
    </Column>
  );
}

type WithPerson = SeasonProps & { readonly client: ClientAnswer };
function WithWorn({ answered, ...props }: WithPerson & { readonly answered: ChartAnswer }) {
  const worn = useWorn(answered);
  return worn ? <Season {...props} worn={worn} /> : <Loading />;
}

function Season({
  answer,
  chart,
  newest,
  kit,
  edits,
  told,
  onTold,
  client,
  worn,
}: WithPerson & { readonly worn: Chart }) {
  const refresh = useRefresh();
  const session = useSession();
  const links = useLessonLinks(newest.id);
  const { busy, failure, save } = useSaving();
  const [refit, setRefit] = useState<Refit | null>(null);
  const read = client.readings[0];
  const { compact } = answer;
  const check = (): Promise<unknown> =>
    save(async () => {
      const today = todayText();
      setRefit(
        await askFitting('refit', {
          worn,
          client: snapshotOfClient(client),
          kit,
          // A day that is still to come stays the chart's.
          occasion: { ...newest.occasion, date: newest.occasion.date > today ? newest.occasion.date : today },
          stamp: {
            id: newest.id,
            version: newest.version + 1,
            author: session.data?.name ?? '',
            at: new Date().toISOString(),
            reason: '',
          },
        }),
      );
    });
  const lines = refit ? seasonOf(compact, refit) : [];
  const needs = lines.filter(({ kind }) => kind === 'mix' || kind === 'swap');
  const behind = answer.version < newest.version;

  /** The compact for a version, and every link of the lesson that still shows an older one. */
  const follow = async (to: Chart): Promise<void> => {
    const next = renewedCompact(compact, chart, to, todayText());
    if (!next) return onTold([msg`None of its steps is in the chart any more: put another together.`]);
    await call('updateCompact', {
      params: { id: compact.id },
      body: { compact: next, version: to.version },
      revision: answer.revision,
    });
    const moved = (links.data ?? []).filter((link) => showsOlder(link, to.version));
    for (const { id } of moved)
      await call('renewLessonLink', { params: { id }, body: { version: to.version } });
    onTold([
      ...compactChanges(compact, next, [chart, to]),
      ...(moved.length > 0
        ? [
            msg`${plural(moved.length)`The lesson’s link shows|${moved.length} links show`} it, and what is new.`,
          ]
        : []),
    ]);
    await refresh();
  };
  const takeOver = (): Promise<unknown> =>
    save(async () => {
      if (!refit) return;
      const next = seasonChart(compact, refit);
      const kept = await call('createVersion', {
        params: { id: newest.id },
        body: {
          parent: newest.version,
          reason: msg`Another season, read ${read ? howFar(read.at) : msg`never`}`,
          chart: next,
        },
      });
      await follow(kept.chart);
    });
  if (told)
    return (
      <Column gap="$1" role="status">
        <Body fontWeight="700">{msg`Taken over.`}</Body>
        {told.map((words) => (
          <Body key={words}>{words}</Body>
        ))}
      </Column>
    );
  return (
    <Column gap="$2">
      <Label>
        {read ? msg`Skin last read ${howFar(read.at)}.` : msg`The skin has not been read: read it first.`}
      </Label>
      {behind ? (
        <Column gap="$2">
          <Body>{msg`It is for version ${answer.version}; the chart is at version ${newest.version}.`}</Body>
          {edits ? (
            <Line>
              <Button disabled={busy} onPress={() => void save(() => follow(newest))}>
                {msg`Bring it to version ${newest.version}`}
              </Button>
            </Line>
          ) : null}
        </Column>
      ) : refit ? (
        <Column gap="$2">
          <Column gap="$1" role="list" aria-label={msg`What still holds`}>
            {lines.map(({ stepId, kind, words }) => (
              <Body key={stepId} role="listitem">{`${MARKS[kind]} ${words}`}</Body>
            ))}
          </Column>
          {needs.length === 0 ? (
            <Body fontWeight="700">{msg`Nothing is to be changed.`}</Body>
          ) : edits ? (
            <Line>
              <Button kind="main" disabled={busy} onPress={() => void takeOver()}>{msg`Take it over`}</Button>
            </Line>
          ) : null}
        </Column>
      ) : busy ? (
        <Loading words={msg`Comparing with the newest reading and the kit`} />
      ) : (
        <Line>
          <Button disabled={!read} onPress={() => void check()}>{msg`What still holds?`}</Button>
          <Button href={`/clients/${client.id}/read`}>{msg`Read the skin`}</Button>
        </Line>
      )}
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
    </Column>
  );
}

const showsOlder = ({ version, expiresAt, revokedAt }: LessonLinkAnswer, than: number): boolean =>
  revokedAt === null && version < than && (expiresAt === null || Date.parse(expiresAt) > Date.now());
