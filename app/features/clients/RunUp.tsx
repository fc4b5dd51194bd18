import { clientRunUp, RUN_UP_WORDS, runUpState, runUpTasks } from '@toile/core';
import type { VisitAnswer } from '@toile/contract';
import { call } from '../../data/call';
import { useRefresh } from '../../data/hooks';
import { useSaving } from '../../data/useSaving';
import { Body, Column, Label, Subheading, Switch } from '../../ui';
import { dayInWords, todayText } from '../words/dates';
import { RUN_UP_STATE_WORDS } from './runUpWords';

/** The run-up to a visit as dated tasks, each ticked when it is done. */
export function RunUp({
  visit,
  tested,
  mayWork,
}: {
  readonly visit: VisitAnswer;
  /** A patch test belongs to it. */
  readonly tested: boolean;
  readonly mayWork: boolean;
}) {
  const refresh = useRefresh();
  const { busy, failure, save } = useSaving();
  const today = todayText();
  const tasks = runUpTasks(visit.date, { bookedOn: visit.bookedOn, patchTest: tested }).filter(({ id }) =>
    clientRunUp(visit.kind).includes(id),
  );
  const tick = (task: (typeof tasks)[number]['id'], done: boolean): Promise<unknown> =>
    save(async () => {
      await call('tickRunUp', { params: { id: visit.id }, body: { task, done } });
      await refresh();
    });
  return (
    <Column gap="$1" role="group" aria-label="Run-up">
      <Subheading>{`Run-up to the ${visit.kind}, ${dayInWords(visit.date)}`}</Subheading>
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      {tasks.map((task) => {
        const done = visit.runUp.includes(task.id);
        const state = runUpState(task, done, today);
        const label = [`By ${dayInWords(task.by)}: ${RUN_UP_WORDS[task.id]}`, RUN_UP_STATE_WORDS[state]]
          .filter(Boolean)
          .join(' · ');
        return mayWork ? (
          <Switch
            key={task.id}
            label={label}
            on={done}
            onToggle={() => (busy ? undefined : void tick(task.id, !done))}
          />
        ) : (
          <Label key={task.id}>{label}</Label>
        );
      })}
    </Column>
  );
}
