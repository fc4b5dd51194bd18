import { msg, occasionOfParty, partyRunUp, RUN_UP_WORDS, runUpState, type RunUpKind } from '@toile/core';
import { Body, Column, Label, Subheading, Switch } from '../../ui';
import { OccasionCard } from '../occasion/OccasionCard';
import { RUN_UP_STATE_WORDS } from '../clients/runUpWords';
import { dayInWords, todayText } from '../words/dates';
import type { PartyWork } from './usePartyPlan';

/** What a party's day asks of every face, and what is to be done before it. */
export function BeforePanel({ work }: { readonly work: PartyWork }) {
  const { party, plan, keep, failure } = work;
  const today = todayText();
  const done = plan.runUp ?? [];
  const tick = (task: RunUpKind, on: boolean): Promise<boolean> =>
    keep({ ...plan, runUp: on ? [...done, task] : done.filter((one) => one !== task) });
  return (
    <Column gap="$4">
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      <Column gap="$2" role="group" aria-label={msg`What the day asks`}>
        <Subheading>{msg`What the day asks`}</Subheading>
        <Label>{msg`Looks for everybody of this party are fitted for this, where a visit says nothing else.`}</Label>
        <OccasionCard
          dayIsSet
          value={occasionOfParty(party, plan)}
          onChange={(next) => void keep({ ...plan, occasion: next })}
        />
      </Column>
      <Column gap="$1" role="group" aria-label={msg`Run-up`}>
        <Subheading>{msg`Run-up to ${dayInWords(party.date)}`}</Subheading>
        {partyRunUp(party.date, plan).map((task) => {
          const on = done.includes(task.id);
          return (
            <Switch
              key={task.id}
              label={[
                msg`By ${dayInWords(task.by)}: ${RUN_UP_WORDS[task.id]}`,
                RUN_UP_STATE_WORDS[runUpState(task, on, today)],
              ]
                .filter(Boolean)
                .join(' · ')}
              on={on}
              onToggle={() => void tick(task.id, !on)}
            />
          );
        })}
      </Column>
    </Column>
  );
}
