import { useEffect } from 'react';
import useSWR, { useSWRConfig } from 'swr';
import {
  addressOf,
  pathTo,
  ROUTES,
  type AnswerOf,
  type ParamsOf,
  type QueryOf,
  type ReadName,
  type SessionAnswer,
} from '@toile/contract';
import type { Remote } from '../ui';
import { readAt } from './call';
import { deviceZone } from './deviceZone';
import { useShown } from './shown';

/** One definition for every read: the path is the key, the route the fetcher. `null` params wait. */
function useRead<N extends ReadName>(
  name: N,
  params: ParamsOf<N> | null,
  query?: QueryOf<N>,
  keep = false,
): Remote<AnswerOf<N>> {
  const key = params === null ? null : addressOf(ROUTES[name].path, params, query);
  useShown(key);
  const { data, error, mutate } = useSWR<AnswerOf<N>, Error>(key, () => readAt(name, params, query), {
    keepPreviousData: keep,
  });
  return { data, error, retry: () => void mutate() };
}

/** Whether this installation waits to be set up. */
export const useSetUpState = () => useRead('setUpState', {});
/** Whether somebody is signed in: null when nobody is. */
export const useWhoIsIn = () => useRead('session', {});
/** Who is signed in, for all that stands behind the door: there is always somebody. */
export function useSession(): Remote<SessionAnswer> {
  const { data, ...others } = useWhoIsIn();
  return { ...others, data: data ?? undefined };
}
/** Today, by the device's days unless the studio keeps to a zone. */
export const useToday = () => useRead('today', {}, { zone: deviceZone() });
export const useClients = (query: string) => useRead('listClients', {}, { query }, true);
export const useClient = (id: string) => useRead('client', id === '' ? null : { id });
/** First talks by link; no id asks nothing. */
export const useIntakes = (clientId: string) =>
  useRead('listIntakes', clientId === '' ? null : { id: clientId });
export const useErasure = (clientId: string) => useRead('erasure', { id: clientId });
export const useCalendarFeed = () => useRead('calendarFeed', {});
export const useLooks = () => useRead('listLooks', {});
export const useLook = (id: string | null, version?: string) =>
  useRead('look', id === null ? null : { id }, { version });
export const useKit = () => useRead('kit', {});
export const usePalettes = () => useRead('listPalettes', {});
export const useTimings = () => useRead('timings', {});
export const useTeam = () => useRead('team', {});
/** Where one is signed in oneself. */
export const useDevices = () => useRead('devices', {});
/** Who did what: of one account or of all, from the newest or behind a line already seen. */
export const useAudit = (by: string, before: string) => useRead('audit', {}, { by, before });
/** The studio's settings; asked for only once someone is signed in. */
export const useStudioSettings = (signedIn = true) => useRead('studioSettings', signedIn ? {} : null);
export const useLedger = (unitId: string | null) =>
  useRead('unitLedger', unitId === null ? null : { id: unitId });
export const useProductUses = (id: string) => useRead('productUses', { id });
export const useShares = (chartId: string) => useRead('listShares', { id: chartId });
/** A chart; no id asks nothing. */
export const useChart = (id: string, version?: string) =>
  useRead('chart', id === '' ? null : { id }, { version });
export const useParties = () => useRead('listParties', {});
/** A party; no id asks nothing. */
export const useParty = (id: string) => useRead('party', id === '' ? null : { id });
/** A party's day as it goes. */
export const usePartyLog = (id: string) => useRead('partyLog', { id });
/** How a chart wore, and the studio's wears to judge it by. */
export const useChartWear = (id: string) => useRead('chartWear', { id });
/** What the studio keeps of a chart's photographs. */
export const usePhotographs = (chartId: string) => useRead('photographs', { id: chartId });
/** The half-face trials of a chart; no id asks nothing. */
export const useChartTrials = (id: string) => useRead('chartTrials', { id });
export const useTrial = (id: string) => useRead('trial', { id });
/** The studio’s questions, with what their trials say. */
export const useQuestions = () => useRead('trialQuestions', {});
export const useCompacts = (chartId: string) => useRead('listCompacts', { id: chartId });
export const useLessonLinks = (chartId: string) => useRead('listLessonLinks', { id: chartId });
/** One’s own practice, the week’s skill, and what others share. */
export const usePractice = () => useRead('practice', {}, { zone: deviceZone() });
/** What the studio’s evidence says, a client’s own apart; no client asks of the studio. */
export const useLearned = (client: string | null) =>
  useRead('learned', {}, client === null ? {} : { client });
/** Every first wear of the studio. */
export const useStudioWear = () => useRead('studioWear', {});
/** Visits of past parties as planned and as they went. */
export const useVisitMinutes = (today: string) => useRead('visitMinutes', {}, { today });
export const useSheetLinks = (partyId: string) => useRead('listSheetLinks', { id: partyId });
export const usePacking = (id: string, today: string) => useRead('partyPacking', { id }, { today });

/**
 * Asks for a chart again whenever the studio says that something was recorded or saved, on whichever device.
 */
export const useFollowed = (chartId: string): void =>
  useLine(pathTo('liveChart', { id: chartId }), [pathTo('chart', { id: chartId })]);

/** The same of a party: what is told of its day, its packing, and at its chairs. */
export const usePartyFollowed = (partyId: string): void =>
  useLine(pathTo('liveParty', { id: partyId }), [
    pathTo('party', { id: partyId }),
    pathTo('partyLog', { id: partyId }),
  ]);

/**
 * Asks for what it is about again whenever a line says that something has changed, and when it is open again.
 */
function useLine(address: string, about: readonly string[]): void {
  const { mutate } = useSWRConfig();
  const asked = about.join(' ');
  useEffect(() => {
    if (typeof EventSource === 'undefined') return;
    const line = new EventSource(address);
    const askAgain = (): void => asked.split(' ').forEach((key) => void mutate(key));
    line.addEventListener('changed', askAgain);
    // What was told while the line was down was told to nobody here.
    let before = false;
    line.addEventListener('open', () => {
      if (before) askAgain();
      before = true;
    });
    return () => line.close();
  }, [address, asked, mutate]);
}

/** What a write answered, as the read it belongs to would have it. */
type Written = {
  [N in ReadName]: { readonly name: N; readonly params: ParamsOf<N>; readonly answer: AnswerOf<N> };
}[ReadName];

/** Puts what a write answered where its reads look, and lets the rest be asked again. */
export function useRefresh(): (written?: Written) => Promise<void> {
  const { mutate } = useSWRConfig();
  return async (written) => {
    const own = written ? addressOf(ROUTES[written.name].path, written.params) : null;
    if (written && own) await mutate(own, written.answer, { revalidate: false });
    // Asked again where it stands: what is shown stays until the new answer is here.
    await mutate((key) => typeof key === 'string' && key !== own && key !== pathTo('session'));
  };
}
