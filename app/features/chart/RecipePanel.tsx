import {
  amountAsked,
  duplicatedStep,
  FLOW_DOSE,
  FLOWS,
  mergedStep,
  movedStep,
  msg,
  notStirred,
  splitStep,
  TECHNIQUES,
  TOOLS,
  variedStep,
  withoutStep,
  type Chart,
  type Step,
} from '@toile/core';
import { newId } from '@toile/contract';
import { Button, Choice, Column, Field, Label, Line, Stepper, Switch } from '../../ui';
import { amountInWords, withStepChange } from './chartView';

type RecipePanelProps = {
  readonly chart: Chart;
  readonly step: Step;
  /** The variant being looked at, or null for the plan. */
  readonly variant: Chart['variants'][number] | null;
  readonly onChange: (chart: Chart) => void;
  /** Shows another step, or none. */
  readonly onSelect: (stepId: string | null) => void;
};

/** How a step is done: tool, technique, dose, minutes, and its place among the others. */
export function RecipePanel({ chart, step, variant, onChange, onSelect }: RecipePanelProps) {
  const at = chart.steps.findIndex((s) => s.id === step.id);
  const change = (part: Partial<Step>): void => onChange(withStepChange(chart, step.id, part));
  const before = chart.steps[at - 1];
  const notTogether = notStirred(chart, step.id);
  return (
    <Column gap="$3" role="group" aria-label={msg`How it is done`}>
      <Field
        label={msg`Name of the step`}
        value={step.title}
        onChange={(title) => change({ title: title.slice(0, 200) })}
        error={step.title.trim() === '' ? msg`A step needs a name` : undefined}
      />
      <Choice
        label={msg`Tool`}
        options={TOOLS}
        words={{ none: msg`straight from the product` }}
        chosen={[step.tool]}
        onChange={([tool]) =>
          tool &&
          change(
            tool === 'airbrush'
              ? { tool, technique: 'spray', passes: Math.max(3, step.passes) }
              : { tool, flow: undefined },
          )
        }
      />
      {step.tool === 'airbrush' ? (
        <Choice
          label={msg`Flow`}
          options={FLOWS}
          chosen={step.flow ? [step.flow] : []}
          onChange={([flow]) => flow && change({ flow, doseMgPerCm2: FLOW_DOSE[flow] })}
        />
      ) : null}
      <Choice
        label={msg`Technique`}
        options={TECHNIQUES}
        chosen={[step.technique]}
        onChange={([technique]) => technique && change({ technique })}
      />
      <Line gap="$4">
        <Stepper
          label={step.tool === 'airbrush' ? msg`Dose a pass` : msg`Dose`}
          unit="mg/cm²"
          minimum={0}
          maximum={5}
          step={0.1}
          value={Math.round(step.doseMgPerCm2 * 100) / 100}
          onChange={(doseMgPerCm2) => change({ doseMgPerCm2 })}
        />
        <Stepper
          label={step.tool === 'airbrush' ? msg`Passes a side` : msg`Passes`}
          unit=""
          minimum={1}
          maximum={12}
          step={1}
          value={step.passes}
          onChange={(passes) => change({ passes })}
        />
        <Stepper
          label={msg`At work`}
          unit={msg`min`}
          minimum={0}
          maximum={60}
          step={0.5}
          value={step.handsOnMinutes}
          onChange={(handsOnMinutes) => change({ handsOnMinutes })}
        />
        <Stepper
          label={msg`Then wait`}
          unit={msg`min`}
          minimum={0}
          maximum={30}
          step={0.5}
          value={step.waitMinutes}
          onChange={(waitMinutes) => change({ waitMinutes })}
        />
      </Line>
      <DoseOnFace chart={chart} step={step} onTake={(use) => change({ use })} />
      <OtherwiseInVariant
        chart={chart}
        step={step}
        variant={variant}
        onChange={onChange}
        onSelect={onSelect}
      />
      <Switch
        label={msg`Only if wanted`}
        on={step.optional === true}
        onToggle={() => change({ optional: !step.optional })}
      />
      <Line role="group" aria-label={msg`Its place among the steps`}>
        <Button
          label={msg`Earlier`}
          disabled={at <= 0}
          onPress={() => onChange(movedStep(chart, step.id, at - 1))}
        >{msg`↑ earlier`}</Button>
        <Button
          label={msg`Later`}
          disabled={at >= chart.steps.length - 1}
          onPress={() => onChange(movedStep(chart, step.id, at + 1))}
        >{msg`↓ later`}</Button>
        <Button onPress={() => onChange(duplicatedStep(chart, step.id, newId()))}>{msg`Once more`}</Button>
        <Button
          onPress={() => onChange(splitStep(chart, step.id, newId()))}
        >{msg`Split in two layers`}</Button>
        {before ? (
          <Button
            disabled={notTogether !== null}
            onPress={() => {
              onChange(mergedStep(chart, step.id));
              onSelect(before.id);
            }}
          >
            {msg`Stir into ${before.title.toLowerCase()}`}
          </Button>
        ) : null}
        <Button
          kind="stop"
          disabled={chart.steps.length === 1}
          onPress={() => {
            onChange(withoutStep(chart, step.id));
            onSelect(null);
          }}
        >{msg`Take the step out`}</Button>
      </Line>
      {before && notTogether ? (
        <Label>{msg`Not stirred into ${before.title.toLowerCase()}: ${notTogether}`}</Label>
      ) : null}
    </Column>
  );
}

/** What the dose asks for on this client's face, beside what is planned. */
function DoseOnFace({
  chart,
  step,
  onTake,
}: {
  readonly chart: Chart;
  readonly step: Step;
  readonly onTake: (use: Step['use']) => void;
}) {
  const asked = amountAsked(step, chart.client);
  if (!asked) return null;
  const [planned, wanted] = [amountInWords(step.use), amountInWords(asked.use)];
  return (
    <Column gap="$1">
      <Label>{msg`${asked.areaCm2.toFixed(0)} cm² of skin take ${asked.takenMg.toFixed(asked.takenMg < 10 ? 1 : 0)} mg with what the tool keeps: ${wanted}, ${asked.madeMg.toFixed(asked.madeMg < 10 ? 1 : 0)} mg${asked.why ? `; ${asked.why}` : ''}.`}</Label>
      {planned === wanted ? null : (
        <Line>
          <Label flex={1}>{msg`Planned: ${planned}.`}</Label>
          <Button onPress={() => onTake([...asked.use])}>{msg`Take ${wanted}`}</Button>
        </Line>
      )}
    </Column>
  );
}

/** Does one step of the plan otherwise in the variant being looked at, or goes back to the plan. */
function OtherwiseInVariant({ chart, step, variant, onChange, onSelect }: RecipePanelProps) {
  if (!variant) return null;
  if (step.variant === variant.id)
    return (
      <Line>
        <Label flex={1}>{msg`Only in ${variant.name}.`}</Label>
        <Button
          onPress={() => {
            onChange(withoutStep(chart, step.id));
            onSelect(step.instead ?? null);
          }}
        >{msg`As in the plan again`}</Button>
      </Line>
    );
  return (
    <Button
      onPress={() => {
        const id = newId();
        onChange(variedStep(chart, step.id, variant.id, id));
        onSelect(id);
      }}
    >
      {msg`Do it otherwise in ${variant.name}`}
    </Button>
  );
}
