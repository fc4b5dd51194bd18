import { useLocalSearchParams, useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { documentHash, msg, plural, term, type Chart } from '@toile/core';
import { may, pathTo, type ChartAnswer } from '@toile/contract';
import { call, CallError, currentOf } from '../../data/call';
import { useChart, useKit, useRefresh, useSession } from '../../data/hooks';
import { useBegun } from '../../data/useBegun';
import { Body, Button, Column, Field, Label, Line, Ready, Row, Screen, Subheading, useRoomy } from '../../ui';
import { dayInWords } from '../words/dates';
import {
  chartDraftSaved,
  chartWorkOnto,
  dropChartDraft,
  newChartWork,
  readChartDraft,
  writeChartDraft,
  type ChartWork,
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
  if (answer.data) return <Open key={`${id} ${version ?? ''}`} answer={answer.data} />;
  return (
    <Screen title={msg`Face chart`} onBack={() => router.back()}>
      <Ready remote={answer}>{() => null}</Ready>
    </Screen>
  );
}

function Open({ answer }: { readonly answer: ChartAnswer }) {
  const { versions } = answer;
  const router = useRouter();
  const refresh = useRefresh();
  const kit = useKit();
  const session = useSession();
  const newestShown = versions[0]?.version === answer.chart.version;
  const {
    begun: saved,
    work: draft,
    setWork: setDraft,
    changed,
    behind,
    begin,
    kept: keptAs,
  } = useBegun<Chart, ChartWork>({
    newest: answer.chart,
    stampOf: ({ version }) => version,
    workOf: newChartWork,
    same: ({ chart }, from) => chart === from || JSON.stringify(chart) === JSON.stringify(from),
    onto: chartWorkOnto,
    waiting: () => (newestShown ? readChartDraft(answer.chart.id) : null),
  });
  const [failure, setFailure] = useState<{ words: string; newest: Chart | null } | null>(null);
  const [busy, setBusy] = useState(false);
  const [asking, setAsking] = useState<'print' | 'share' | 'occasion' | 'series' | null>(null);
  const roomy = useRoomy();
  const shown = { chartId: saved.id, version: saved.version };
  // Behind what somebody else saved it is still one's own to change: an older version alone is to read only.
  const editable = newestShown && session.data !== undefined && may(session.data.role, 'edit');
  const theirs = failure?.newest ?? (behind ? answer.chart : null);

  useEffect(() => {
    if (changed) writeChartDraft({ begun: saved, work: draft });
    // Changed back is not changed; an older version looked at drops nothing.
    else if (newestShown) dropChartDraft(saved.id);
  }, [saved, draft, changed, newestShown]);

  /**
   * Saves it as the version after the one it began from, or knowingly after what somebody else saved
   * meanwhile.
   */
  const save = async (after: Chart = saved): Promise<void> => {
    setBusy(true);
    setFailure(null);
    try {
      const body = { parent: after.version, reason: draft.reason, chart: draft.chart };
      // The same words sent twice land once; other words are another write.
      const kept = await call('createVersion', {
        params: { id: saved.id },
        body,
        idempotencyKey: documentHash({ key: draft.key, body }),
      });
      chartDraftSaved(draft, kept.chart);
      keptAs(draft, kept.chart);
      await refresh({ name: 'chart', params: { id: saved.id }, answer: kept });
    } catch (error) {
      setFailure({
        words:
          error instanceof CallError
            ? error.message
            : msg`Something went wrong. Your changes are kept here; try again.`,
        newest: currentOf('createVersion', error),
      });
    } finally {
      setBusy(false);
    }
  };
  const discardFor = (other: Chart): void => {
    dropChartDraft(saved.id);
    setFailure(null);
    begin(other);
  };

  return (
    <Screen
      fill={roomy}
      title={saved.client.name}
      above={msg`${saved.look.name} · ${term(saved.occasion.kind)}, ${dayInWords(saved.occasion.date)} · version ${saved.version}`}
      onBack={() => router.navigate(`/clients/${saved.client.id}`)}
      foot={
        changed ? (
          <Column gap="$2">
            {failure ? <Body role="alert" color="$madder">{`▲ ${failure.words}`}</Body> : null}
            {theirs ? (
              <>
                <Body
                  role={failure ? undefined : 'alert'}
                  color="$weld"
                >{msg`▲ Version ${theirs.version} is by ${theirs.author}: ${theirs.reason || msg`no reason given`}. Yours stays here until you choose.`}</Body>
                <Line flexWrap="nowrap">
                  <Button large grow onPress={() => (discardFor(theirs), void refresh())}>
                    {msg`Take version ${theirs.version}`}
                  </Button>
                  <Button large grow disabled={busy} onPress={() => void save(theirs)}>
                    {msg`Save mine as version ${theirs.version + 1}`}
                  </Button>
                </Line>
              </>
            ) : (
              <>
                <Field
                  label={msg`Why this version`}
                  value={draft.reason}
                  onChange={(reason) => setDraft((d) => ({ ...d, reason }))}
                  placeholder={msg`A calmer lip, after the trial`}
                />
                <Line flexWrap="nowrap">
                  <Button large onPress={() => discardFor(saved)}>{msg`Undo all`}</Button>
                  <Button kind="main" large grow disabled={busy} onPress={() => void save()}>
                    {msg`Save version ${saved.version + 1}`}
                  </Button>
                </Line>
              </>
            )}
          </Column>
        ) : (
          <Line flexWrap="nowrap">
            {editable ? (
              <Button
                large
                grow
                onPress={() => router.navigate(`/charts/${saved.id}/repeat`)}
              >{msg`Repeat`}</Button>
            ) : null}
            <Button
              kind="main"
              large
              grow
              disabled={!newestShown}
              onPress={() => router.navigate(`/charts/${saved.id}/chair?from=chart`)}
            >{msg`To the chair`}</Button>
          </Line>
        )
      }
    >
      <ChartEditor
        key={draft.openedAt}
        chart={draft.chart}
        kit={kit.data}
        editable={editable}
        onChange={(chart) => setDraft((d) => ({ ...d, chart }))}
        above={newestShown ? undefined : <Body color="$weld">{msg`▲ An older version, to read only.`}</Body>}
        versions={<Versions saved={saved} versions={versions} />}
        more={[
          ...(editable
            ? [
                { words: msg`The occasion`, onPress: () => setAsking('occasion') },
                { words: msg`Colours for what is worn`, onPress: () => setAsking('series') },
              ]
            : []),
          { words: msg`Under light`, href: `/charts/${saved.id}/light` },
          { words: msg`Print`, onPress: () => setAsking('print') },
          ...(editable ? [{ words: msg`Share`, onPress: () => setAsking('share') }] : []),
          { words: msg`How it wears`, href: `/charts/${saved.id}/wear` },
          { words: msg`Photographs`, href: `/charts/${saved.id}/photos` },
          { words: msg`Lesson for at home`, href: `/charts/${saved.id}/lesson` },
          { words: msg`Half-face trial`, href: `/charts/${saved.id}/trial` },
          { words: msg`Compare`, href: `/charts/${saved.id}/compare` },
          { words: msg`Make a look of it`, href: `/charts/${saved.id}/look` },
          { words: msg`Export as a file`, onPress: () => exportChart(saved) },
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
      <Label>{msg`Saved by ${saved.author}, ${dayInWords(saved.at)}`}</Label>
      <Subheading fontSize="$2">{plural(
        versions.length,
      )`${versions.length} version|${versions.length} versions`}</Subheading>
      {versions.map((v) => (
        <Row
          key={v.version}
          label={msg`Version ${v.version} · ${v.reason || msg`no reason given`}, ${v.author}, ${dayInWords(v.at)}`}
          title={msg`Version ${v.version} · ${v.reason || msg`no reason given`}`}
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
