import { useState } from 'react';
import { hoursAt, msg, type TrialZone } from '@toile/core';
import {
  newId,
  sendTrialSchema,
  sendWearSchema,
  type AskedOfHalves,
  type OpenWearAnswer,
} from '@toile/contract';
import { call } from '../../data/call';
import { tokenOfAddress, useOpened } from '../../data/useOpened';
import { useSaving } from '../../data/useSaving';
import { Body, Button, Column, Heading, Label, Loading, View } from '../../ui';
import { instantInWords } from '../words/dates';
import { HalvesFields, StingField, TouchedField, type Stings } from '../trials/HalvesFields';
import { NO_HALVES, seenOf, type HalfLook } from '../trials/halfLook';
import { LookFields, NO_LOOK, saysSomething } from './LookFields';

/**
 * What a client's own phone shows behind a link: how does it look now; what was told by it; nothing else that
 * is kept.
 */
export function WearLinkScreen() {
  const [token] = useState(tokenOfAddress);
  const {
    shown: asks,
    ended,
    show,
  } = useOpened<OpenWearAnswer>(token, () => call('openWear', { body: { token } }));
  const [id, setId] = useState(newId);
  const [look, setLook] = useState(NO_LOOK);
  const [halves, setHalves] = useState(NO_HALVES);
  const [stings, setStings] = useState<Stings>('none');
  const [sent, setSent] = useState(false);
  const { busy, failure, save } = useSaving(msg`It was not sent. What you chose is still here; try again.`);
  const says = asks?.halves
    ? stings !== 'none' || look.touched.length > 0 || seenOf(halves, asks.halves.zones).length > 0
    : saysSomething(look);
  const send = async (): Promise<void> => {
    const answer = await save(async () => {
      const told = { token, id, at: new Date().toISOString() };
      if (asks?.halves) {
        const seen = seenOf(halves, asks.halves.zones);
        const { touched, marks } = look;
        const body = { ...told, seen, touched, marks, ...(stings !== 'none' && { stings }) };
        await sendTrialSchema.validate(body, { abortEarly: false });
        return call('sendTrial', { body });
      }
      const body = { ...told, ...look };
      await sendWearSchema.validate(body, { abortEarly: false });
      return call('sendWear', { body });
    });
    if (!answer) return;
    show(answer);
    setLook(NO_LOOK);
    setHalves(NO_HALVES);
    setStings('none');
    // Sent again over a bad network a look is the same one; the next is another.
    setId(newId());
    setSent(true);
  };
  return (
    <View flex={1} backgroundColor="$background" role="main" style={{ overflowY: 'auto' }}>
      <Column width="100%" maxWidth={560} alignSelf="center" padding="$4" gap="$4">
        <Heading fontSize="$7" lineHeight="$7" aria-level={1}>
          {asks ? msg`How does it look now?` : msg`How it wears`}
        </Heading>
        {ended ? <Body role="alert" color="$madder">{`▲ ${ended}`}</Body> : null}
        {!asks && !ended ? <Loading /> : null}
        {asks ? (
          <>
            <Body>
              {msg`${asks.studio} asks, to learn what lasts on you. Look in a mirror, once or as often as you like, until ${instantInWords(asks.expiresAt)}. If it stings or burns, take it off first.`}
            </Body>
            {sent ? <Body role="status">{msg`✓ Told. Thank you; tell again whenever you look.`}</Body> : null}
            {asks.halves ? (
              <Halves
                asked={asks.halves}
                halves={halves}
                onHalves={(next) => (setHalves(next), setSent(false))}
                touched={look.touched}
                onTouched={(touched) => (setLook({ ...look, touched: [...touched] }), setSent(false))}
                stings={stings}
                onStings={(next) => (setStings(next), setSent(false))}
              />
            ) : (
              <LookFields value={look} onChange={(next) => (setLook(next), setSent(false))} of="client" />
            )}
            {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
            <Button
              kind="main"
              large
              disabled={busy || !says}
              onPress={() => void send()}
            >{msg`Tell it`}</Button>
            {asks.told.length > 0 ? (
              <Label>{msg`Told so far: after ${asks.told
                .map(({ at }) => `${hoursAt({ appliedAt: asks.appliedAt, at }).toFixed(1)} h`)
                .join(', ')}.`}</Label>
            ) : null}
          </>
        ) : null}
      </Column>
    </View>
  );
}

/** Left and right before the mirror; nothing here says what is on them. */
function Halves({
  asked,
  halves,
  onHalves,
  touched,
  onTouched,
  stings,
  onStings,
}: {
  readonly asked: AskedOfHalves;
  readonly halves: HalfLook;
  readonly onHalves: (halves: HalfLook) => void;
  readonly touched: readonly TrialZone[];
  readonly onTouched: (zones: readonly TrialZone[]) => void;
  readonly stings: Stings;
  readonly onStings: (stings: Stings) => void;
}) {
  return (
    <Column gap="$4">
      <Body>{msg`The two halves of your face were done differently. Look at each by itself, and say what you see; left is your left.`}</Body>
      <HalvesFields
        measure={asked.measure}
        zones={asked.zones}
        value={halves}
        onChange={onHalves}
        of="client"
      />
      <TouchedField zones={asked.zones} value={touched} onChange={onTouched} />
      <StingField value={stings} onChange={onStings} />
    </Column>
  );
}
