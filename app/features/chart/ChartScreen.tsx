import { useLocalSearchParams, useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { documentHash, type Chart } from '@toile/core';
import { may, pathTo, type ChartAnswer } from '@toile/contract';
import { call, CallError, currentOf } from '../../data/call';
import { useChart, useKit, useRefresh, useSession } from '../../data/hooks';
import { Body, Button, Column, Field, Label, Line, Ready, Row, Screen, Subheading, useRoomy } from '../../ui';
import { dayInWords } from '../words/dates';
import {
  dropChartDraft,
  newChartDraft,
  readChartDraft,
  writeChartDraft,
  type ChartDraft,
} from './chartDraft';
import { ChartOccasion } from '../occasion/ChartOccasion';
import { SeriesDialog } from '../occasion/SeriesDialog';
import { PrintDialog } from '../print/PrintDialog';
import { ShareDialog } from '../share/ShareDialog';
import { ChartEditor } from './ChartEditor';

/** A chart as saved, changed here into its next version. */
export function ChartScreen({ id }: { readonly id: string }) {
  const { version } = useLocalSearchParams<{ version?: string }>();
  const answer = useChart(id, version);
  const router = useRouter();
  if (answer.data) return <Open key={`${id} ${answer.data.chart.version}`} answer={answer.data} />;
  return (
    <Screen title="Face chart" onBack={() => router.back()}>
      <Ready remote={answer}>{() => null}</Ready>
    </Screen>
  );
}

function Open({ answer }: { readonly answer: ChartAnswer }) {
  const { chart: saved, versions } = answer;
  const router = useRouter();
  const refresh = useRefresh();
  const kit = useKit();
  const session = useSession();
  const [draft, setDraft] = useState<ChartDraft>(() => readChartDraft(saved) ?? newChartDraft(saved));
  const [failure, setFailure] = useState<{ words: string; newest: Chart | null } | null>(null);
  const [busy, setBusy] = useState(false);
  const [asking, setAsking] = useState<'print' | 'share' | 'occasion' | 'series' | null>(null);
  const roomy = useRoomy();
  const shown = { chartId: saved.id, version: saved.version };
  const newest = versions[0]?.version === saved.version;
  const editable = newest && session.data !== undefined && may(session.data.role, 'edit');
  const changed = draft.chart !== saved && JSON.stringify(draft.chart) !== JSON.stringify(saved);

  useEffect(() => {
    if (changed || draft.reason) writeChartDraft(saved, draft);
  }, [saved, draft, changed]);

  const save = async (): Promise<void> => {
    setBusy(true);
    setFailure(null);
    try {
      const body = { parent: saved.version, reason: draft.reason, chart: draft.chart };
      // The same words sent twice land once; other words are another write.
      const kept = await call('createVersion', {
        params: { id: saved.id },
        body,
        idempotencyKey: documentHash({ key: draft.key, body }),
      });
      dropChartDraft(saved);
      await refresh({ name: 'chart', params: { id: saved.id }, answer: kept });
    } catch (error) {
      setFailure({
        words:
          error instanceof CallError
            ? error.message
            : 'Something went wrong. Your changes are kept here; try again.',
        newest: currentOf('createVersion', error),
      });
      setBusy(false);
    }
  };
  const discard = (): void => {
    dropChartDraft(saved);
    setDraft(newChartDraft(saved));
  };

  return (
    <Screen
      fill={roomy}
      title={saved.client.name}
      above={`${saved.look.name} · ${saved.occasion.kind}, ${dayInWords(saved.occasion.date)} · version ${saved.version}`}
      onBack={() => router.navigate(`/clients/${saved.client.id}`)}
      foot={
        changed ? (
          <Column gap="$2">
            {failure ? <Body role="alert" color="$madder">{`▲ ${failure.words}`}</Body> : null}
            {failure?.newest ? (
              <Line flexWrap="nowrap">
                <Button grow onPress={() => (discard(), void refresh())}>
                  {`Take version ${failure.newest.version}`}
                </Button>
                <Label
                  flex={1}
                >{`By ${failure.newest.author}: ${failure.newest.reason || 'no reason given'}. Yours stays here until you choose.`}</Label>
              </Line>
            ) : (
              <>
                <Field
                  label="Why this version"
                  value={draft.reason}
                  onChange={(reason) => setDraft((d) => ({ ...d, reason }))}
                  placeholder="A calmer lip, after the trial"
                />
                <Line flexWrap="nowrap">
                  <Button large onPress={discard}>
                    Undo all
                  </Button>
                  <Button kind="main" large grow disabled={busy} onPress={() => void save()}>
                    {`Save version ${saved.version + 1}`}
                  </Button>
                </Line>
              </>
            )}
          </Column>
        ) : (
          <Line flexWrap="nowrap">
            {editable ? (
              <Button large grow onPress={() => router.navigate(`/charts/${saved.id}/repeat`)}>
                Repeat
              </Button>
            ) : null}
            <Button
              kind="main"
              large
              grow
              disabled={!newest}
              onPress={() => router.navigate(`/charts/${saved.id}/chair?from=chart`)}
            >
              To the chair
            </Button>
          </Line>
        )
      }
    >
      <ChartEditor
        chart={draft.chart}
        kit={kit.data}
        editable={editable}
        onChange={(chart) => setDraft((d) => ({ ...d, chart }))}
        above={newest ? undefined : <Body color="$weld">{`▲ An older version, to read only.`}</Body>}
        versions={<Versions saved={saved} versions={versions} />}
        more={[
          ...(editable
            ? [
                { words: 'The occasion', onPress: () => setAsking('occasion') },
                { words: 'Colours for what is worn', onPress: () => setAsking('series') },
              ]
            : []),
          { words: 'Under light', href: `/charts/${saved.id}/light` },
          { words: 'Print', onPress: () => setAsking('print') },
          ...(editable ? [{ words: 'Share', onPress: () => setAsking('share') }] : []),
          { words: 'How it wears', href: `/charts/${saved.id}/wear` },
          { words: 'Photographs', href: `/charts/${saved.id}/photos` },
          { words: 'Lesson for at home', href: `/charts/${saved.id}/lesson` },
          { words: 'Half-face trial', href: `/charts/${saved.id}/trial` },
          { words: 'Compare', href: `/charts/${saved.id}/compare` },
          { words: 'Make a look of it', href: `/charts/${saved.id}/look` },
          { words: 'Export as a file', onPress: () => exportChart(saved) },
        ]}
      />
      {asking === 'occasion' && kit.data ? (
        <ChartOccasion
          chart={draft.chart}
          kit={kit.data}
          onKeep={(chart) => setDraft((d) => ({ ...d, chart }))}
          onClose={() => setAsking(null)}
        />
      ) : null}
      {asking === 'series' && kit.data ? (
        <SeriesDialog
          chart={draft.chart}
          kit={kit.data}
          onKeep={(chart) => setDraft((d) => ({ ...d, chart }))}
          onOccasion={() => setAsking('occasion')}
          onClose={() => setAsking(null)}
        />
      ) : null}
      {asking === 'share' ? <ShareDialog {...shown} onClose={() => setAsking(null)} /> : null}
      {asking === 'print' ? <PrintDialog {...shown} onClose={() => setAsking(null)} /> : null}
    </Screen>
  );
}

const exportChart = ({ id, version }: Chart): void =>
  window.location.assign(pathTo('exportChart', { id }, { version: String(version) }));

/** Why this version was made and by whom, and the others, each a touch away. */
function Versions({
  saved,
  versions,
}: {
  readonly saved: Chart;
  readonly versions: ChartAnswer['versions'];
}) {
  const router = useRouter();
  return (
    <Column gap="$1">
      <Label>{`Saved by ${saved.author}, ${dayInWords(saved.at)}`}</Label>
      <Subheading fontSize="$2">{`${versions.length} ${versions.length === 1 ? 'version' : 'versions'}`}</Subheading>
      {versions.map((v) => (
        <Row
          key={v.version}
          label={`Version ${v.version} · ${v.reason || 'no reason given'}, ${v.author}, ${dayInWords(v.at)}`}
          title={`Version ${v.version} · ${v.reason || 'no reason given'}`}
          detail={`${v.author}, ${dayInWords(v.at)}`}
          chosen={v.version === saved.version}
          onPress={() =>
            router.setParams({
              version: v.version === versions[0]?.version ? undefined : String(v.version),
            })
          }
        />
      ))}
    </Column>
  );
}
