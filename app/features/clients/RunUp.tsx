import {
  clientRunUp,
  msg,
  RUN_UP_KINDS,
  RUN_UP_WORDS,
  runUpState,
  runUpTasks,
  term,
  type RunUpKind,
} from '@toile/core';
import type { VisitAnswer } from '@toile/contract';
import { call } from '../../data/call';
import { useRefresh } from '../../data/hooks';
import { useAsChanged } from '../../data/useAsChanged';
import { Body, Column, Label, Subheading, Switch } from '../../ui';
import { dayInWords, todayText } from '../words/dates';
import { RUN_UP_STATE_WORDS } from './runUpWords';

/** Ticks are told one by one: they need no revision. */
const noRevision = (): number => 0;

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
  const ticks = useAsChanged<VisitAnswer, readonly RunUpKind[]>({
    newest: visit,
    stampOf: noRevision,
    valueOf: ({ runUp }) => runUp,
    send: async (base, next) => {
      const params = { id: base.id };
      let answer = base;
      for (const task of RUN_UP_KINDS.filter((one) => next.includes(one) !== base.runUp.includes(one)))
        answer = await call('tickRunUp', { params, body: { task, done: next.includes(task) } });
      await refresh();
      return answer;
    },
  });
  const today = todayText();
  const tasks = runUpTasks(visit.date, { bookedOn: visit.bookedOn, patchTest: tested }).filter(({ id }) =>
    clientRunUp(visit.kind).includes(id),
  );
  const tick = (task: RunUpKind, done: boolean): Promise<boolean> =>
    ticks.keep([...ticks.value.filter((one) => one !== task), ...(done ? [task] : [])]);
  return (
    <Column gap="$1" role="group" aria-label={msg`Run-up`}>
      <Subheading>{msg`Run-up to the ${term(visit.kind)}, ${dayInWords(visit.date)}`}</Subheading>
      {ticks.failure ? <Body role="alert" color="$madder">{`▲ ${ticks.failure}`}</Body> : null}
      {tasks.map((task) => {
        const done = ticks.value.includes(task.id);
        const state = runUpState(task, done, today);
        const label = [msg`By ${dayInWords(task.by)}: ${RUN_UP_WORDS[task.id]}`, RUN_UP_STATE_WORDS[state]]
          .filter(Boolean)
          .join(' · ');
        return mayWork ? (
          <Switch key={task.id} label={label} on={done} onToggle={() => void tick(task.id, !done)} />
        ) : (
          <Label key={task.id}>{label}</Label>
        );
      })}
    </Column>
  );
}
