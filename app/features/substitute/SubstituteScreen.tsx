import { useLocalSearchParams, useRouter } from 'expo-router';
import { useEffect, useMemo, useState } from 'react';
import {
  contextOf,
  inferLandmarks,
  msg,
  needsSubstitute,
  PLAIN_FEATURES,
  plural,
  productName,
  stepsUsing,
  type Chart,
  type Kit,
  type Product,
  type ShadeContext,
} from '@toile/core';
import { newId, type ChartSummary } from '@toile/contract';
import { call, CallError } from '../../data/call';
import { useKit, useProductUses, useRefresh } from '../../data/hooks';
import { Body, Button, Choice, Column, Empty, Label, Loading, Ready, Screen } from '../../ui';
import { askShades, useWork } from '../../workers';
import { useMinded } from '../clients/useMinded';
import { dayInWords, todayText } from '../words/dates';
import { SubstituteList } from './SubstituteList';
import { fewOf, placesFor, saidOf, substituteKey, substituteName, type Place } from './substituteView';

/**
 * What stands in for a product: nearest first, seen on a client's skin, put into one chart or all that use
 * it.
 */
export function SubstituteScreen({ id }: { readonly id: string }) {
  const kit = useKit();
  const uses = useProductUses(id);
  const router = useRouter();
  const product = kit.data?.products.find((p) => p.id === id);
  const title = msg`Find a substitute`;
  if (kit.data && product && uses.data)
    return <Find kit={kit.data} product={product} charts={uses.data.charts} />;
  return (
    <Screen title={title} onBack={() => router.navigate(`/kit/products/${id}`)}>
      <Ready remote={kit}>
        {() =>
          product ? (
            <Ready remote={uses}>{() => null}</Ready>
          ) : (
            <Empty title={msg`Not in this kit`} words={msg`It may have been taken out.`} />
          )
        }
      </Ready>
    </Screen>
  );
}

type FindProps = { readonly kit: Kit; readonly product: Product; readonly charts: readonly ChartSummary[] };
/** Nobody in particular: a face without a reading, for a product no chart uses. */
const NO_ONE = { skin: {}, features: PLAIN_FEATURES, landmarks: inferLandmarks({}), sensitivities: [] };

/** How what came of it is told: done, done but for some, or not. */
const TONES = {
  done: { mark: '✓', color: '$moss' },
  'in part': { mark: '▲', color: '$weld' },
  wrong: { mark: '▲', color: '$madder' },
} as const;

