import { useState, type ReactElement, type ReactNode } from 'react';
import type { Lab } from '@toile/core';
import {
  Body,
  Button,
  Choice,
  ColourField,
  Column,
  CopyButton,
  Dialog,
  DraftNote,
  DragTarget,
  Empty,
  Failed,
  Field,
  Figure,
  FileButton,
  Grip,
  Heading,
  Judged,
  LabField,
  Label,
  LineGraph,
  Loading,
  Menu,
  Progress,
  Ready,
  Row,
  Stepper,
  Subheading,
  Swatch,
  Switch,
  TabPanel,
  Tabs,
  View,
  VirtualList,
} from '..';

/** A part of the interface, by its file's name, in each state it can be in. */
export type Piece = {
  readonly name: string;
  /** When it is taken. */
  readonly use: string;
  readonly states: Readonly<Record<string, () => ReactElement>>;
};

const nothing = (): void => undefined;
const FAIREST: Lab = [92, 1, 12];
const DEEPEST: Lab = [22, 6, 8];
const LONG =
  'Words that take more than one line on a phone, so that it can be seen what becomes of what stands beside them';

/** Keeps a value as a screen would. */
function Kept<T>({
  start,
  children,
}: {
  readonly start: T;
  readonly children: (value: T, keep: (value: T) => void) => ReactNode;
}) {
  const [value, setValue] = useState(start);
  return <>{children(value, setValue)}</>;
}

const field = (more: Partial<Parameters<typeof Field>[0]>) => (
  <Kept start={more.value ?? ''}>
    {(value, keep) => <Field label="Nose length" {...more} value={value} onChange={keep} />}
  </Kept>
);
const dragged = (value: number, minimum: number, maximum: number) => (
  <View height={80}>
    <DragTarget
      label="Reach"
      name={`reach-${value}`}
      mark="↔"
      x={40}
      y={40}
      value={value}
      minimum={minimum}
      maximum={maximum}
      unit="mm"
      onStart={nothing}
      onDrag={nothing}
      onEnd={nothing}
      onNudge={nothing}
    />
  </View>
);
const tabs = (count: number) => {
  const all = ['Steps', 'Look over', 'Amounts and time', 'Versions', 'Trace', 'Light'].slice(0, count);
  return (
    <Kept start={all[0]!}>
      {(chosen, choose) => (
        <Column>
          <Tabs
            label={`${count} places`}
            tabs={all.map((words) => ({ id: words, words }))}
            chosen={chosen}
            onChoose={choose}
          />
          <TabPanel label={chosen}>
            <Body>{`What ${chosen.toLowerCase()} shows.`}</Body>
          </TabPanel>
        </Column>
      )}
    </Kept>
  );
};
const listed = (count: number, role: 'list' | 'table') => (
  <View height={220}>
    <VirtualList
      label={`${count} in a ${role}`}
      count={count}
      rowPx={56}
      role={role}
      render={(i) =>
        role === 'list' ? (
          <Row title={`Row ${i + 1}`} onPress={nothing} />
        ) : (
          <Body role="cell">{`Row ${i + 1}`}</Body>
        )
      }
    />
  </View>
);

