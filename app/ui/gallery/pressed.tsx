import {
  Body,
  Button,
  CopyButton,
  Dialog,
  DragTarget,
  FileButton,
  Grip,
  Label,
  Menu,
  Switch,
  View,
} from '..';
import { Kept, LONG, nothing, type Piece } from './piece';

const dragged = (value: number, minimum: number, maximum: number) => (
  <View height={80} position="relative">
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
/** What is pressed, dragged or switched. */
export const PRESSED: readonly Piece[] = [
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
    name: 'DragTarget',
    use: 'A handle on the face.',
    states: { between: () => dragged(4, 0, 12), 'at its end': () => dragged(12, 0, 12) },
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
];
