import { msg } from '@toile/core';
import { useClients, useKit } from '../../data/hooks';
import { Body, Button, Column, Empty, Label, Loading, Row } from '../../ui';
import { kindsMissing } from '../kit/KindsToFill';
import { firstSteps } from './firstSteps';

/** Today with nobody booked: the way to a first chart, or, with nothing at all, where to go on. */
export function FirstSteps({
  booked,
  onClients,
}: {
  /** Something is, if not yet a client. */ readonly booked: boolean;
  readonly onClients: () => void;
}) {
  const clients = useClients('');
  const kit = useKit();
  if ((!clients.data || !kit.data) && !clients.error && !kit.error) return <Loading />;
  const steps = clients.data && kit.data ? firstSteps(clients.data, kindsMissing(kit.data)) : [];
  const next = steps.find(({ done }) => !done);
  if (!next)
    return booked ? null : (
      <Empty title={msg`Nothing booked`} words={msg`Open a client and fit a look, or add someone new.`}>
        <Button kind="main" onPress={onClients}>{msg`Clients`}</Button>
      </Empty>
    );
  return (
    <Column gap="$2" role="group" aria-label={msg`First steps`}>
      <Body>
        {booked
          ? msg`Four steps lead to a first chart.`
          : msg`Nothing is booked yet. Four steps lead to a first chart.`}
      </Body>
      {steps.map(({ title, words, done, href }, i) => (
        <Row
          key={title}
          title={`${done ? '✓' : i + 1}  ${title}`}
          detail={done ? msg`done` : words}
          href={href}
        />
      ))}
      <Label>{msg`Next: ${next.title.toLowerCase()}. Visits are booked on a client’s page.`}</Label>
    </Column>
  );
}