/** Every part there is. A test holds it against the folder: what is added there is added here. */
export const PIECES: readonly Piece[] = [
  {
    name: 'Button',
    use: 'To do something, or as a link to go somewhere. One main button a page.',
    states: {
      plain: () => <Button onPress={nothing}>Read again</Button>,
      main: () => (
        <Button kind="main" onPress={nothing}>
          Save
        </Button>
      ),
      quiet: () => (
        <Button kind="quiet" onPress={nothing}>
          Not now
        </Button>
      ),
      'takes away': () => (
        <Button kind="stop" onPress={nothing}>
          Erase for good
        </Button>
      ),
      'cannot now': () => (
        <Button disabled onPress={nothing}>
          Saving
        </Button>
      ),
      large: () => (
        <Button large kind="main" onPress={nothing}>
          Done
        </Button>
      ),
      'a link': () => <Button href="/kit">To the kit</Button>,
      'long words': () => <Button onPress={nothing}>{LONG}</Button>,
    },
  },
  {
    name: 'Choice',
    use: 'One or several of a few words.',
    states: {
      one: () => (
        <Kept<readonly ('day' | 'evening')[]> start={['day']}>
          {(chosen, choose) => (
            <Choice label="Light" options={['day', 'evening']} chosen={chosen} onChange={choose} />
          )}
        </Kept>
      ),
      several: () => (
        <Kept<readonly string[]> start={['warm', 'calm']}>
          {(chosen, choose) => (
            <Choice
              label="Tags"
              several
              options={['warm', 'calm', 'bold', 'long wearing in heat and tears']}
              chosen={chosen}
              onChange={choose}
            />
          )}
        </Kept>
      ),
      'none chosen': () => (
        <Choice label="Undertone" options={['cool', 'neutral']} chosen={[]} onChange={nothing} />
      ),
    },
  },
  {
    name: 'ColourField',
    use: 'A colour picked by eye.',
    states: {
      fairest: () => <ColourField start={FAIREST} button="Take the fairest" onLab={nothing} />,
      deepest: () => <ColourField start={DEEPEST} button="Take the deepest" onLab={nothing} />,
    },
  },
  {
    name: 'CopyButton',
    use: 'A link to be sent on.',
    states: { plain: () => <CopyButton text="https://toile.example/s/one" label="Copy the link" /> },
  },
  {
    name: 'Dialog',
    use: 'A question in front of everything else.',
    states: {
      'opened by its button': () => (
        <Kept start={false}>
          {(open, set) => (
            <>
              <Button onPress={() => set(true)}>Ask</Button>
              {open ? (
                <Dialog title="Leave it as it was?" onClose={() => set(false)}>
                  <Body>{LONG}</Body>
                </Dialog>
              ) : null}
            </>
          )}
        </Kept>
      ),
    },
  },
  {
    name: 'DraftNote',
    use: 'Over a form that was left half filled in.',
    states: {
      'taken up': () => <DraftNote taken anew={nothing} />,
      'nothing to say': () => <DraftNote taken={false} anew={nothing} />,
    },
  },
  {
    name: 'DragTarget',
    use: 'A handle on the face.',
    states: { between: () => dragged(4, 0, 12), 'at its end': () => dragged(12, 0, 12) },
  },
  {
    name: 'Field',
    use: 'Something typed, with what is wrong beside it.',
    states: {
      empty: () => field({ label: 'Empty' }),
      filled: () => field({ label: 'Filled', value: '48', unit: 'mm' }),
      'with a hint': () => field({ label: 'With a hint', hint: 'From the bridge to the tip', unit: 'mm' }),
      wrong: () => field({ label: 'Wrong', value: '3', unit: 'mm', error: 'outside 30 to 70 mm' }),
      'several lines': () => field({ label: 'Notes', lines: 4, value: LONG }),
      secret: () =>
        field({ label: 'Password', secret: true, value: 'four plain words', autoComplete: 'off' }),
      'a date': () => field({ label: 'Day', keyboard: 'date', value: '2031-05-14' }),
      'a time': () => field({ label: 'Ready by', keyboard: 'time', value: '11:30' }),
    },
  },
  {
    name: 'FileButton',
    use: 'A file from this device.',
    states: {
      plain: () => (
        <FileButton label="A kit list" accept=".csv" onFile={nothing}>
          Choose a list
        </FileButton>
      ),
    },
  },
  {
    name: 'Grip',
    use: 'What a row is moved by.',
    states: {
      plain: () => (
        <Grip label="Move step 2" onStart={nothing} onDrag={nothing} onEnd={nothing} onNudge={nothing} />
      ),
    },
  },
  {
    name: 'LabField',
    use: 'A colour typed as a meter says it.',
    states: {
      empty: () => <LabField label="A colour" button="Add it" onLab={nothing} />,
      'begun with one': () => <LabField label="A shade" button="Change it" start={DEEPEST} onLab={nothing} />,
    },
  },
  {
    name: 'LineGraph',
    use: 'Values over time, beside the same in words.',
    states: {
      'with a band': () => (
        <LineGraph
          values={[20, 40, 55, 62]}
          band={{ low: [10, 20, 30, 40], high: [40, 60, 80, 90] }}
          most={100}
          sections={4}
          height={140}
          labels={['1', '2', '3', '4']}
        />
      ),
    },
  },
  {
    name: 'Menu',
    use: 'What is done rarely.',
    states: {
      plain: () => (
        <Menu
          label="More of this chart"
          items={[
            { words: 'Print', onPress: nothing },
            { words: 'To the kit', href: '/kit' },
          ]}
        />
      ),
    },
  },
  {
    name: 'Progress',
    use: 'Work that takes a while.',
    states: {
      begun: () => <Progress words="Looking through 60 bases" share={0} />,
      'under way': () => <Progress words="Looking through shades" share={0.4} onStop={nothing} />,
      'at its end': () => <Progress words="Nearly there" share={1} />,
    },
  },
  {
    name: 'Row',
    use: 'One of a list, opened by its whole width.',
    states: {
      plain: () => <Row title="Ilse Moor" detail="Trial on Friday" onPress={nothing} />,
      'with all it can say': () => (
        <Row
          title="Skin foundation 31"
          detail="Base, liquid"
          fact="12 g left"
          before={<Swatch lab={DEEPEST} label="Its colour" />}
          href="/kit"
        />
      ),
      chosen: () => <Row title="Chosen" chosen onPress={nothing} />,
      'long words': () => <Row title={LONG} detail={LONG} fact="12 g left" onPress={nothing} />,
    },
  },
  {
    name: 'States',
    use: 'A page that waits, failed, or has nothing yet.',
    states: {
      waiting: () => <Loading />,
      failed: () => (
        <Failed words="The studio cannot be reached. Check the connection and try again." onRetry={nothing} />
      ),
      empty: () => (
        <Empty title="No palettes yet" words="A palette is a compact as a grid of pans.">
          <Button kind="main" onPress={nothing}>
            Arrange the first
          </Button>
        </Empty>
      ),
      'what came is shown, though the newest did not': () => (
        <Ready remote={{ data: 'As it was read before', error: new Error('away'), retry: nothing }}>
          {(words) => <Body>{words}</Body>}
        </Ready>
      ),
    },
  },
  {
    name: 'Stepper',
    use: 'A number, a step at a time.',
    states: {
      between: () => (
        <Kept start={1.5}>
          {(value, keep) => (
            <Stepper
              label="Dose"
              value={value}
              unit="pumps"
              minimum={0}
              maximum={4}
              step={0.5}
              onChange={keep}
            />
          )}
        </Kept>
      ),
      'at its least': () => (
        <Stepper label="Least" value={0} unit="mm" minimum={0} maximum={9} step={1} onChange={nothing} />
      ),
      'at its most': () => (
        <Stepper label="Most" value={9} unit="mm" minimum={0} maximum={9} step={1} onChange={nothing} />
      ),
    },
  },
  {
    name: 'Swatch',
    use: 'A colour as it is.',
    states: {
      fairest: () => <Swatch lab={FAIREST} label="Fairest" />,
      deepest: () => <Swatch lab={DEEPEST} label="Deepest" />,
      'beside another': () => <Swatch lab={DEEPEST} beside={FAIREST} size={64} label="Both" />,
      'not read yet': () => <Swatch lab={null} label="Not read yet" />,
    },
  },
  {
    name: 'Switch',
    use: 'On or off, at once.',
    states: {
      kept: () => (
        <Kept start={true}>
          {(on, keep) => <Switch label="Keep photographs" on={on} onToggle={() => keep(!on)} />}
        </Kept>
      ),
      off: () => (
        <Switch label="Dim room" on={false} onToggle={nothing}>
          <Label>{LONG}</Label>
        </Switch>
      ),
    },
  },
  {
    name: 'Tabs',
    use: 'The places of a page.',
    states: { two: () => tabs(2), four: () => tabs(4), six: () => tabs(6) },
  },
  {
    name: 'Text',
    use: 'Everything that is read.',
    states: {
      all: () => (
        <Column>
          <Heading aria-level={3}>A heading</Heading>
          <Subheading aria-level={4}>A heading below it</Subheading>
          <Body>{LONG}</Body>
          <Label>A label</Label>
          <Figure>12.5 g</Figure>
        </Column>
      ),
      'on what colour is judged on': () => (
        <Judged padding="$3">
          <Body>Neutral, so that a colour beside it is seen as it is.</Body>
        </Judged>
      ),
    },
  },
  {
    name: 'VirtualList',
    use: 'Any number of rows.',
    states: {
      none: () => listed(0, 'list'),
      few: () => listed(3, 'list'),
      'more than a page': () => listed(20, 'list'),
    },
  },
];
