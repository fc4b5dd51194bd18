import { useRouter } from 'expo-router';
import { useState } from 'react';
import { msg, type ShadeMatch } from '@toile/core';
import type { ClientAnswer } from '@toile/contract';
import { call, CallError } from '../../data/call';
import { Body, Button, Choice, Column, Label } from '../../ui';
import { newChartWork, readChartDraft, writeChartDraft } from '../chart/chartDraft';
import { dayInWords } from '../words/dates';
import { matchReason, namesOf, ratioOf, withMatch } from './shadesView';

type UseInChartProps = {
  readonly client: ClientAnswer;
  readonly match: ShadeMatch;
  readonly chartId: string | null;
  readonly stepId: string | null;
};

/** Puts a match into the base of one of her charts, as a change to be saved there. */
export function UseInChart({ client, match, chartId, stepId }: UseInChartProps) {
  const router = useRouter();
  const [chosen, setChosen] = useState(chartId ?? client.charts[0]?.id ?? null);
  const [failure, setFailure] = useState<string | null>(null);
  if (client.charts.length === 0)
    return (
      <Column gap="$1" alignItems="flex-start">
        <Label>{msg`No chart yet. Fit a look first; its base is matched the same way.`}</Label>
        <Button onPress={() => router.navigate(`/clients/${client.id}/fit`)}>{msg`Fit a look`}</Button>
      </Column>
    );
  const put = async (): Promise<void> => {
    setFailure(null);
    try {
      const { chart: saved } = await call('chart', { params: { id: chosen! } });
      const started = readChartDraft(saved.id);
      const changed = withMatch(started?.work.chart ?? saved, match, stepId);
      if (!changed) return setFailure(msg`That chart has no base step to put it in.`);
      const reason = [started?.work.reason, matchReason(match)].filter(Boolean).join('. ');
      writeChartDraft({ begun: started?.begun ?? saved, work: newChartWork(changed, reason) });
      router.navigate(`/charts/${saved.id}`);
    } catch (error) {
      setFailure(error instanceof CallError ? error.message : msg`Something went wrong. Try again.`);
    }
  };
  return (
    <Column
      gap="$2"
      backgroundColor="$background"
      paddingVertical="$2"
      style={{ position: 'sticky', bottom: 0 }}
    >
      {client.charts.length > 1 ? (
        <Choice
          label={msg`Into which chart`}
          options={client.charts.map((c) => c.id)}
          words={Object.fromEntries(client.charts.map((c) => [c.id, `${c.lookName}, ${dayInWords(c.date)}`]))}
          chosen={chosen ? [chosen] : []}
          onChange={([id]) => id && setChosen(id)}
        />
      ) : null}
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      <Button kind="main" large onPress={() => void put()}>
        {msg`Put ${[ratioOf(match), namesOf(match)].filter(Boolean).join(' ')} into the chart`}
      </Button>
    </Column>
  );
}
