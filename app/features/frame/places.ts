import { messagesIn } from '@toile/core';
import { ClientsIcon, KitIcon, LooksIcon, PartiesIcon, TodayIcon } from '../../ui';

/** The five places, in the order of the day. */
export const PLACES = messagesIn(['label'], [
  { path: '/', label: 'Today', Icon: TodayIcon },
  { path: '/clients', label: 'Clients', Icon: ClientsIcon },
  { path: '/looks', label: 'Looks', Icon: LooksIcon },
  { path: '/kit', label: 'Kit', Icon: KitIcon },
  { path: '/parties', label: 'Parties', Icon: PartiesIcon },
] as const);

/** Which place an address belongs to; charts belong to their client. */
export function placeOf(path: string): string {
  if (path.startsWith('/charts')) return '/clients';
  const found = PLACES.find((p) => p.path !== '/' && path.startsWith(p.path));
  return found?.path ?? '/';
}
