import { useLocalSearchParams } from 'expo-router';
import { useCallback, useMemo, useState } from 'react';
import {
  msg,
  numberTold,
  shadeName,
  skinTarget,
  type MatchWishes,
  type ShadeContext,
  type ShadeMatch,
} from '@toile/core';
import type { ClientAnswer } from '@toile/contract';
import { Body, Button, Column, Label, Line, Progress, Subheading, Swatch, useWide, View } from '../../ui';
import { askShades, useWork } from '../../workers';
import { skinInWords } from '../words/colours';
import { MatchRow } from './MatchRow';
import { bestUnderLights, keyOf } from './shadesView';
import { UseInChart } from './UseInChart';
import { WhyNot } from './WhyNot';
import { WishesForm } from './WishesForm';

const START: MatchWishes = { zones: ['wholeFace', 'neck'], coverage: null };

/** The base for this skin: one product, two mixed, three when it gains enough. */
export function MatchPanel({
  client,
  context,
}: {
  readonly client: ClientAnswer;
  readonly context: ShadeContext;
}) {
  const wide = useWide();
  const { chart, step } = useLocalSearchParams<{ chart?: string; step?: string }>();
  const [wishes, setWishes] = useState<MatchWishes>(START);
  const [chosen, setChosen] = useState<string | null>(null);
  const asked = useMemo(() => ({ context, wishes }), [context, wishes]);
  const { answer, error, busy, share, stopped, stop, again } = useWork(askShades, 'match', asked);
  const target = useMemo(() => skinTarget(context.client.skin, wishes.weights), [context, wishes.weights]);
  const all = useMemo(
    () => (answer ? [...answer.singles, ...answer.pairs, ...answer.triples] : []),
    [answer],
  );
  const lights = useMemo(() => bestUnderLights(all), [all]);
  const pin = useCallback((productId: string) => setWishes((w) => ({ ...w, pin: productId })), []);
  // The one answer, as fitting gives it: by the whole cost; three in a bowl only where they are chosen.
  const best = [...(answer ? [...answer.singles, ...answer.pairs] : [])].sort((a, b) => a.cost - b.cost)[0];
  const picked = all.find((m) => keyOf(m) === chosen) ?? best ?? null;
  const pinned = context.kit.products.find((p) => p.id === wishes.pin);
  const rows = (title: string, matches: readonly ShadeMatch[], none: string) => (
    <Column gap="$1" role="radiogroup" aria-label={title}>
      <Subheading>{title}</Subheading>
      {matches.length === 0 ? <Label>{none}</Label> : null}
      {matches.map((match) => (
        <MatchRow
          key={keyOf(match)}
          match={match}
          target={target}
          lights={lights}
          chosen={picked !== null && keyOf(match) === keyOf(picked)}
          onChoose={setChosen}
          onPin={pin}
        />
      ))}
    </Column>
  );
  return (
    <Column gap="$3">
      <Line flexWrap="nowrap">
        <Swatch lab={target} size={52} label={msg`the colour to match`} />
        <Body flex={1}>{msg`The skin: ${skinInWords(context.client.skin) ?? msg`not read`}`}</Body>
      </Line>
      <WishesForm wishes={wishes} onChange={setWishes} />
      {pinned ? (
        <Line justifyContent="space-between" flexWrap="nowrap">
          <Body flex={1}>{msg`Every mix holds ${shadeName(pinned)}.`}</Body>
          <Button onPress={() => setWishes(({ pin: _, ...w }) => w)}>{msg`Unpin`}</Button>
        </Line>
      ) : null}
      {busy ? <Progress words={msg`Predicting every mix`} share={share} onStop={stop} /> : null}
      {stopped ? (
        <Line>
          <Body>{msg`Stopped.`}</Body>
          <Button onPress={again}>{msg`Search again`}</Button>
        </Line>
      ) : null}
      {error ? <Body role="alert" color="$madder">{`▲ ${error}`}</Body> : null}
      {answer ? (
        <>
          {answer.limits.map((limit) => (
            <Body key={limit} color="$weld">{`▲ ${limit}`}</Body>
          ))}
          <View flexDirection={wide ? 'row' : 'column'} gap="$4" aria-live="polite">
            <Column flex={wide ? 1 : undefined}>
              {rows(msg`One product`, answer.singles, msg`No single product meets these wishes.`)}
            </Column>
            <Column flex={wide ? 1 : undefined} gap="$3">
              {rows(msg`Two, mixed`, answer.pairs, msg`Nothing here may be stirred together.`)}
              {rows(
                msg`Three, mixed`,
                answer.triples,
                msg`No third product brings it closer by 0.3: two are enough.`,
              )}
            </Column>
          </View>
          <Label>
            {msg`${numberTold(answer.mixes)} mixes of ${answer.compared} products compared. How far off is a model’s figure, by day. Lamp and flash are only held against each other: one reading cannot tell more.`}
          </Label>
          {picked ? (
            <UseInChart client={client} match={picked} chartId={chart ?? null} stepId={step ?? null} />
          ) : null}
          <WhyNot context={context} wishes={wishes} />
        </>
      ) : null}
    </Column>
  );
}