function Find({ kit, product, charts }: FindProps) {
  const router = useRouter();
  const refresh = useRefresh();
  const { chart: asked } = useLocalSearchParams<{ chart?: string }>();
  const [wantedId, setChartId] = useState(asked);
  // Once it has the substitute a chart is none of these any more.
  const chartId = (charts.find((c) => c.id === wantedId) ?? charts[0])?.id ?? null;
  const [more, setMore] = useState(false);
  const offered = more ? charts : fewOf(charts, chartId, todayText());
  const places = placesFor(charts, chartId, todayText());
  const [where, setWhere] = useState<Place['id']>(() =>
    !asked && places.some((place) => place.id === 'to come') ? 'to come' : 'this',
  );
  const chart = useMinded(useChartOnce(chartId));
  const [packed, setPacked] = useState(true);
  const request = useMemo(() => requestFor(kit, product, chart, packed), [kit, product, chart, packed]);
  const { answer, error } = useWork(
    askShades,
    'substitute',
    chartId !== null && chart === null ? null : request,
  );
  const [chosen, setChosen] = useState<string | null>(null);
  // One request, told again, keeps its key; another has another.
  const [keys] = useState(() => new Map<string, string>());
  const [busy, setBusy] = useState(false);
  const [said, setSaid] = useState<{ readonly words: string; readonly tone: keyof typeof TONES } | null>(
    null,
  );
  const picked = answer?.find((s) => substituteKey(s) === chosen) ?? answer?.[0] ?? null;
  const why = needsSubstitute(product, request.context, packed ? [] : [product.id]);
  const targets = (places.find((place) => place.id === where) ?? places[0])?.chartIds ?? [];
  const apply = async (): Promise<void> => {
    setBusy(true);
    setSaid(null);
    const what = `${substituteKey(picked!)} ${targets.join()}`;
    const key = keys.get(what) ?? newId();
    keys.set(what, key);
    try {
      const parts = picked!.parts.map((p) => ({
        productId: p.product.id,
        unitId: p.unit.id,
        pumps: p.pumps,
      }));
      const body = { chartIds: [...targets], parts, doseFactor: picked!.doseFactor, reason: why ?? '' };
      const answer = await call('substituteProduct', {
        params: { id: product.id },
        body,
        idempotencyKey: key,
      });
      keys.delete(what);
      await refresh();
      const tone = answer.left.length > 0 ? 'in part' : 'done';
      setSaid({ words: saidOf(answer, substituteName(picked!)), tone });
      const [only] = answer.changed;
      if (only && answer.changed.length === 1 && answer.left.length === 0)
        router.navigate(`/charts/${only.chartId}`);
    } catch (failed) {
      setSaid({
        words: failed instanceof CallError ? failed.message : msg`Something went wrong. Try again.`,
        tone: 'wrong',
      });
    } finally {
      setBusy(false);
    }
  };
  return (
    <Screen
      title={msg`Find a substitute`}
      above={productName(product)}
      widest={760}
      onBack={() =>
        asked ? router.navigate(`/charts/${asked}`) : router.navigate(`/kit/products/${product.id}`)
      }
      foot={
        charts.length > 0 ? (
          <Column gap="$2">
            {said ? (
              <Body
                role={said.tone === 'wrong' ? 'alert' : 'status'}
                color={TONES[said.tone].color}
              >{`${TONES[said.tone].mark} ${said.words}`}</Body>
            ) : null}
            <Button
              kind="main"
              large
              disabled={busy || !picked || targets.length === 0}
              onPress={() => void apply()}
            >
              {picked
                ? msg`Use it in ${plural(targets.length)`this chart|${targets.length} charts`}`
                : msg`Nothing to use`}
            </Button>
          </Column>
        ) : undefined
      }
    >
      <Column gap="$3">
        <Body>{why ? `${why}.` : msg`Nothing speaks against it; these would stand in for it.`}</Body>
        {charts.length === 0 ? (
          <Label>{msg`No chart uses it.${said && said.tone !== 'wrong' ? ` ${said.words}` : ''}`}</Label>
        ) : (
          <>
            <Choice
              label={msg`For`}
              options={offered.map((c) => c.id)}
              words={Object.fromEntries(charts.map((c) => [c.id, `${c.clientName}, ${dayInWords(c.date)}`]))}
              chosen={chartId ? [chartId] : []}
              onChange={([c]) => c && setChartId(c)}
            />
            {offered.length < charts.length ? (
              <Button
                onPress={() => setMore(true)}
              >{msg`${charts.length - offered.length} more charts`}</Button>
            ) : null}
            {places.length > 1 ? (
              <Choice
                label={msg`Put it into`}
                options={places.map(({ id: place }) => place)}
                words={Object.fromEntries(places.map((place) => [place.id, place.words]))}
                chosen={[where]}
                onChange={([place]) => place && setWhere(place)}
              />
            ) : null}
          </>
        )}
        {targets.length > 1 ? (
          <Label>{msg`Judged for each: where it must not be used the chart stays as it is.`}</Label>
        ) : null}
        <Choice
          label={msg`That day it is`}
          options={['here', 'not packed']}
          chosen={[packed ? 'here' : 'not packed']}
          onChange={([p]) => setPacked(p === 'here')}
        />
        {error ? <Body color="$madder">{`▲ ${error}`}</Body> : null}
        {answer ? (
          <SubstituteList
            list={answer}
            product={product}
            picked={picked}
            onPick={(s) => setChosen(substituteKey(s))}
          />
        ) : (
          <Loading words={msg`Comparing the kit`} />
        )}
      </Column>
    </Screen>
  );
}

function requestFor(kit: Kit, product: Product, chart: Chart | null, packed: boolean) {
  const context: ShadeContext = chart ? contextOf(chart, kit) : { client: NO_ONE, kit, date: todayText() };
  const dose = chart?.steps.find((s) => s.use.some((u) => u.product.id === product.id));
  const options = {
    ...(chart ? { steps: stepsUsing(chart, product.id) } : {}),
    ...(packed ? {} : { notPacked: [product.id] }),
    ...(dose && dose.doseMgPerCm2 > 0 ? { doseMgPerCm2: dose.doseMgPerCm2 } : {}),
  };
  return { context, product, options };
}

/** The chart's newest version, asked for when its line is chosen. */
function useChartOnce(id: string | null): Chart | null {
  const [chart, setChart] = useState<Chart | null>(null);
  useEffect(() => {
    if (id === null) return;
    let current = true;
    call('chart', { params: { id } }).then(
      (answer) => current && setChart(answer.chart),
      () => undefined,
    );
    return () => {
      current = false;
    };
  }, [id]);
  return chart?.id === id ? chart : null;
}
