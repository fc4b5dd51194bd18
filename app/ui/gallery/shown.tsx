import {
  Body,
  Button,
  Column,
  Empty,
  Failed,
  Figure,
  Heading,
  Judged,
  Label,
  LineGraph,
  Loading,
  Progress,
  Ready,
  Row,
  Subheading,
  Swatch,
  TabPanel,
  Tabs,
  View,
  VirtualList,
} from '..';
import { DEEPEST, FAIREST, Kept, LONG, nothing, type Piece } from './piece';

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
const listed = (count: number) => (
  <View height={220}>
    <VirtualList
      label={`A list of ${count}`}
      count={count}
      rowPx={56}
      render={(i) => <Row title={`Row ${i + 1}`} onPress={nothing} />}
    />
  </View>
);

/** What is read and looked at. */
export const SHOWN: readonly Piece[] = [
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
      none: () => listed(0),
      few: () => listed(3),
      'more than a page': () => listed(20),
    },
  },
];
