import { useRouter } from 'expo-router';
import { useState } from 'react';
import { faceShape, msg, SKIN_ZONE_NAMES, SKIN_ZONES, term, type Skin } from '@toile/core';
import { may, type ClientAnswer, type VisitAnswer } from '@toile/contract';
import { useClient, useSession } from '../../data/hooks';
import {
  Body,
  Button,
  Column,
  Judged,
  Label,
  Line,
  Ready,
  Row,
  Screen,
  Subheading,
  Swatch,
  useWide,
  View,
} from '../../ui';
import { FaceView } from '../face/FaceView';
import { skinInWords } from '../words/colours';
import { comingVisit } from '../occasion/occasionView';
import { dayAndDistance, dayInWords, hourInWords, howFar, todayText } from '../words/dates';
import { stateInWords } from '../words/visits';
import { FirstTalk } from '../consult/FirstTalk';
import { BookVisit } from './BookVisit';
import { cautionsNoted } from './cautions';
import { featuresInWords } from './featuresInWords';
import { Incidents } from './Incidents';
import { OwnData } from './OwnData';
import { PatchTests } from './PatchTests';
import { RunUp } from './RunUp';
import { landmarksFor, newestSkin } from './snapshot';
import { VisitDialog } from './VisitDialog';

/** One client: face, skin, what is noted, charts and visits. */
export function ClientScreen({ id }: { readonly id: string }) {
  const client = useClient(id);
  const session = useSession();
  const router = useRouter();
  const mayEdit = session.data ? may(session.data.role, 'edit') : false;
  const mayWork = session.data ? may(session.data.role, 'work') : false;
  return (
    <Screen
      title={client.data?.name ?? msg`Client`}
      onBack={() => router.navigate('/clients')}
      foot={
        client.data && mayEdit ? (
          <Line flexWrap="nowrap">
            <Button
              large
              grow
              onPress={() => router.navigate(`/clients/${id}/read`)}
            >{msg`Read skin`}</Button>
            <Button
              kind="main"
              large
              grow
              onPress={() => router.navigate(`/clients/${id}/fit`)}
            >{msg`Fit a look`}</Button>
          </Line>
        ) : undefined
      }
    >
      <Ready remote={client}>
        {(data) => <ClientView client={data} mayEdit={mayEdit} mayWork={mayWork} />}
      </Ready>
    </Screen>
  );
}

function ClientView({
  client,
  mayEdit,
  mayWork,
}: {
  readonly client: ClientAnswer;
  readonly mayEdit: boolean;
  readonly mayWork: boolean;
}) {
  const wide = useWide();
  const router = useRouter();
  const coming = comingVisit(client.visits, todayText());
  const landmarks = landmarksFor(client);
  const shape = faceShape(landmarks);
  return (
    <View flexDirection={wide ? 'row' : 'column'} gap="$5">
      {/* What must be minded is read before the face is worked on. */}
      {wide ? null : <Cautions client={client} />}
      <Column width={wide ? 340 : undefined} gap="$3">
        <Judged alignItems="center" padding="$2">
          <FaceView
            landmarks={landmarks}
            features={client.features}
            skin={newestSkin(client)}
            width="100%"
            height={wide ? 420 : 320}
            label={msg`${client.name}, ${shape.words} face`}
          />
        </Judged>
        <Body>{msg`Face ${shape.words}: ${shape.reasons.join('; ')}.`}</Body>
        <Label>{featuresInWords(client.features)}</Label>
        {mayEdit ? (
          <Button
            onPress={() => router.navigate(`/clients/${client.id}/trace`)}
          >{msg`Trace the face`}</Button>
        ) : null}
      </Column>
      <Column flex={wide ? 1 : undefined} gap="$4">
        {wide ? <Cautions client={client} /> : null}
        <SkinStrip client={client} />
        <FirstTalk client={client} mayEdit={mayEdit} />
        <PatchTests client={client} mayWork={mayWork} />
        <Incidents client={client} mayWork={mayWork} />
        <Charts client={client} />
        <Visits client={client} mayEdit={mayEdit} />
        {coming && coming.kind !== 'trial' && coming.state !== 'asked' ? (
          <RunUp
            visit={coming}
            tested={client.sensitivities.length + client.patchTests.length > 0}
            mayWork={mayWork}
          />
        ) : null}
        <Column gap="$1">
          <Line justifyContent="space-between">
            <Subheading>{msg`Notes`}</Subheading>
            {mayEdit ? (
              <Button
                onPress={() => router.navigate(`/clients/${client.id}/edit`)}
              >{msg`Change details`}</Button>
            ) : null}
          </Line>
          <Body>{client.notes || msg`Nothing noted.`}</Body>
          {client.contact ? (
            <Label>
              {[client.contact.phone, client.contact.email].filter(Boolean).join(' · ') ||
                msg`No contact kept.`}
            </Label>
          ) : (
            <Label>{msg`Contact is kept by the owner and the artists.`}</Label>
          )}
          {client.contact ? <OwnData client={client} /> : null}
        </Column>
      </Column>
    </View>
  );
}

