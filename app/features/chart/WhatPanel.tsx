import { useRouter } from 'expo-router';
import { useState } from 'react';
import { Pressable } from 'react-native';
import {
  msg,
  productsInWords,
  shadeName,
  wantedColour,
  type Chart,
  type Kit,
  type Proposal,
  type Step,
} from '@toile/core';
import { Body, Button, Column, Judged, Label, Swatch, useColours } from '../../ui';
import type { MatchedStep } from '../../workers/fittingJobs';
import { wishInWords } from '../looks/wishInWords';
import { amountInWords, withUse } from './chartView';
import { useProposals } from './useProposals';
import { WishPanel } from './WishPanel';

type WhatPanelProps = {
  readonly chart: Chart;
  readonly step: Step;
  readonly kit: Kit | undefined;
  readonly onChange: (chart: Chart) => void;
};

/** The product or mix of a step: proposed, matched in full, or replaced. */
export function WhatPanel({ chart, step, kit, onChange }: WhatPanelProps) {
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
