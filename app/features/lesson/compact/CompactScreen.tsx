import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { msg, type Chart } from '@toile/core';
import { may, type CompactAnswer, type KitAnswer } from '@toile/contract';
import { useChart, useCompacts, useKit, useSession } from '../../../data/hooks';
import { Button, Choice, Column, Line, Ready, Screen } from '../../../ui';
import { ComposeCompact } from './ComposeCompact';
import { OpenCompact } from './OpenCompact';

/** What a client takes home: the compacts of a chart, or one put together from its lesson. */
export function CompactScreen({ id }: { readonly id: string }) {
  const chart = useChart(id);
  const compacts = useCompacts(id);
  const kit = useKit();
  const router = useRouter();
  return (
    <Screen
      title={msg`Compact`}
      above={chart.data ? `${chart.data.chart.client.name} · ${chart.data.chart.look.name}` : undefined}
      widest={1100}
      onBack={() => router.navigate(`/charts/${id}/lesson`)}
    >
      <Ready remote={chart}>
        {({ chart: newest }) => (
          <Ready remote={compacts}>
            {(list) => (
              <Ready remote={kit}>{(own) => <Compacts chart={newest} list={list} kit={own} />}</Ready>
            )}
          </Ready>
        )}
      </Ready>
    </Screen>
  );
}

type CompactsProps = {
  readonly chart: Chart;
  readonly list: readonly CompactAnswer[];
  readonly kit: KitAnswer;
};

function Compacts({ chart, list, kit }: CompactsProps) {
  const { steps } = useLocalSearchParams<{ steps?: string }>();
  const session = useSession();
  const edits = session.data !== undefined && may(session.data.role, 'edit');
  const asked = (steps ?? '').split(',').filter((step) => chart.steps.some(({ id }) => id === step));
  const [fresh, setFresh] = useState(asked.length > 0 && edits);
  const [chosen, setChosen] = useState<string | null>(null);
  // What a new season brought is told on, while the compact itself is read anew.
  const [told, setTold] = useState<readonly string[] | null>(null);
  const router = useRouter();
  const open = list.find(({ compact }) => compact.id === chosen) ?? list.at(-1);
  if (fresh || !open)
    return (
      <ComposeCompact
        chart={chart}
        asked={asked}
        edits={edits}
        onKept={(id) => {
          setChosen(id);
          setFresh(false);
          router.replace(`/charts/${chart.id}/compact`);
        }}
        onLeave={open ? () => setFresh(false) : null}
      />
    );
  return (
    <Column gap="$4">
      {list.length > 1 ? (
        <Choice
          label={msg`Compacts of this chart`}
          options={list.map(({ compact }) => compact.id)}
          words={Object.fromEntries(list.map(({ compact }) => [compact.id, compact.name]))}
          chosen={[open.compact.id]}
          onChange={([one]) => one && setChosen(one)}
        />
      ) : null}
      <OpenCompact
        key={open.compact.id}
        answer={open}
        newest={chart}
        kit={kit}
        edits={edits}
        told={told}
        onTold={setTold}
      />
      {edits ? (
        <Line>
          <Button onPress={() => setFresh(true)}>{msg`Put another together`}</Button>
        </Line>
      ) : null}
    </Column>
  );
}
