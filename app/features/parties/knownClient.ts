import type { ClientAnswer } from '@toile/contract';
import { call } from '../../data/call';
import { sameName } from '../clients/sameName';

type Named = { readonly id: string; readonly name: string };

/** A client with what a party's list asks of them; without a network no more than the name. */
export const knownClient = (client: Named): Promise<ClientAnswer | Named> =>
  call('client', { params: { id: client.id } }).catch(() => client);

/**
 * The one client who has a name, as people write it; null where nobody has, where two have, or where it
 * cannot be asked.
 */
export async function clientNamed(name: string, onList: ReadonlySet<string>): Promise<ClientAnswer | null> {
  try {
    const found = await call('listClients', { query: { query: name } });
    const same = found.filter((client) => sameName(client.name, name));
    const [one] = same;
    if (!one || same.length > 1 || onList.has(one.id)) return null;
    return await call('client', { params: { id: one.id } });
  } catch {
    return null;
  }
}
