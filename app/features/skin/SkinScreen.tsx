import { useRouter } from 'expo-router';
import { lazy, Suspense, useState } from 'react';
import {
  depthInWords,
  depthOf,
  msg,
  SKIN_ZONE_NAMES,
  SKIN_ZONES,
  skinTarget,
  term,
  undertoneOf,
} from '@toile/core';
import { pathTo, type ChartAnswer, type ClientAnswer } from '@toile/contract';
import { useChart, useClient } from '../../data/hooks';
import {
  Body,
  Button,
  Choice,
  Column,
  Empty,
  Figure,
  Judged,
  Label,
  Line,
  Ready,
  Screen,
  Subheading,
  Swatch,
  useColours,
  useWide,
  View,
} from '../../ui';
import { labInWords } from '../words/colours';
import { dayInWords, howFar } from '../words/dates';
import { driftInWords, historyOf, type HistoryOf, type HistoryPoint } from './historyView';

/** Charts weigh more than the rest of the page: fetched when one is drawn. */
const LineChart = lazy(async () => ({ default: (await import('react-native-gifted-charts')).LineChart }));

/** A client's skin over time: depth and undertone, drift and what it means. */
export function SkinScreen({ id }: { readonly id: string }) {
  const client = useClient(id);
  const router = useRouter();
  return (
    <Screen
      title={msg`Skin over time`}
      above={client.data?.name}
      onBack={() => router.navigate(`/clients/${id}`)}
      foot={
        <Button
          kind="main"
          large
          onPress={() => router.navigate(`/clients/${id}/read`)}
        >{msg`Read skin`}</Button>
      }
    >
      <Ready remote={client}>{(data) => <History client={data} />}</Ready>
    </Screen>
  );
}

function History({ client }: { readonly client: ClientAnswer }) {
  const [of, setOf] = useState<HistoryOf>('whole');
  const newest = client.charts[0];
  const lastChart = useChart(newest?.id ?? '');
  const points = historyOf(client.readings, of);
  const last = points.at(-1);
  if (client.readings.length === 0 || !last)
    return (
      <Empty
        title={msg`Not read yet`}
        words={msg`Read the skin: seven zones, a few touches each. The line starts with the first.`}
      />
    );
  const before = points.at(-2);
  return (
    <Column gap="$4">
      <Summary client={client} />
      <Choice
        label={msg`Zone`}
        options={['whole', ...SKIN_ZONES] as const}
        words={{ whole: msg`Face, neck and decollete`, ...SKIN_ZONE_NAMES }}
        chosen={[of]}
        onChange={([z]) => z && setOf(z)}
      />
      <DepthChart points={points} />
      <Column gap="$1" aria-live="polite">
        {before ? (
          <Body>{driftInWords(before.lab, last.lab, msg`the reading of ${dayInWords(before.at)}`)}</Body>
        ) : (
          <Body>{msg`One reading so far: nothing to compare it with yet.`}</Body>
        )}
        <SinceChart chart={newest ? lastChart.data : undefined} of={of} now={last} />
      </Column>
      <Column gap={0}>
        <Subheading>{msg`Readings`}</Subheading>
        {[...points].reverse().map((p) => (
          <Line
            key={p.at}
            gap="$3"
            flexWrap="nowrap"
            paddingVertical="$1"
            borderBottomWidth={1}
            borderBottomColor="$line"
          >
            <Swatch lab={p.lab} size={32} label={msg`as read`} />
            <Column gap={0} flex={1}>
              <Body>{`${dayInWords(p.at)}, ${howFar(p.at)}`}</Body>
              <Figure fontSize="$2" lineHeight="$2" color="$inkSoft">
                {labInWords(p.lab)}
              </Figure>
            </Column>
            <Figure>{p.depth.toFixed(1)}</Figure>
          </Line>
        ))}
      </Column>
      {client.readings[0] ? (
        <Button
          onPress={() => window.location.assign(pathTo('exportReading', { id: client.readings[0]!.id }))}
        >{msg`Export the newest as CGATS.17`}</Button>
      ) : null}
    </Column>
  );
}

