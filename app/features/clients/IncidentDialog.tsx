import { useState } from 'react';
import { msg, productName, productsMet } from '@toile/core';
import { incidentInputSchema, newId, type ClientAnswer, type IncidentInput } from '@toile/contract';
import { call } from '../../data/call';
import { useChart, useRefresh } from '../../data/hooks';
import { toldOf } from '../../data/told';
import { useDraft } from '../../data/useDraft';
import { useSaving } from '../../data/useSaving';
import { Body, Button, Choice, Dialog, DraftNote, Field, Label } from '../../ui';
import { lastWorked } from '../repeat/useWorn';
import { dayInWords, todayText } from '../words/dates';
import { chartOfDay, movedTo } from './incidentView';

/**
 * Writes down what went wrong: what was seen, what was done, which chart was worked, what is left alone from
 * now on.
 */
export function IncidentDialog({
  client,
  onClose,
}: {
  readonly client: ClientAnswer;
  readonly onClose: () => void;
}) {
  const refresh = useRefresh();
  const draft = useDraft(`incident of ${client.id}`, (): IncidentInput => ({
    id: newId(),
    on: todayText(),
    seen: '',
    done: '',
    chartId: chartOfDay(client.charts, todayText())?.id ?? null,
    suspected: [],
  }));
  const { value: form, set } = draft;
  const [none] = useState('none of these');
  const change = (part: Partial<IncidentInput>): void => set((before) => ({ ...before, ...part }));
  const chart = useChart(form.chartId ?? '');
  // A chart may have been saved anew since it was worked: what was met then is asked about too.
  const workedBy = chart.data ? lastWorked(chart.data) : null;
  const earlier = useChart(workedBy === null ? '' : (form.chartId ?? ''), String(workedBy ?? ''));
  const { busy, failure, errors, save } = useSaving();
  const used = new Map(
    [chart.data, earlier.data]
      .flatMap((answer) => (answer ? productsMet(answer.chart, toldOf(answer)) : []))
      .map((product): [string, string] => [product.id, productName(product)]),
  );
  const write = (): Promise<unknown> =>
    save(async () => {
      const body = await incidentInputSchema.validate(
        { ...form, suspected: form.suspected.filter((id) => used.has(id)) },
        { abortEarly: false },
      );
      await call('createIncident', { params: { id: client.id }, body });
      draft.drop();
      await refresh();
      onClose();
    });
  return (
    <Dialog title={msg`Something went wrong`} onClose={onClose}>
      <Body color="$madder">{msg`▲ Stop, take off what is on as its maker says, rinse with clean water. Trouble with breathing, swelling or sight is for the emergency number now.`}</Body>
      <DraftNote {...draft} />
      <Field
        label={msg`The day`}
        keyboard="date"
        value={form.on}
        onChange={(on) => change(movedTo(client.charts, form, on))}
        error={errors.on}
      />
      <Field
        label={msg`What was seen or felt`}
        lines={2}
        value={form.seen}
        onChange={(seen) => change({ seen })}
        error={errors.seen}
        hint={msg`In plain words and without a name for it`}
      />
      <Field
        label={msg`What was done then`}
        lines={2}
        value={form.done}
        onChange={(done) => change({ done })}
        error={errors.done}
      />
      {client.charts.length > 0 ? (
        <Choice
          label={msg`Which chart was worked`}
          options={[...client.charts.map(({ id }) => id), none]}
          words={Object.fromEntries(
            client.charts.map((c): [string, string] => [c.id, `${c.lookName}, ${dayInWords(c.date)}`]),
          )}
          chosen={[form.chartId ?? none]}
          onChange={([id]) => change({ chartId: id === undefined || id === none ? null : id, suspected: [] })}
        />
      ) : null}
      {used.size > 0 ? (
        <Choice
          label={msg`Left alone from now on`}
          several
          options={[...used.keys()]}
          words={Object.fromEntries(used)}
          chosen={form.suspected.filter((id) => used.has(id))}
          onChange={(suspected) => change({ suspected })}
        />
      ) : null}
      <Label>{msg`Kept with everything that was in use, so that whoever treats it can be told. It names no cause: that is for a doctor. What is left alone is a stop in every chart of this client.`}</Label>
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      <Button kind="main" disabled={busy} onPress={() => void write()}>{msg`Write it down`}</Button>
    </Dialog>
  );
}
