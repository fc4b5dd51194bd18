import { useRouter } from 'expo-router';
import { msg, term } from '@toile/core';
import type { ClientAnswer } from '@toile/contract';
import { call } from '../../data/call';
import { dropDraft } from '../../data/drafts';
import { useKit, useRefresh } from '../../data/hooks';
import { useSaving } from '../../data/useSaving';
import { Body, Button, Column, Field, Label, Line, Screen, useRoomy } from '../../ui';
import { ChartEditor } from '../chart/ChartEditor';
import { DislikesMet } from '../clients/DislikesMet';
import { productsToRead, readInWords } from '../kit/toRead';
import { LearnedPanel, useTaken } from '../learned/LearnedPanel';
import { dayInWords } from '../words/dates';
import type { FitDraft } from './fitDraft';
import { FitNotes } from './FitNotes';

/** A look as it was fitted, to be looked over, changed and saved. */
export function FittedChart({
  client,
  draft,
  onChange,
}: {
  readonly client: ClientAnswer;
  readonly draft: FitDraft;
  readonly onChange: (draft: FitDraft | null) => void;
}) {
  const router = useRouter();
  const roomy = useRoomy();
  const refresh = useRefresh();
  const kit = useKit();
  const {
    busy,
    failure,
    save: keep,
  } = useSaving(msg`Something went wrong. The chart is kept here; try again.`);
  const { chart } = draft;
  const { words, taken } = useTaken();
  const unread = kit.data ? productsToRead(kit.data).length : 0;
  const save = async (): Promise<void> => {
    await keep(async () => {
      const answer = await call('createChart', {
        body: { chart: { ...chart, reason: draft.reason }, visitId: draft.visitId },
        idempotencyKey: `chart-${chart.id}`,
      });
      dropDraft(`fit.${client.id}`);
      await refresh({ name: 'chart', params: { id: chart.id }, answer });
      router.replace(`/charts/${chart.id}`);
    });
  };
  return (
    <Screen
      fill={roomy}
      title={client.name}
      above={msg`${chart.look.name} · ${term(chart.occasion.kind)}, ${dayInWords(chart.occasion.date)} · not saved yet`}
      onBack={() => onChange(null)}
      foot={
        <Column gap="$2">
          {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
          <Line flexWrap="nowrap">
            <Button large onPress={() => onChange(null)}>{msg`Another look`}</Button>
            <Button
              kind="main"
              large
              grow
              disabled={busy}
              onPress={() => void save()}
            >{msg`Save version 1`}</Button>
          </Line>
        </Column>
      }
    >
      <ChartEditor
        chart={chart}
        kit={kit.data}
        editable
        onChange={(next) => onChange({ ...draft, chart: next })}
        above={
          <Column gap="$2">
            {kit.data ? (
              <LearnedPanel
                chart={chart}
                kit={kit.data}
                onTry={(next, offer) => {
                  onChange({ ...draft, chart: next });
                  taken(offer);
                }}
              />
            ) : null}
            {words ? <Body role="status">{`✓ ${words}`}</Body> : null}
            {client.consult.wished ? (
              <Label>{msg`Wished for, as said: “${client.consult.wished}”.`}</Label>
            ) : null}
            <DislikesMet chart={chart} disliked={client.consult.disliked} />
            <FitNotes chart={chart} notes={draft.notes} />
            {unread > 0 ? <Button href="/kit/colours">{readInWords(unread)}</Button> : null}
          </Column>
        }
        below={
          <Column gap="$2">
            <Field
              label={msg`Why this version`}
              value={draft.reason}
              onChange={(reason) => onChange({ ...draft, reason })}
              placeholder={msg`Trial`}
            />
            <Label>{msg`Colours are predicted by a model from single readings: judge on the skin.`}</Label>
          </Column>
        }
      />
    </Screen>
  );
}
