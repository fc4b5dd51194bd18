import { useMemo, useState } from 'react';
import {
  asHabit,
  contextOf,
  learnedProposals,
  msg,
  otherWay,
  swapProduct,
  type Chart,
  type Kit,
  type LearnedAnswer,
  type LearnedProposal,
} from '@toile/core';
import { newId } from '@toile/contract';
import { call } from '../../data/call';
import { useLearned, useRefresh } from '../../data/hooks';
import { useSaving } from '../../data/useSaving';
import { Body, Button, Column, Label, Line, Subheading } from '../../ui';
import { askShades } from '../../workers';
import { useMinded } from '../clients/useMinded';
import { kitOfLine, linesOf } from './learnedView';

type LearnedPanelProps = {
  readonly chart: Chart;
  readonly kit: Kit;
  /** The chart with what was offered taken. */ readonly onTry: (
    chart: Chart,
    offer: LearnedProposal,
  ) => void;
};

/**
 * What the studio's own evidence proposes for a chart: never more than three, each to be tried, left, or
 * silenced.
 */
export function LearnedPanel({ chart, kit, onTry }: LearnedPanelProps) {
  const evidence = useLearned(chart.client.id);
  const refresh = useRefresh();
  const minded = useMinded(chart);
  const { busy, failure, save } = useSaving(msg`It was not kept. Try again.`);
  const [none, setNone] = useState<string | null>(null);
  const lines = useMemo(() => linesOf(kit), [kit]);
  const proposals = useMemo(
    () => (evidence.data ? learnedProposals(chart, { ...evidence.data, lines }) : []),
    [chart, evidence.data, lines],
  );
  if (proposals.length === 0) return null;
  const answer = (one: LearnedProposal, said: LearnedAnswer['answer']): Promise<unknown> =>
    save(async () => {
      const { key, failed, worn, strength } = one;
      const body = {
        answer: { id: newId(), key, answer: said, words: offerWords(one), failed, worn, strength },
      };
      await call('answerLearned', { body });
      await refresh();
    });
  const take = (one: LearnedProposal): Promise<unknown> =>
    save(async () => {
      const next = await withOffer(chart, minded, kit, one);
      if (next) onTry(next, one);
      setNone(next ? null : one.offer);
    });
  return (
    <Column gap="$3" role="group" aria-label={msg`From your own evidence`}>
      <Subheading>{msg`From your own evidence`}</Subheading>
      {proposals.map((one) => (
        <Column key={one.key} gap="$2" borderLeftWidth={3} borderLeftColor="$weld" paddingLeft="$3">
          <Body>{one.says}</Body>
          <Label>{one.against}</Label>
          <Line>
            <Button kind="main" disabled={busy} onPress={() => void take(one)}>
              {msg`Try ${one.offer}`}
            </Button>
            <Button
              disabled={busy}
              label={msg`Not now: ${one.offer}`}
              onPress={() => void answer(one, 'not now')}
            >{msg`Not now`}</Button>
            <Button
              disabled={busy}
              label={msg`Never: ${one.offer}`}
              onPress={() => void answer(one, 'never')}
            >{msg`Never`}</Button>
          </Line>
        </Column>
      ))}
      {none ? (
        <Body
          role="alert"
          color="$weld"
        >{msg`▲ Of ${none} the kit has no shade that can stand in here.`}</Body>
      ) : null}
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
    </Column>
  );
}

/** What was offered, for the record. */
const offerWords = ({ offer, now, change }: LearnedProposal): string =>
  (change.kind === 'leave out' ? offer : msg`${offer} for ${now}`).slice(0, 600);

/**
 * The chart as a proposal would have it: another amount, without a step, or with the offered line in the
 * shade of the kit that stands in best; null when none can. `minded` is the chart with what was noted of its
 * client since.
 */
async function withOffer(
  chart: Chart,
  minded: Chart,
  kit: Kit,
  proposal: LearnedProposal,
): Promise<Chart | null> {
  const { stepId, offer, change } = proposal;
  if (change.kind !== 'line') return asHabit(chart, proposal);
  const step = chart.steps.find((one) => one.id === stepId);
  const product = kit.products.find((one) => one.id === step?.use[0]?.product.id);
  if (!step || !product) return null;
  const [best] = await askShades('substitute', {
    context: contextOf(minded, kitOfLine(kit, offer)),
    product,
    options: {
      count: 1,
      steps: [step],
      notPacked: [product.id],
      ...(step.doseMgPerCm2 > 0 ? { doseMgPerCm2: step.doseMgPerCm2 } : {}),
    },
  });
  const swap = best && swapProduct(chart, stepId, best);
  return swap ? otherWay(chart, swap) : null;
}

/** What was taken of it, said once it is in the chart. */
export function useTaken(): {
  readonly words: string | null;
  readonly taken: (offer: LearnedProposal) => void;
} {
  const [words, setWords] = useState<string | null>(null);
  return {
    words,
    taken: ({ offer, now, change }) =>
      setWords(
        change.kind === 'leave out'
          ? msg`${now} is left out of the chart.`
          : msg`${offer} is in the chart instead of ${now}.`,
      ),
  };
}
