import { useEffect } from 'react';
import useSWR, { useSWRConfig } from 'swr';
import {
  pathTo,
  type ChartAnswer,
  type ClientAnswer,
  type ClientSummary,
  type KitAnswer,
  type LedgerAnswer,
  type LookAnswer,
  type LookSummary,
  type PaletteAnswer,
  type PartyAnswer,
  type PartySummary,
  type ProductUsesAnswer,
  type RouteName,
  type SessionAnswer,
  type ShareAnswer,
  type StudioSettingsAnswer,
  type TimingsAnswer,
  type TodayAnswer,
} from '@toile/contract';
import type { Remote } from '../ui';
import { call } from './call';

/** One definition for every read: the path is the key, the route the fetcher. `null` params wait. */
function useRead<T>(
  name: RouteName,
  params: Readonly<Record<string, string>> | null = {},
  query: Readonly<Record<string, string | undefined>> = {},
  keep = false,
): Remote<T> {
  const key = params === null ? null : pathTo(name, params, query);
  const { data, error, mutate } = useSWR<T, Error>(key, () => call<T>(name, { params: params ?? {}, query }), { keepPreviousData: keep });
  return { data, error, retry: () => void mutate() };
}

export const useSession = (): Remote<SessionAnswer> => useRead('session');
/** Today, by the device's days unless the studio keeps to a zone. */
export const useToday = (): Remote<TodayAnswer> => useRead('today', {}, { zone: Intl.DateTimeFormat().resolvedOptions().timeZone });
export const useClients = (query: string): Remote<ClientSummary[]> => useRead('listClients', {}, { query }, true);
export const useClient = (id: string): Remote<ClientAnswer> => useRead('client', id === '' ? null : { id });
export const useLooks = (): Remote<LookSummary[]> => useRead('listLooks');
export const useLook = (id: string | null, version?: string): Remote<LookAnswer> => useRead('look', id === null ? null : { id }, { version });
export const useKit = (): Remote<KitAnswer> => useRead('kit');
export const usePalettes = (): Remote<PaletteAnswer[]> => useRead('listPalettes');
export const useTimings = (): Remote<TimingsAnswer> => useRead('timings');
/** The studio's settings; asked for only once someone is signed in. */
export const useStudioSettings = (signedIn = true): Remote<StudioSettingsAnswer> => useRead('studioSettings', signedIn ? {} : null);
export const useLedger = (unitId: string | null): Remote<LedgerAnswer> => useRead('unitLedger', unitId === null ? null : { id: unitId });
export const useProductUses = (id: string): Remote<ProductUsesAnswer> => useRead('productUses', { id });
export const useShares = (chartId: string): Remote<ShareAnswer[]> => useRead('listShares', { id: chartId });
/** A chart; no id asks nothing. */
export const useChart = (id: string, version?: string): Remote<ChartAnswer> => useRead('chart', id === '' ? null : { id }, { version });
export const useParties = (): Remote<PartySummary[]> => useRead('listParties');
export const useParty = (id: string): Remote<PartyAnswer> => useRead('party', { id });

/** Asks for a chart again whenever the studio says that something was recorded or saved, on whichever device. */
export function useFollowed(chartId: string): void {
  const { mutate } = useSWRConfig();
  useEffect(() => {
    if (typeof EventSource === 'undefined') return;
    const line = new EventSource(pathTo('liveChart', { id: chartId }));
    line.addEventListener('changed', () => void mutate(pathTo('chart', { id: chartId })));
    return () => line.close();
  }, [chartId, mutate]);
}

/** Puts what a write answered where its reads look, and lets the rest be asked again. */
export function useRefresh(): (written?: { name: RouteName; params: Readonly<Record<string, string>>; answer: unknown }) => Promise<void> {
  const { mutate } = useSWRConfig();
  return async (written) => {
    const own = written ? pathTo(written.name, written.params) : null;
    if (written && own) await mutate(own, written.answer, { revalidate: false });
    // Asked again where it stands: what is shown stays until the new answer is here.
    await mutate((key) => typeof key === 'string' && key !== own && key !== pathTo('session'));
  };
}
