import { useRouter } from 'expo-router';
import { msg, OCCASIONS } from '@toile/core';
import { enquirySchema, newId, type Enquiry } from '@toile/contract';
import { call } from '../../data/call';
import { deviceZone } from '../../data/deviceZone';
import { useRefresh, useStudioSettings } from '../../data/hooks';
import { useDraft } from '../../data/useDraft';
import { useSaving } from '../../data/useSaving';
import { Body, Button, Choice, Column, DraftNote, Field, Label, Line, Screen, View } from '../../ui';
import { AlreadyHere } from './AlreadyHere';

type Form = Omit<Enquiry, 'people' | 'zone'> & { readonly people: string };

/**
 * Somebody asks: who, when, where, how many, what for. Kept as a client, a visit that is asked for, and a
 * party.
 */
export function EnquiryScreen() {
  const router = useRouter();
  const refresh = useRefresh();
  const settings = useStudioSettings();
  const draft = useDraft<Form>('enquiry', () => ({
    clientId: newId(),
    visitId: newId(),
    partyId: newId(),
    name: '',
    phone: '',
    email: '',
    kind: 'wedding',
    date: '',
    startsAt: '',
    place: '',
    people: '1',
    notes: '',
  }));
  const { value: form, set } = draft;
  const change = (part: Partial<Form>): void => set((before) => ({ ...before, ...part }));
  const { busy, failure, errors, save } = useSaving(
    msg`It was not kept. What you wrote is still here; try again.`,
  );
  const keep = (): Promise<unknown> =>
    save(async () => {
      const zone = settings.data?.settings.zone ?? deviceZone();
      const body = await enquirySchema.validate({ ...form, zone }, { abortEarly: false });
      const answer = await call('createEnquiry', { body });
      draft.drop();
      await refresh();
      router.replace(answer.partyId ? `/parties/${answer.partyId}` : `/clients/${answer.clientId}`);
    });
  return (
    <Screen
      title={msg`An enquiry`}
      widest={640}
      onBack={() => router.navigate('/clients')}
      foot={
        <Column gap="$2">
          {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
          <Button
            kind="main"
            large
            disabled={busy}
            onPress={() => void keep()}
          >{msg`Keep the enquiry`}</Button>
        </Column>
      }
    >
      <Column gap="$3">
        <DraftNote {...draft} />
        <Field
          label={msg`Who asks`}
          value={form.name}
          onChange={(name) => change({ name })}
          error={errors.name}
        />
        <AlreadyHere name={form.name} />
        <Line flexWrap="nowrap" alignItems="flex-start">
          <View flex={1}>
            <Field
              label={msg`Phone`}
              keyboard="tel"
              value={form.phone}
              onChange={(phone) => change({ phone })}
              error={errors.phone}
            />
          </View>
          <View flex={1}>
            <Field
              label={msg`Email`}
              keyboard="email"
              value={form.email}
              onChange={(email) => change({ email })}
              error={errors.email}
            />
          </View>
        </Line>
        <Choice
          label={msg`What for`}
          options={OCCASIONS}
          chosen={[form.kind]}
          onChange={([kind]) => kind && change({ kind })}
        />
        <Line flexWrap="nowrap" alignItems="flex-start">
          <View flex={2}>
            <Field
              label={msg`Date`}
              keyboard="date"
              value={form.date}
              onChange={(date) => change({ date })}
              error={errors.date}
            />
          </View>
          <View flex={1}>
            <Field
              label={msg`From`}
              keyboard="time"
              value={form.startsAt}
              onChange={(startsAt) => change({ startsAt })}
              error={errors.startsAt}
            />
          </View>
          <View flex={1}>
            <Field
              label={msg`How many`}
              keyboard="decimal"
              value={form.people}
              onChange={(people) => change({ people })}
              error={errors.people}
            />
          </View>
        </Line>
        <Field
          label={msg`Where`}
          value={form.place}
          onChange={(place) => change({ place })}
          error={errors.place}
        />
        <Field
          label={msg`What was said`}
          lines={2}
          value={form.notes}
          onChange={(notes) => change({ notes })}
          error={errors.notes}
        />
        <Label>{msg`Kept as asked for, not booked: say so on the visit once it is.`}</Label>
      </Column>
    </Screen>
  );
}