function SkinStrip({ client }: { readonly client: ClientAnswer }) {
  const router = useRouter();
  const skin: Skin = newestSkin(client);
  const words = skinInWords(skin);
  const read = client.readings[0];
  return (
    <Column gap="$1">
      <Subheading>{msg`Skin`}</Subheading>
      {words && read ? (
        <>
          <Body>{words}</Body>
          <Label>{msg`Read ${howFar(read.at)} by ${read.by}`}</Label>
          <Judged flexDirection="row" flexWrap="wrap" padding="$2" gap="$2">
            {SKIN_ZONES.map((zone) => (
              <Column key={zone} gap={0} alignItems="center" width={72}>
                <Swatch lab={skin[zone] ?? null} size={36} label={SKIN_ZONE_NAMES[zone]} />
                <Label fontSize="$1" lineHeight="$1" color="$ink" textAlign="center">
                  {SKIN_ZONE_NAMES[zone]}
                </Label>
              </Column>
            ))}
          </Judged>
          <Line>
            <Button
              onPress={() => router.navigate(`/clients/${client.id}/shades`)}
            >{msg`Match, correct, sculpt`}</Button>
            <Button onPress={() => router.navigate(`/clients/${client.id}/skin`)}>{msg`Over time`}</Button>
          </Line>
        </>
      ) : (
        <Body color="$inkSoft">{msg`Not read yet. Seven zones, five touches each; shades can be chosen after that.`}</Body>
      )}
    </Column>
  );
}

function Cautions({ client }: { readonly client: ClientAnswer }) {
  const cautions = cautionsNoted(client);
  if (cautions.length === 0) return null;
  return (
    <Column gap="$1">
      <Subheading>{msg`Cautions`}</Subheading>
      {cautions.map((text) => (
        <Body key={text} color="$weld">{`▲ ${text}`}</Body>
      ))}
    </Column>
  );
}

function Charts({ client }: { readonly client: ClientAnswer }) {
  return (
    <Column gap="$1">
      <Subheading>{msg`Charts`}</Subheading>
      {client.charts.length === 0 ? (
        <Body color="$inkSoft">{msg`None yet. Fit a look to start one.`}</Body>
      ) : null}
      {client.charts.map((chart) => (
        <Row
          key={chart.id}
          title={`${chart.lookName}, ${term(chart.occasion)}`}
          detail={msg`Version ${chart.version} by ${chart.author}`}
          fact={dayInWords(chart.date)}
          href={`/charts/${chart.id}`}
        />
      ))}
    </Column>
  );
}

function Visits({ client, mayEdit }: { readonly client: ClientAnswer; readonly mayEdit: boolean }) {
  const [booking, setBooking] = useState(false);
  const [open, setOpen] = useState<VisitAnswer | null>(null);
  if (client.visits.length === 0 && !mayEdit) return null;
  return (
    <Column gap="$2">
      <Line justifyContent="space-between">
        <Subheading>{msg`Visits`}</Subheading>
        {mayEdit ? (
          <Button onPress={() => setBooking((b) => !b)}>{booking ? msg`Not now` : msg`Book a visit`}</Button>
        ) : null}
      </Line>
      {booking ? <BookVisit clientId={client.id} onBooked={() => setBooking(false)} /> : null}
      {client.visits.length === 0 ? <Body color="$inkSoft">{msg`None booked.`}</Body> : null}
      {client.visits.map((visit) => (
        <Row
          key={visit.id}
          title={msg`${dayAndDistance(visit.date)}: ${term(visit.kind)} at ${hourInWords(visit.startsAt)}${visit.place ? `, ${visit.place}` : ''}`}
          detail={stateInWords(visit)}
          onPress={mayEdit ? () => setOpen(visit) : undefined}
        />
      ))}
      {open ? <VisitDialog visit={open} onClose={() => setOpen(null)} /> : null}
    </Column>
  );
}
