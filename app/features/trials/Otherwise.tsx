import { useMemo } from 'react';
import {
  contextOf,
  msg,
  SCHOOL_ANSWERS,
  SCHOOL_NAMES,
  SCHOOL_QUESTIONS,
  swapSchool,
  TECHNIQUES,
  term,
  TOOLS,
  type Chart,
  type Kit,
  type SchoolAnswers,
  type Step,
  type Substitute,
} from '@toile/core';
import { Body, Choice, Label, Loading } from '../../ui';
import { askShades, useWork } from '../../workers';
import { useMinded } from '../clients/useMinded';
import { SubstituteList } from '../substitute/SubstituteList';
import { substituteKey } from '../substitute/substituteView';
import type { Choosing } from './trialView';

/** In which step of the plan the halves differ. */
export function StepChoice({
  steps,
  value,
  onChange,
}: {
  readonly steps: readonly Step[];
  readonly value: string | null;
  readonly onChange: (id: string) => void;
}) {
  return (
    <Choice
      label={msg`In which step`}
      options={steps.map((step) => step.id)}
      words={Object.fromEntries(steps.map((step) => [step.id, step.title]))}
      chosen={value ? [value] : []}
      onChange={([id]) => id && onChange(id)}
    />
  );
}

type OtherwiseProps = {
  readonly chart: Chart;
  readonly kit: Kit;
  readonly choosing: Choosing;
  readonly onChange: (change: Partial<Choosing>) => void;
};

/** How the other half is done. */
export function Otherwise({ chart, kit, choosing, onChange }: OtherwiseProps) {
  const step = chart.steps.find((one) => one.id === choosing.stepId);
  if (!step || choosing.aspect === 'school' || choosing.aspect === 'step') return null;
  if (choosing.aspect === 'tool')
    return (
      <Choice
        label={msg`The other half with, instead of ${term(step.tool)}`}
        options={TOOLS.filter((tool) => tool !== step.tool)}
        chosen={choosing.tool ? [choosing.tool] : []}
        onChange={([tool]) => tool && onChange({ tool })}
      />
    );
  if (choosing.aspect === 'technique')
    return (
      <Choice
        label={msg`The other half worked, instead of ${term(step.technique)}`}
        options={TECHNIQUES.filter((technique) => technique !== step.technique)}
        chosen={choosing.technique ? [choosing.technique] : []}
        onChange={([technique]) => technique && onChange({ technique })}
      />
    );
  return (
    <OtherProduct
      key={step.id}
      chart={chart}
      kit={kit}
      step={step}
      value={choosing.substitute}
      onChange={(substitute) => onChange({ substitute })}
    />
  );
}

/** The kit's own, nearest first: what covers alike in about the same shade makes the cleanest trial. */
function OtherProduct({
  chart,
  kit,
  step,
  value,
  onChange,
}: {
  readonly chart: Chart;
  readonly kit: Kit;
  readonly step: Step;
  readonly value: Substitute | null;
  readonly onChange: (substitute: Substitute) => void;
}) {
  const product = kit.products.find((one) => one.id === step.use[0]?.product.id);
  const minded = useMinded(chart);
  const request = useMemo(
    () =>
      product
        ? {
            context: contextOf(minded, kit),
            product,
            options: {
              count: 12,
              steps: [step],
              notPacked: step.use.map((use) => use.product.id),
              ...(step.doseMgPerCm2 > 0 ? { doseMgPerCm2: step.doseMgPerCm2 } : {}),
            },
          }
        : null,
    [minded, kit, product, step],
  );
  const { answer, error } = useWork(askShades, 'substitute', request);
  if (!product) return <Label>{msg`What this step uses is no longer in the kit.`}</Label>;
  if (error) return <Body color="$madder">{`▲ ${error}`}</Body>;
  if (!answer) return <Loading words={msg`Comparing the kit`} />;
  const picked = answer.find((one) => value !== null && substituteKey(one) === substituteKey(value)) ?? null;
  return <SubstituteList list={answer} product={product} picked={picked} onPick={onChange} />;
}

/** Questions in which this chart would be done otherwise, each answered the other way. */
export function Schools({
  chart,
  value,
  onChange,
}: {
  readonly chart: Chart;
  readonly value: Partial<SchoolAnswers> | null;
  readonly onChange: (answers: Partial<SchoolAnswers>) => void;
}) {
  const ways = useMemo(
    () =>
      SCHOOL_NAMES.flatMap((school) =>
        SCHOOL_ANSWERS[school].flatMap((answer) => {
          const answers: Partial<SchoolAnswers> = { [school]: answer };
          return swapSchool(chart, answers)
            ? [{ key: `${school} ${answer}`, answers, words: `${SCHOOL_QUESTIONS[school]}: ${term(answer)}` }]
            : [];
        }),
      ),
    [chart],
  );
  return (
    <Choice
      label={msg`The other half done`}
      options={ways.map(({ key }) => key)}
      words={Object.fromEntries(ways.map(({ key, words }) => [key, words]))}
      chosen={ways
        .filter(({ answers }) => JSON.stringify(answers) === JSON.stringify(value))
        .map(({ key }) => key)}
      onChange={([key]) => {
        const way = ways.find((one) => one.key === key);
        if (way) onChange(way.answers);
      }}
    />
  );
}