/** Depth and undertone in words, with how sure each is. */
function Summary({ client }: { readonly client: ClientAnswer }) {
  const skin = client.readings[0]?.skin ?? {};
  const target = skinTarget(skin);
  if (!target) return null;
  const depth = depthOf(target);
  const undertone = undertoneOf(skin.neck ?? target);
  return (
    <Line gap="$3" flexWrap="nowrap">
      <Swatch lab={target} size={52} label={msg`the skin, face, neck and decollete`} />
      <Column gap={0} flex={1}>
        <Body>{msg`Depth ${depth.toFixed(1)}, ${depthInWords(depth)}. Undertone ${term(undertone.undertone)}.`}</Body>
        <Label>
          {msg`${skin.neck ? msg`Undertone from the neck` : msg`Undertone from the face, which is redder: read the neck`}; ${undertone.confidence === 'sure' ? msg`sure` : msg`near the border to the next`}. A proposal: the eye decides.`}
        </Label>
      </Column>
    </Line>
  );
}

/** Drift since her newest chart was made. */
function SinceChart({
  chart,
  of,
  now,
}: {
  readonly chart: ChartAnswer | undefined;
  readonly of: HistoryOf;
  readonly now: HistoryPoint;
}) {
  const skin = chart?.chart.client.skin;
  const then = skin ? (of === 'whole' ? skinTarget(skin) : (skin[of] ?? null)) : null;
  if (!chart || !then) return null;
  return (
    <Body>
      {driftInWords(then, now.lab, msg`the chart ${chart.chart.look.name} of ${dayInWords(chart.chart.at)}`)}
    </Body>
  );
}

const day = 86_400_000;

/** Depth over time, deeper further down; the points stand as far apart as the days. */
function DepthChart({ points }: { readonly points: readonly HistoryPoint[] }) {
  const c = useColours();
  const wide = useWide();
  const [width, setWidth] = useState(0);
  if (points.length < 2) return null;
  const depths = points.map((p) => p.depth);
  const low = Math.floor(Math.min(...depths) - 0.5);
  const high = Math.ceil(Math.max(...depths) + 0.5);
  const span = Math.max(day, Date.parse(points.at(-1)!.at) - Date.parse(points[0]!.at));
  const room = Math.max(120, width - 90);
  const data = points.map((p, i) => {
    const next = points[i + 1];
    return {
      // Lighter is up: the chart is told how far each is from the deepest line.
      value: high - p.depth,
      spacing: next ? Math.max(24, ((Date.parse(next.at) - Date.parse(p.at)) / span) * room) : 0,
    };
  });
  const sections = Math.min(6, high - low);
  return (
    <Column gap="$1">
      <Subheading>{msg`Depth in shade steps, lighter above`}</Subheading>
      <Judged
        padding="$2"
        onLayout={(event) => setWidth(event.nativeEvent.layout.width)}
        role="img"
        aria-label={msg`Depth from ${depths[0]!.toFixed(1)} to ${depths.at(-1)!.toFixed(1)} over ${points.length} readings`}
      >
        {width > 0 ? (
          <View overflow="hidden">
            <Suspense fallback={<View height={wide ? 220 : 150} />}>
              <LineChart
                data={data}
                height={wide ? 220 : 150}
                width={room + 30}
                initialSpacing={20}
                endSpacing={20}
                maxValue={high - low}
                noOfSections={sections}
                yAxisLabelTexts={Array.from({ length: sections + 1 }, (_, i) =>
                  (high - ((high - low) * i) / sections).toFixed(1),
                )}
                color={c.ink}
                thickness={2}
                dataPointsColor={c.woad}
                dataPointsRadius={5}
                rulesColor={c.line}
                xAxisColor={c.inkSoft}
                yAxisColor={c.inkSoft}
                yAxisTextStyle={{ color: c.ink, fontSize: 13 }}
                xAxisLabelsHeight={4}
                disableScroll
              />
            </Suspense>
          </View>
        ) : null}
        <Line justifyContent="space-between" flexWrap="nowrap" paddingLeft="$6">
          <Label color="$ink">{dayInWords(points[0]!.at)}</Label>
          <Label color="$ink">{dayInWords(points.at(-1)!.at)}</Label>
        </Line>
      </Judged>
    </Column>
  );
}
