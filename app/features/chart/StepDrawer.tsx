import {
  AFTER_AIRBRUSH,
  airbrushInWords,
  howInWords,
  messages,
  msg,
  productsInWords,
  refuseAdaptation,
  term,
  type Chart,
  type Kit,
  type ReviewFinding,
  type Step,
} from '@toile/core';
import { Body, Choice, Column, Field, Label } from '../../ui';
import { amountInWords, withNote } from './chartView';
import { AdaptationRow } from './AdaptationsPanel';
import { PlaceFinding } from './FaceFindings';
import { PlacePanel } from './PlacePanel';
import { RecipePanel } from './RecipePanel';
import { WhatPanel } from './WhatPanel';
import { WishPanel } from './WishPanel';
import { wishInWords } from '../looks/wishInWords';

type StepDrawerProps = {
  readonly chart: Chart;
  readonly step: Step;
  readonly kit: Kit | undefined;
  readonly editable: boolean;
  /** The placement whose handles are on the face. */
  readonly placement: number;
  readonly onPlacement: (index: number) => void;
  readonly onChange: (chart: Chart) => void;
  readonly onDraw: () => void;
  readonly onSelect: (stepId: string | null) => void;
  /** The variant being looked at, or null for the plan. */
  readonly variant: Chart['variants'][number] | null;
  readonly tab: StepTab;
  readonly onTab: (tab: StepTab) => void;
  /** A look's step: it asks for products and is bound to none. */
  readonly ofLook?: boolean;
  /** What is to be looked at in this step's places, with its number on the face. */
  readonly findings: readonly { readonly finding: ReviewFinding; readonly number: number }[];
};

const TABS = ['what', 'where', 'how'] as const;
/** What of a step is decided: its product, its place, how it is done. */
export type StepTab = (typeof TABS)[number];
const TAB_WORDS: Readonly<Record<StepTab, string>> = messages({
  what: 'With what',
  where: 'Where',
  how: 'How',
});

/** What is decided in one step: product, place, dose, note. */
export function StepDrawer({
  chart,
  step,
  kit,
  editable,
  placement,
  onPlacement,
  onChange,
  onDraw,
  onSelect,
  variant,
  tab,
  onTab,
  findings,
  ofLook = false,
}: StepDrawerProps) {
  return (
    <Column gap="$4" paddingVertical="$2">
      <Column gap="$1">
        <Body>{ofLook ? wishInWords(step) : productsInWords(step.use)}</Body>
        <Label>
          {[step.use.length > 0 ? amountInWords(step.use) : null, howInWords(step)]
            .filter(Boolean)
            .join(' · ')}
        </Label>
        {step.tool === 'airbrush' ? <Label>{airbrushInWords(step)}</Label> : null}
        {step.tool === 'airbrush' ? <Label>{term(AFTER_AIRBRUSH)}</Label> : null}
      </Column>
      {findings.map(({ finding, number }) => (
        <PlaceFinding
          key={`${finding.rule} ${number}`}
          chart={chart}
          finding={finding}
          number={number}
          editable={editable}
          onChange={onChange}
        />
      ))}
      {(chart.adaptations ?? [])
        .filter((a) => a.stepId === step.id)
        .map((a) => (
          <AdaptationRow
            key={a.id}
            adaptation={a}
            title={undefined}
            onRefuse={editable ? () => onChange(refuseAdaptation(chart, a)) : null}
          />
        ))}
      {editable ? (
        <Choice
          label={msg`Decide`}
          options={TABS}
          words={TAB_WORDS}
          chosen={[tab]}
          onChange={([next]) => next && onTab(next)}
        />
      ) : null}
      {editable && tab === 'what' ? (
        ofLook ? (
          <WishPanel chart={chart} step={step} onChange={onChange} />
        ) : (
          <WhatPanel chart={chart} step={step} kit={kit} onChange={onChange} />
        )
      ) : null}
      {!editable || tab === 'where' ? (
        <PlacePanel
          chart={chart}
          step={step}
          editable={editable}
          placement={placement}
          onPlacement={onPlacement}
          onChange={onChange}
          onDraw={onDraw}
        />
      ) : null}
      {editable && tab === 'how' ? (
        <RecipePanel chart={chart} step={step} variant={variant} onChange={onChange} onSelect={onSelect} />
      ) : null}
      {editable ? (
        <Field
          label={msg`Note`}
          value={step.note}
          lines={2}
          onChange={(note) => onChange(withNote(chart, step.id, note))}
        />
      ) : step.note ? (
        <Body>{step.note}</Body>
      ) : null}
    </Column>
  );
}
