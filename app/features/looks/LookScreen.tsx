import { useLocalSearchParams, useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import {
  msg,
  plural,
  PLAIN_FEATURES,
  schoolsInWords,
  stepsOfVariant,
  TEMPLATE,
  term,
  type Look,
} from '@toile/core';
import { may, pathTo, type LookAnswer } from '@toile/contract';
import { call } from '../../data/call';
import { useClient, useClients, useLook, useRefresh, useSession } from '../../data/hooks';
import { useSaving } from '../../data/useSaving';
import {
  Body,
  Button,
  Choice,
  Column,
  Field,
  Judged,
  Label,
  Line,
  Menu,
  Ready,
  Row,
  Screen,
  Subheading,
  useWide,
  View,
} from '../../ui';
import { landmarksFor } from '../clients/snapshot';
import { FaceStage } from '../face/FaceStage';
import { Notch } from '../face/Notch';
import { dayInWords } from '../words/dates';
import { capital } from '../words/capital';
import { forbidsInWords } from './lookForm';
import { LookDepths } from './LookDepths';
import { WithOurKit } from './WithOurKit';
import { layerOn } from './lookLayers';
import { wishInWords } from './wishInWords';

/** One look on the pattern face, with its steps. */
export function LookScreen({ id }: { readonly id: string }) {
  const { version } = useLocalSearchParams<{ version?: string }>();
  const look = useLook(id, version);
  const session = useSession();
  const edits = session.data !== undefined && may(session.data.role, 'edit');
  const router = useRouter();
  return (
    <Screen
      title={look.data?.look.name ?? msg`Look`}
      above={look.data ? msg`Version ${look.data.look.version} by ${look.data.look.author}` : undefined}
      onBack={() => router.navigate('/looks')}
    >
      <Ready remote={look}>
        {(data) => (
          <LookView answer={data} edits={edits && data.versions[0]?.version === data.look.version} />
        )}
      </Ready>
    </Screen>
  );
}

function LookView({
  answer: { look, versions, retired },
  edits,
}: {
  readonly answer: LookAnswer;
  readonly edits: boolean;
}) {
  const wide = useWide();
  const router = useRouter();
  const [variant, setVariant] = useState<string | null>(null);
  const [depths, setDepths] = useState(false);
  const { ours: asked } = useLocalSearchParams<{ ours?: string }>();
  const [ours, setOurs] = useState(asked !== undefined);
  const refresh = useRefresh();
  const { failure, save: keep } = useSaving();
  const retire = (next: boolean): Promise<unknown> =>
    keep(async () => {
      const answer = await call('retireLook', { params: { id: look.id }, body: { retired: next } });
      await refresh({ name: 'look', params: { id: look.id }, answer });
    });
  const [on, setOn] = useState<{ readonly id: string; readonly name: string } | null>(null);
  const client = useClient(on?.id ?? '');
  const face = useMemo(
    () =>
      client.data
        ? { landmarks: landmarksFor(client.data), features: client.data.features }
        : { landmarks: TEMPLATE, features: PLAIN_FEATURES },
    [client.data],
  );
  const steps = useMemo(() => stepsOfVariant(look.steps, variant), [look, variant]);
  const layers = useMemo(() => steps.flatMap((step) => layerOn(step, face)), [steps, face]);
  return (
    <View flexDirection={wide ? 'row' : 'column'} gap="$5">
      <Column flex={wide ? 1 : undefined} gap="$3">
        <Judged padding={0}>
          <FaceStage
            landmarks={face.landmarks}
            features={face.features}
            layers={layers}
            height={wide ? 520 : 360}
            label={msg`${look.name} on ${client.data?.name ?? msg`the pattern face`}`}
          />
        </Judged>
        <Line>
          <Button
            kind="main"
            onPress={() => router.navigate(`/looks/${look.id}/fit`)}
          >{msg`Fit to several`}</Button>
          {edits ? <Button href={`/looks/${look.id}/edit`}>{msg`Edit`}</Button> : null}
          <Button onPress={() => setDepths(!depths)}>
            {depths ? msg`Put the three skins away` : msg`On three skins`}
          </Button>
          <Button onPress={() => setOurs(!ours)}>{ours ? msg`Put our kit away` : msg`With our kit`}</Button>
          <Menu
            label={msg`More of this look`}
            items={[
              ...(edits
                ? [{ words: msg`Begin another look from it`, href: `/looks/new?from=${look.id}` }]
                : []),
              {
                words: msg`Export as a file`,
                onPress: () =>
                  window.location.assign(
                    pathTo('exportLook', { id: look.id }, { version: String(look.version) }),
                  ),
              },
              ...(edits
                ? [
                    {
                      words: retired ? msg`Propose it again` : msg`Propose it no longer`,
                      onPress: () => void retire(!retired),
                    },
                  ]
                : []),
            ]}
          />
        </Line>
        {retired ? (
          <Body color="$weld">{msg`▲ No longer proposed. Charts made of it stay as they are.`}</Body>
        ) : null}
        {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
        {ours ? <WithOurKit look={look} clientId={on?.id ?? null} /> : null}
        {depths ? <LookDepths look={look} steps={steps} /> : null}
        {look.variants.length > 0 ? (
          <Choice
            label={msg`Variant`}
            options={['as planned', ...look.variants.map((v) => v.id)]}
            words={Object.fromEntries(look.variants.map((v) => [v.id, v.name]))}
            chosen={[variant ?? 'as planned']}
            onChange={([v]) => setVariant(v === undefined || v === 'as planned' ? null : v)}
          />
        ) : null}
        <OnClient on={on} onChoose={setOn} />
        <Body>{look.description}</Body>
        {look.tags.length > 0 ? <Label>{look.tags.join(' · ')}</Label> : null}
        <Label>{capital(schoolsInWords(look.schools))}</Label>
        {forbidsInWords(look.forbids) !== '' ? (
          <Body color="$weld">{`▲ ${capital(forbidsInWords(look.forbids))}.`}</Body>
        ) : null}
        <Versions look={look} versions={versions} />
      </Column>
      <Column flex={wide ? 1 : undefined} gap="$2">
        <Subheading>{plural(steps.length)`one step|${steps.length} steps`}</Subheading>
        {look.steps.map((step, i) => (
          <Line
            key={step.id}
            flexWrap="nowrap"
            alignItems="flex-start"
            borderTopWidth={1}
            borderTopColor="$line"
          >
            <Notch kind={step.role} number={i + 1} />
            <Column gap={0} flex={1} paddingVertical="$2">
              <Body>
                {[step.title, step.variant ? '(variant)' : null, step.optional ? msg`(if wanted)` : null]
                  .filter(Boolean)
                  .join(' ')}
              </Body>
              <Label>
                {[
                  wishInWords(step),
                  step.tool === 'none' ? null : term(step.tool),
                  msg`${step.handsOnMinutes} min`,
                ]
                  .filter(Boolean)
                  .join(' · ')}
              </Label>
            </Column>
          </Line>
        ))}
      </Column>
    </View>
  );
}

type Chosen = { readonly id: string; readonly name: string };

/** Shows the look on a client instead of the pattern face. */
function OnClient({
  on,
  onChoose,
}: {
  readonly on: Chosen | null;
  readonly onChoose: (client: Chosen | null) => void;
}) {
  const [query, setQuery] = useState('');
  const clients = useClients(query);
  return (
    <Column gap="$1">
      {on ? (
        <Line>
          <Label flex={1}>{msg`Shown on ${on.name}; places only, no shades.`}</Label>
          <Button onPress={() => onChoose(null)}>{msg`The pattern face`}</Button>
        </Line>
      ) : (
        <Field label={msg`Show it on a client`} value={query} onChange={setQuery} placeholder={msg`A name`} />
      )}
      {query.trim() !== '' && !on ? (
        <Ready remote={clients}>
          {(list) =>
            list
              .slice(0, 5)
              .map(({ id, name }) => (
                <Row key={id} title={name} detail="" onPress={() => (onChoose({ id, name }), setQuery(''))} />
              ))
          }
        </Ready>
      ) : null}
    </Column>
  );
}

function Versions({ look, versions }: { readonly look: Look; readonly versions: LookAnswer['versions'] }) {
  const router = useRouter();
  if (versions.length < 2) return null;
  return (
    <Column gap="$1">
      <Subheading fontSize="$2">{msg`Versions`}</Subheading>
      {versions.map((v) => (
        <Button
          key={v.version}
          label={msg`Version ${v.version}`}
          onPress={() =>
            router.setParams({ version: v.version === versions[0]?.version ? undefined : String(v.version) })
          }
        >
          <Label
            color={v.version === look.version ? '$woad' : '$ink'}
          >{`${v.version === look.version ? '✓ ' : ''}${v.version} · ${v.author} · ${dayInWords(v.at)} · ${v.reason || msg`no reason given`}`}</Label>
        </Button>
      ))}
    </Column>
  );
}
