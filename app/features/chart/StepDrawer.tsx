import { useRouter } from 'expo-router';
import { useState } from 'react';
import { Pressable } from 'react-native';
import {
  AFTER_AIRBRUSH,
  airbrushInWords,
  howInWords,
  messages,
  msg,
  productsInWords,
  refuseAdaptation,
  shadeName,
  term,
  wantedColour,
  type Chart,
  type Kit,
  type Proposal,
  type ReviewFinding,
  type Step,
} from '@toile/core';
import { Body, Button, Choice, Column, Field, Judged, Label, Swatch, useColours } from '../../ui';
import { amountInWords, withNote, withUse } from './chartView';
import { AdaptationRow } from './AdaptationsPanel';
import { PlaceFinding } from './FaceFindings';
import { PlacePanel } from './PlacePanel';
import { RecipePanel } from './RecipePanel';
import { WishPanel } from './WishPanel';
import { wishInWords } from '../looks/wishInWords';
import type { MatchedStep } from '../../workers/fittingJobs';
import { useProposals } from './useProposals';

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

/** The product or mix of a step: proposed, matched in full, or replaced. */
function WhatPanel({
  chart,
  step,
  kit,
  onChange,
}: Pick<StepDrawerProps, 'chart' | 'step' | 'kit' | 'onChange'>) {
  const router = useRouter();
  const [asking, setAsking] = useState(false);
  return (
    <>
      {step.wants.kinds.length > 0 ? (
        <ProposalList
          key={step.id}
          chart={chart}
          step={step}
          kit={kit}
          onPick={(proposal) => onChange(withUse(chart, step.id, proposal.use))}
        />
      ) : (
        <Label>{msg`No product is needed here.`}</Label>
      )}
      {step.role === 'base' ? (
        <Button
          onPress={() =>
            router.navigate(`/clients/${chart.client.id}/shades?chart=${chart.id}&step=${step.id}`)
          }
        >{msg`Match and mix in full`}</Button>
      ) : null}
      {step.use.map(({ product }) => (
        <Button
          key={product.id}
          onPress={() => router.navigate(`/kit/products/${product.id}/substitute?chart=${chart.id}`)}
        >
          {msg`Find a substitute for ${shadeName(product)}`}
        </Button>
      ))}
      <Button onPress={() => setAsking(!asking)}>
        {asking ? msg`Put away what is asked for` : msg`Asked for: ${wishInWords(step)}`}
      </Button>
      {asking ? <WishPanel chart={chart} step={step} onChange={onChange} /> : null}
    </>
  );
}

function ProposalList({
  chart,
  step,
  kit,
  onPick,
}: {
  readonly chart: Chart;
  readonly step: Step;
  readonly kit: Kit | undefined;
  readonly onPick: (proposal: Proposal) => void;
}) {
  const c = useColours();
  const wanted = wantedColour(step, chart.client, chart.schools.contrast);
  const { found, error } = useProposals(step, chart, kit);
  const chosen = step.use.map((u) => `${u.product.id} ${u.parts}`).join();
  if (error) return <Body color="$madder">{`▲ ${error}`}</Body>;
  if (!found) return <Label aria-live="polite">{msg`Matching the kit`}</Label>;
  const list = found.proposals;
  if (list.length === 0 && found.gap) return <Gap gap={found.gap} onTake={onPick} />;
  return (
    <Column gap={0} role="radiogroup" aria-label={msg`Products proposed`}>
      {found.gap ? <Gap gap={found.gap} onTake={onPick} /> : null}
      <Label>
        {wanted
          ? msg`Proposed, each beside the colour asked for; how far off in daylight, by a model`
          : msg`Proposed`}
      </Label>
      <Judged padding="$1" gap="$1">
        {list.map((proposal) => {
          const key = proposal.use.map((u) => `${u.product.id} ${u.parts}`).join();
          const on = key === chosen;
          return (
            <Pressable
              key={key}
              role="radio"
              aria-checked={on}
              aria-label={`${productsInWords(proposal.use)}, ${proposal.reasons.join(', ')}`}
              onPress={() => onPick(proposal)}
              style={{
                minHeight: 56,
                flexDirection: 'row',
                gap: 10,
                alignItems: 'center',
                padding: 4,
                backgroundColor: c.surface,
                borderLeftWidth: 4,
                borderLeftColor: on ? c.woad : c.surface,
              }}
            >
              {proposal.lab ? (
                <Swatch
                  lab={proposal.lab}
                  beside={wanted}
                  label={msg`proposed colour beside the colour asked for`}
                />
              ) : null}
              <Column gap={0} flex={1}>
                <Body
                  fontSize="$2"
                  lineHeight="$2"
                  fontWeight={on ? '700' : '400'}
                >{`${on ? '✓ ' : ''}${productsInWords(proposal.use)}`}</Body>
                <Label fontSize="$1" lineHeight="$1">
                  {[amountInWords(proposal.use), ...proposal.reasons].join(' · ')}
                </Label>
              </Column>
            </Pressable>
          );
        })}
      </Judged>
    </Column>
  );
}

/**
 * What to do where nothing at hand does it: how far the nearest is, what would do it stirred, what to buy,
 * and the nearest all the same.
 */
function Gap({
  gap,
  onTake,
}: {
  readonly gap: NonNullable<MatchedStep['gap']>;
  readonly onTake: (proposal: Proposal) => void;
}) {
  const { nearest } = gap;
  return (
    <Column
      gap="$2"
      role="note"
      aria-label={msg`Nothing in the kit does this`}
      borderLeftWidth={3}
      borderLeftColor="$weld"
      paddingLeft="$3"
    >
      <Body color="$weld">{`▲ ${gap.words}`}</Body>
      {gap.mixNeeds ? <Label>{msg`Stirred, ${gap.mixNeeds} would do it.`}</Label> : null}
      {gap.buy ? <Label>{msg`To buy: ${gap.buy}.`}</Label> : null}
      {nearest ? (
        <Button
          onPress={() => onTake(nearest)}
        >{msg`Take ${productsInWords(nearest.use)} all the same`}</Button>
      ) : null}
    </Column>
  );
}
