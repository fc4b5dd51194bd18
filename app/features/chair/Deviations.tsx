import { useState } from 'react';
import {
  measureWord,
  msg,
  NEXT_TIME,
  productsInWords,
  term,
  type Chart,
  type Deviation,
  type Kit,
  type NextTime,
  type Step,
} from '@toile/core';
import { Body, Button, Choice, Column, Field, Label, Line, Rule, Stepper } from '../../ui';
import { useProposals } from '../chart/useProposals';
import { FaultFinder } from '../faults/FaultFinder';

type DeviationsProps = {
  readonly chart: Chart;
  readonly step: Step;
  readonly kit: Kit | undefined;
  readonly onDeviate: (deviation: Deviation, stepId?: string) => void;
};

/** More, less, another product, skipped, or a note: two touches each. */
export function Deviations({ chart, step, kit, onDeviate }: DeviationsProps) {
  const planned = step.use.reduce((sum, u) => sum + u.parts, 0);
  const measure = step.use[0]?.measure ?? 'pump';
  const [measures, setMeasures] = useState(planned);
  const [note, setNote] = useState('');
  const [other, setOther] = useState(false);
  return (
    <Column padding="$4" gap="$3" backgroundColor="$surface" borderTopWidth={2} borderTopColor="$ink">
      {planned > 0 ? (
        <Line alignItems="flex-end">
          <Stepper
            label={msg`Really used, planned ${planned}`}
            value={measures}
            unit={measureWord(measures, measure)}
            minimum={0.5}
            maximum={Math.max(60, 2 * planned)}
            step={measures < 1 ? 0.5 : 1}
            onChange={setMeasures}
          />
          <Button
            kind="main"
            disabled={measures === planned}
            onPress={() => onDeviate({ kind: 'amount', measures, note })}
          >{msg`Record the amount`}</Button>
        </Line>
      ) : null}
      <Line>
        {step.use.length > 0 ? (
          <Button onPress={() => setOther((o) => !o)}>{msg`Other product`}</Button>
        ) : null}
        <Button onPress={() => onDeviate({ kind: 'skipped', note })}>{msg`Skipped`}</Button>
      </Line>
      {other ? (
        <Others
          chart={chart}
          step={step}
          kit={kit}
          onPick={(use) => onDeviate({ kind: 'other product', use: [...use], note })}
        />
      ) : null}
      <Rule />
      <NextTimeChoice
        onChoose={(nextTime, sentence) => onDeviate({ kind: 'next time', nextTime, note: sentence })}
      />
      <Rule />
      <FaultFinder
        chart={chart}
        kit={kit}
        seenAt={step.id}
        action={msg`Change it next time`}
        onTake={(seen, { cause, step: at }) =>
          onDeviate({ kind: 'fault', fault: { seen, cause: cause.id }, note }, at?.id)
        }
      />
      <Rule />
      <Field
        label={msg`Note`}
        value={note}
        onChange={setNote}
        lines={2}
        placeholder={msg`What was seen or said`}
      />
      <Button
        disabled={note.trim() === ''}
        onPress={() => onDeviate({ kind: 'note', note: note.trim() })}
      >{msg`Record the note`}</Button>
    </Column>
  );
}

/** What is to be different next time: chosen, with one sentence that is shown then and never acted on. */
function NextTimeChoice({ onChoose }: { readonly onChoose: (nextTime: NextTime, sentence: string) => void }) {
  const [chosen, setChosen] = useState<NextTime | null>(null);
  const [sentence, setSentence] = useState('');
  return (
    <Column gap="$2">
      <Choice
        label={msg`Next time`}
        options={NEXT_TIME}
        chosen={chosen ? [chosen] : []}
        onChange={([wish]) => setChosen(wish ?? null)}
      />
      {chosen ? (
        <Line alignItems="flex-end">
          <Field
            label={msg`Why, in a sentence`}
            value={sentence}
            onChange={(words) => setSentence(words.slice(0, 300))}
            hint={msg`Shown next time; only what is chosen is done.`}
          />
          <Button kind="main" onPress={() => onChoose(chosen, sentence.trim())}>
            {msg`Next time: ${term(chosen)}`}
          </Button>
        </Line>
      ) : null}
    </Column>
  );
}

function Others({
  chart,
  step,
  kit,
  onPick,
}: {
  readonly chart: Chart;
  readonly step: Step;
  readonly kit: Kit | undefined;
  readonly onPick: (use: Step['use']) => void;
}) {
  const { found, error } = useProposals(step, chart, kit);
  if (error) return <Body color="$madder">{`▲ ${error}`}</Body>;
  if (!found) return <Label>{msg`Matching the kit`}</Label>;
  return (
    <Column gap="$1">
      {found.gap ? <Body color="$weld">{`▲ ${found.gap.words}`}</Body> : null}
      {found.proposals.map((proposal) => (
        <Button key={productsInWords(proposal.use)} onPress={() => onPick([...proposal.use])}>
          {productsInWords(proposal.use)}
        </Button>
      ))}
    </Column>
  );
}
