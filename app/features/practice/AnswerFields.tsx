import { useState, type ReactNode } from 'react';
import type { CorrectorExercise, Lab, PanExercise, StepsExercise } from '@toile/core';
import { Body, Button, Column, Judged, Label, Line, Swatch } from '../../ui';
import { movedBy } from './practiceView';

type OrderProps<T> = {
  readonly items: readonly T[];
  readonly nameOf: (item: T) => string;
  readonly show: (item: T) => ReactNode;
  readonly done: boolean;
  readonly onDone: (items: readonly T[]) => void;
};

/** Things put in order by one touch a place, up or down; the same by keys. */
function InOrder<T extends { readonly id: string }>({ items, nameOf, show, done, onDone }: OrderProps<T>) {
  const [order, setOrder] = useState(items);
  return (
    <Column gap="$2">
      <Column gap={0} role="list" aria-label="In order">
        {order.map((item, i) => (
          <Line
            key={item.id}
            role="listitem"
            flexWrap="nowrap"
            gap="$3"
            minHeight={56}
            borderBottomWidth={1}
            borderBottomColor="$line"
          >
            <Label width={20}>{String(i + 1)}</Label>
            <Line flex={1} flexWrap="nowrap" gap="$3">
              {show(item)}
            </Line>
            {done ? null : (
              <>
                <Button
                  label={`${nameOf(item)} earlier`}
                  disabled={i === 0}
                  onPress={() => setOrder(movedBy(order, i, -1))}
                >
                  ↑
                </Button>
                <Button
                  label={`${nameOf(item)} later`}
                  disabled={i === order.length - 1}
                  onPress={() => setOrder(movedBy(order, i, 1))}
                >
                  ↓
                </Button>
              </>
            )}
          </Line>
        ))}
      </Column>
      {done ? null : (
        <Button kind="main" large onPress={() => onDone(order)}>
          That is the order
        </Button>
      )}
    </Column>
  );
}

const pan = (lab: Lab, label: string): ReactNode => (
  <Judged padding="$2">
    <Swatch lab={lab} size={44} label={label} />
  </Judged>
);

export function OrderPans({
  task,
  done,
  onGive,
}: {
  readonly task: PanExercise;
  readonly done: boolean;
  readonly onGive: (ids: readonly string[]) => void;
}) {
  return (
    <InOrder
      items={task.pans}
      nameOf={({ id }) => `Pan ${id.toUpperCase()}`}
      show={({ id, lab }) => (
        <>
          {pan(lab, `pan ${id.toUpperCase()}`)}
          <Body>{id.toUpperCase()}</Body>
        </>
      )}
      done={done}
      onDone={(order) => onGive(order.map(({ id }) => id))}
    />
  );
}

export function OrderSteps({
  task,
  done,
  onGive,
}: {
  readonly task: StepsExercise;
  readonly done: boolean;
  readonly onGive: (ids: readonly string[]) => void;
}) {
  return (
    <InOrder
      items={task.steps}
      nameOf={({ words }) => words}
      show={({ words }) => <Body flex={1}>{words}</Body>}
      done={done}
      onDone={(order) => onGive(order.map(({ id }) => id))}
    />
  );
}

export function PickCorrector({
  task,
  done,
  onGive,
}: {
  readonly task: CorrectorExercise;
  readonly done: boolean;
  readonly onGive: (id: string) => void;
}) {
  return (
    <Column gap="$3">
      <Judged padding="$3">
        <Line gap="$3">
          <Swatch lab={task.under} beside={task.cheek} size={96} label="under the eye, beside the cheek" />
          <Label color="$ink">Under the eye, beside the cheek</Label>
        </Line>
      </Judged>
      <Line gap="$2" role="group" aria-label="Correctors">
        {task.pans.map(({ id, words, lab }) => (
          <Column key={id} gap="$1" alignItems="center">
            {pan(lab, words)}
            <Button disabled={done} onPress={() => onGive(id)}>
              {words}
            </Button>
          </Column>
        ))}
      </Line>
    </Column>
  );
}
