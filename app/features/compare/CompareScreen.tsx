import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { diffCharts, msg, plural, stepsOfVariant, type Chart } from '@toile/core';
import type { ChartAnswer } from '@toile/contract';
import { useChart, useClient, useClients } from '../../data/hooks';
import {
  Body,
  Choice,
  Column,
  Field,
  Judged,
  Label,
  Ready,
  Row,
  Screen,
  Subheading,
  useWide,
  View,
} from '../../ui';
import { layersOf } from '../chart/layers';
import { FaceStage } from '../face/FaceStage';
import { dayInWords, withDays, withHours } from '../words/dates';

/** Two charts, or two versions of one: side by side, one over the other, and in words. */
export function CompareScreen({ id }: { readonly id: string }) {
  const answer = useChart(id);
  const router = useRouter();
  return (
    <Screen
      title={msg`Compare`}
      above={answer.data?.chart.client.name}
      onBack={() => router.navigate(`/charts/${id}`)}
    >
      <Ready remote={answer}>{(data) => <Compare answer={data} />}</Ready>
    </Screen>
  );
}

type Other = { readonly id: string; readonly version: string | undefined };

function Compare({ answer: { chart, versions } }: { readonly answer: ChartAnswer }) {
  const before = versions.find((v) => v.version === chart.version - 1);
  const [other, setOther] = useState<Other | null>(
    before ? { id: chart.id, version: String(before.version) } : null,
  );
  const found = useChart(other?.id ?? '', other?.version);
  const older = versions.filter((v) => v.version !== chart.version);
  return (
    <Column gap="$4">
      {older.length > 0 ? (
        <Choice
          label={msg`With another version`}
          options={older.map((v) => String(v.version))}
          words={Object.fromEntries(
            older.map((v) => [String(v.version), `${v.version} · ${dayInWords(v.at)}`]),
          )}
          chosen={other?.id === chart.id && other.version ? [other.version] : []}
          onChange={([version]) => setOther({ id: chart.id, version })}
        />
      ) : null}
      <AnotherChart chartId={chart.id} onChoose={(chosen) => setOther({ id: chosen, version: undefined })} />
      {other ? (
        <Ready remote={found}>{(data) => <Both a={data.chart} b={chart} />}</Ready>
      ) : (
        <Body>{msg`Choose what to compare it with.`}</Body>
      )}
    </Column>
  );
}

function AnotherChart({
  chartId,
  onChoose,
}: {
  readonly chartId: string;
  readonly onChoose: (chartId: string) => void;
}) {
  const [query, setQuery] = useState('');
  const [clientId, setClientId] = useState<string | null>(null);
  const clients = useClients(query);
  const client = useClient(clientId ?? '');
  return (
    <Column gap="$1">
      <Field
        label={msg`With another client’s chart`}
        value={query}
        onChange={(text) => (setQuery(text), setClientId(null))}
        placeholder={msg`A name`}
      />
      {query.trim() !== '' && clientId === null ? (
        <Ready remote={clients}>
          {(list) =>
            list
              .slice(0, 5)
              .map((c) => <Row key={c.id} title={c.name} detail="" onPress={() => setClientId(c.id)} />)
          }
        </Ready>
      ) : null}
      {clientId !== null ? (
        <Ready remote={client}>
          {({ charts, name }) =>
            charts.length === 0 ? (
              <Body>{msg`${name} has no chart yet.`}</Body>
            ) : (
              charts
                .filter((c) => c.id !== chartId)
                .map((c) => (
                  <Row
                    key={c.id}
                    title={`${c.lookName}, ${c.occasion}`}
                    detail={`${name} · ${dayInWords(c.date)}`}
                    onPress={() => onChoose(c.id)}
                  />
                ))
            )
          }
        </Ready>
      ) : null}
    </Column>
  );
}

const nameOf = (chart: Chart): string =>
  msg`${chart.client.name} · ${chart.look.name} · version ${chart.version}`;

function Both({ a, b }: { readonly a: Chart; readonly b: Chart }) {
  const wide = useWide();
  const [over, setOver] = useState<'side by side' | 'one over the other'>('side by side');
  const differences = useMemo(() => diffCharts(a, b), [a, b]);
  const layers = useMemo(
    () => [a, b].map((chart) => layersOf(chart.client, stepsOfVariant(chart.steps, null), null)),
    [a, b],
  );
  const laid = useMemo(() => {
    // The first chart's places on the second's face: what differs in placement, not in the faces.
    const outlines = layersOf(b.client, stepsOfVariant(a.steps, null), null)
      .filter(({ kind }) => kind !== 'base' && kind !== 'powder')
      .map((layer) => ({ ...layer, id: `other ${layer.id}`, emphasis: 'outline' as const }));
    return [...(layers[1] ?? []), ...outlines];
  }, [a, b, layers]);
  const height = wide ? 430 : 250;
  return (
    <Column gap="$3">
      <Choice
        label={msg`Shown`}
        options={['side by side', 'one over the other'] as const}
        chosen={[over]}
        onChange={([o]) => o && setOver(o)}
      />
      {over === 'side by side' ? (
        <View flexDirection="row" gap="$2">
          {[a, b].map((chart, i) => (
            <Column key={i} flex={1} gap="$1">
              <Judged padding={0}>
                <FaceStage
                  landmarks={chart.client.landmarks}
                  features={chart.client.features}
                  skin={chart.client.skin}
                  layers={layers[i]}
                  height={height}
                  label={nameOf(chart)}
                />
              </Judged>
              <Label>{nameOf(chart)}</Label>
            </Column>
          ))}
        </View>
      ) : (
        <Column gap="$1">
          <Judged padding={0}>
            <FaceStage
              landmarks={b.client.landmarks}
              features={b.client.features}
              skin={b.client.skin}
              layers={laid}
              height={wide ? 560 : 380}
              label={msg`${nameOf(b)}, with ${nameOf(a)} as outlines`}
            />
          </Judged>
          <Label>{msg`Filled: ${nameOf(b)}. Dashed: ${nameOf(a)}, carried to the same face.`}</Label>
        </Column>
      )}
      <Subheading>
        {differences.length === 0
          ? msg`Nothing differs`
          : plural(differences.length)`${differences.length} difference|${differences.length} differences`}
      </Subheading>
      <Column gap="$1" role="list" aria-label={msg`Differences`}>
        {differences.map((d, i) => (
          <Body key={i} role="listitem">
            {withHours(withDays(d.words))}
          </Body>
        ))}
      </Column>
    </Column>
  );
}
