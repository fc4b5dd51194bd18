import { useState, type ReactNode } from 'react';
import {
  msg,
  outlineOf,
  type BrokenExercise,
  type CorrectorExercise,
  type Lab,
  type MixExercise,
  type PanExercise,
  type StepsExercise,
} from '@toile/core';
import { Body, Button, Choice, Column, Judged, Label, Line, Swatch } from '../../ui';
import { FaceStage } from '../face/FaceStage';
import { movedBy } from '../words/movedBy';

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
      <Column gap={0} role="list" aria-label={msg`In order`}>
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
                  label={msg`${nameOf(item)} earlier`}
                  disabled={i === 0}
                  onPress={() => setOrder(movedBy(order, i, -1))}
                >
                  ↑
                </Button>
                <Button
                  label={msg`${nameOf(item)} later`}
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
        <Button kind="main" large onPress={() => onDone(order)}>{msg`That is the order`}</Button>
      )}
    </Column>
  );
}

const pan = (lab: Lab, label: string): ReactNode => (
  <Judged padding={6}>
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
      nameOf={({ id }) => msg`Pan ${id.toUpperCase()}`}
      show={({ id, lab }) => (
        <>
          {pan(lab, msg`pan ${id.toUpperCase()}`)}
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

/** Two pumps out of the pans: taken one by one, put back by a touch. */
export function PickPumps({
  task,
  done,
  onGive,
}: {
  readonly task: MixExercise;
  readonly done: boolean;
  readonly onGive: (ids: readonly string[]) => void;
}) {
  const [taken, setTaken] = useState<readonly string[]>([]);
  const named = (id: string): string => msg`Pan ${id.toUpperCase()}`;
  return (
    <Column gap="$3">
      <Judged padding="$3">
        <Line gap="$3">
          <Swatch lab={task.skin} size={96} label={msg`the skin`} />
          <Label color="$ink">{msg`The skin`}</Label>
        </Line>
      </Judged>
      <Line gap="$2" role="group" aria-label={msg`Pans`}>
        {task.pans.map(({ id, lab }) => (
          <Column key={id} gap="$1" alignItems="center">
            {pan(lab, named(id))}
            <Button
              label={msg`A pump of ${named(id)}`}
              disabled={done || taken.length === 2}
              onPress={() => setTaken([...taken, id])}
            >
              {id.toUpperCase()}
            </Button>
          </Column>
        ))}
      </Line>
      <Line role="status" aria-label={msg`Taken`} flexWrap="nowrap" gap="$2" minHeight={44}>
        <Body flex={1}>
          {taken.length === 0
            ? msg`No pump taken yet.`
            : taken.map((id) => msg`one pump of ${id.toUpperCase()}`).join(', ')}
        </Body>
        {taken.length > 0 && !done ? (
          <Button onPress={() => setTaken(taken.slice(0, -1))}>{msg`Put back`}</Button>
        ) : null}
      </Line>
      {done ? null : (
        <Button
          kind="main"
          large
          disabled={taken.length !== 2}
          onPress={() => onGive(taken)}
        >{msg`Those two pumps`}</Button>
      )}
    </Column>
  );
}

/** A small chart to be read, and what may be wrong in it to be picked. */
export function PickBroken({
  task,
  done,
  onGive,
}: {
  readonly task: BrokenExercise;
  readonly done: boolean;
  readonly onGive: (ids: readonly string[]) => void;
}) {
  const [picked, setPicked] = useState<readonly string[]>([]);
  const { model, chart } = task;
  const { landmarks, features } = model;
  return (
    <Column gap="$3">
      <FaceStage
        {...model}
        height={300}
        framing="face"
        label={msg`The chart on its face`}
        layers={chart.placements.flatMap(({ placement, role }, i) =>
          role === 'care' || role === 'base'
            ? []
            : [
                {
                  id: String(i),
                  kind: role,
                  shapes: outlineOf(placement, landmarks, features),
                  colour: null,
                },
              ],
        )}
      />
      {chart.face ? <Body fontWeight="700">{chart.face}</Body> : null}
      <Column gap="$1" role="list" aria-label={msg`The steps`}>
        {chart.steps.map(({ id, words }, i) => (
          <Body key={id} role="listitem">{`${i + 1}. ${words}`}</Body>
        ))}
      </Column>
      <Choice
        several
        label={msg`What is wrong, one thing or two`}
        options={chart.choices.map(({ id }) => id)}
        words={Object.fromEntries(
          chart.choices.map(({ id, words }) => [id, done && chart.right.includes(id) ? `▲ ${words}` : words]),
        )}
        chosen={[...picked]}
        onChange={(next) => (done ? undefined : setPicked(next))}
      />
      {done ? null : (
        <Button
          kind="main"
          large
          disabled={picked.length === 0}
          onPress={() => onGive(picked)}
        >{msg`That is it`}</Button>
      )}
    </Column>
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
          <Swatch
            lab={task.under}
            beside={task.cheek}
            size={96}
            label={msg`under the eye, beside the cheek`}
          />
          <Label color="$ink">{msg`Under the eye, beside the cheek`}</Label>
        </Line>
      </Judged>
      <Line gap="$2" role="group" aria-label={msg`Correctors`}>
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
