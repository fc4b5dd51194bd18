import { useRouter } from 'expo-router';
import { useState } from 'react';
import { msg, plural, type Chart, type Kit, type Look } from '@toile/core';
import type { PartyAnswer } from '@toile/contract';
import { call, CallError } from '../../data/call';
import {
  useClients,
  useKit,
  useLook,
  useParty,
  useRefresh,
  useSession,
  useStudioSettings,
} from '../../data/hooks';
import {
  Body,
  Button,
  Column,
  Field,
  Line,
  Progress,
  Ready,
  Screen,
  Subheading,
  Switch,
  useWide,
  View,
} from '../../ui';
import { OccasionCard } from '../occasion/OccasionCard';
import { occasionErrors } from '../occasion/occasionView';
import { bodyOf } from '../parties/partyView';
import { occasionOf, withoutChart, withSavedCharts } from '../parties/partyLooks';
import { fitOne, type FittedClient } from './fitOne';
import { FittedFace } from './FittedFace';

/**
 * One look on several clients at once, their faces side by side, each with what was moved and why; of a
 * party, on those of its people who have no chart yet, and for its day.
 */
export function FitSeveralScreen({ id, partyId }: { readonly id: string; readonly partyId: string }) {
  const look = useLook(id);
  const party = useParty(partyId);
  const kit = useKit();
  const router = useRouter();
  if (look.data && kit.data && (partyId === '' || party.data))
    return <FitSeveral look={look.data.look} kit={kit.data} party={party.data ?? null} />;
  return (
    <Screen title={msg`Fit to several`} onBack={() => router.navigate(`/looks/${id}`)}>
      <Ready remote={look}>{() => <Ready remote={kit}>{() => null}</Ready>}</Ready>
    </Screen>
  );
}

type FitSeveralProps = { readonly look: Look; readonly kit: Kit; readonly party: PartyAnswer | null };

function FitSeveral({ look, kit, party }: FitSeveralProps) {
  const router = useRouter();
  const refresh = useRefresh();
  const session = useSession();
  const settings = useStudioSettings();
  const wide = useWide();
  const [query, setQuery] = useState('');
  const clients = useClients(query);
  const [chosen, setChosen] = useState<readonly { readonly id: string; readonly name: string }[]>(() =>
    party ? withoutChart(party) : [],
  );
  const [occasion, setOccasion] = useState(() => occasionOf(party));
  const [fitted, setFitted] = useState<readonly FittedClient[]>([]);
  const [share, setShare] = useState<number | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  const unsaved = fitted.filter((f) => f.fitted && !f.savedAs);

  const fit = async (): Promise<void> => {
    if (occasionErrors(occasion).date) return;
    setFailure(null);
    setFitted([]);
    for (const [i, { id, name }] of chosen.entries()) {
      setShare(i / chosen.length);
      try {
        const client = await call('client', { params: { id } });
        const one = await fitOne(
          look,
          client,
          kit,
          occasion,
          session.data?.name ?? '',
          settings.data?.settings.schools ?? {},
        );
        setFitted((all) => [...all, one]);
      } catch (error) {
        const stops =
          error instanceof CallError ? error.message : msg`The client could not be fetched. Try again.`;
        setFitted((all) => [...all, { clientId: id, name, fitted: null, stops, savedAs: null }]);
      }
    }
    setShare(null);
  };
  const save = async (): Promise<void> => {
    setFailure(null);
    const saved = new Map<string, Chart>();
    for (const one of unsaved) {
      if (!one.fitted) continue;
      const { chart } = one.fitted;
      try {
        const visitId =
          party?.visits.find((visit) => visit.clientId === one.clientId && visit.state !== 'cancelled')?.id ??
          null;
        await call('createChart', { body: { chart, visitId }, idempotencyKey: `chart-${chart.id}` });
        saved.set(one.clientId, chart);
        setFitted((all) => all.map((f) => (f.clientId === one.clientId ? { ...f, savedAs: chart.id } : f)));
      } catch (error) {
        setFailure(`${one.name}: ${error instanceof CallError ? error.message : msg`not saved. Try again.`}`);
        break;
      }
    }
    if (party && saved.size > 0) await giveToParty(saved);
    await refresh();
  };
  /** Their charts and minutes into the party's plan; a timetable of other minutes holds no longer. */
  const giveToParty = async (saved: ReadonlyMap<string, Chart>): Promise<void> => {
    if (!party) return;
    try {
      const now = await call('party', { params: { id: party.id } });
      if (!now.plan) return;
      const plan = withSavedCharts(now.plan, saved);
      await call('updateParty', { params: { id: now.id }, revision: now.revision, body: bodyOf(now, plan) });
    } catch (error) {
      const why = error instanceof CallError ? error.message : msg`Try again.`;
      setFailure(msg`The charts are saved, but the party does not know of them yet. ${why}`);
    }
  };

  return (
    <Screen
      title={msg`Fit to several`}
      above={party ? `${look.name} · ${party.name}` : look.name}
      onBack={() => router.navigate(party ? `/parties/${party.id}` : `/looks/${look.id}`)}
      foot={
        <Column gap="$2">
          {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
          {unsaved.length > 0 && share === null ? (
            <Line flexWrap="nowrap">
              <Button large onPress={() => void fit()}>{msg`Fit again`}</Button>
              <Button kind="main" large grow onPress={() => void save()}>
                {msg`Save ${plural(unsaved.length)`${unsaved.length} chart|${unsaved.length} charts`}`}
              </Button>
            </Line>
          ) : (
            <Button
              kind="main"
              large
              disabled={chosen.length === 0 || share !== null}
              onPress={() => void fit()}
            >
              {chosen.length === 0 ? msg`Choose who` : msg`Fit to ${chosen.length}`}
            </Button>
          )}
        </Column>
      }
    >
      <Column gap="$4">
        <OccasionCard value={occasion} onChange={setOccasion} />
        <Column gap="$1">
          <Subheading>
            {chosen.length === 0 ? msg`For whom` : msg`For ${chosen.map((c) => c.name).join(', ')}`}
          </Subheading>
          <Field label={msg`Find a client`} value={query} onChange={setQuery} />
          <Ready remote={clients}>
            {(list) => (
              <Column gap={0}>
                {list.slice(0, wide ? 12 : 7).map(({ id, name }) => {
                  const on = chosen.some((c) => c.id === id);
                  return (
                    <Switch
                      key={id}
                      label={name}
                      on={on}
                      onToggle={() =>
                        setChosen((all) => (on ? all.filter((c) => c.id !== id) : [...all, { id, name }]))
                      }
                    />
                  );
                })}
              </Column>
            )}
          </Ready>
        </Column>
        {share !== null ? (
          <Progress words={msg`Placing the look and matching the kit`} share={share} />
        ) : null}
        <View flexDirection="row" flexWrap="wrap" gap="$3" role="list" aria-label={msg`Fitted faces`}>
          {fitted.map((one) => (
            <View key={one.clientId} width={wide ? '31%' : '100%'} role="listitem">
              <FittedFace one={one} onOpen={(path) => router.navigate(path)} />
            </View>
          ))}
        </View>
      </Column>
    </Screen>
  );
}
