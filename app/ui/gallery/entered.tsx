import { Choice, ColourField, DraftNote, Field, LabField, Stepper } from '..';
import { DEEPEST, FAIREST, Kept, LONG, nothing, type Piece } from './piece';

const field = (more: Partial<Parameters<typeof Field>[0]>) => (
  <Kept start={more.value ?? ''}>
    {(value, keep) => <Field label="Nose length" {...more} value={value} onChange={keep} />}
  </Kept>
);
/** What is typed or chosen. */
export const ENTERED: readonly Piece[] = [
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
    name: 'DraftNote',
    use: 'Over a form that was left half filled in.',
    states: {
      'taken up': () => <DraftNote taken anew={nothing} />,
      'nothing to say': () => <DraftNote taken={false} anew={nothing} />,
    },
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
    name: 'LabField',
    use: 'A colour typed as a meter says it.',
    states: {
      empty: () => <LabField label="A colour" button="Add it" onLab={nothing} />,
      'begun with one': () => <LabField label="A shade" button="Change it" start={DEEPEST} onLab={nothing} />,
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
];
