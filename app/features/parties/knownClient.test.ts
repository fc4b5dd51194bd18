import { clientNamed, knownClient } from './knownClient';

let mockClients: readonly { readonly id: string; readonly name: string }[] = [];
let mockOffline = false;
jest.mock('../../data/call', () => ({
  call: (name: string, asked: { params?: { id: string }; query?: { query: string } }) => {
    if (mockOffline) return Promise.reject(new Error('no network'));
    if (name === 'client') return Promise.resolve({ id: asked.params!.id, consult: {} });
    // The server finds by parts of a name.
    const words = asked.query!.query.toLowerCase().split(' ');
    return Promise.resolve(
      mockClients.filter((one) => words.some((word) => one.name.toLowerCase().includes(word))),
    );
  },
}));
beforeEach(() => {
  mockOffline = false;
  mockClients = [
    { id: '1', name: 'Otis Bram' },
    { id: '2', name: 'Otis Bramley' },
    { id: '3', name: 'Ada Lund' },
    { id: '4', name: 'ada lund' },
  ];
});

test.each([
  ['Otis Bram', '1'],
  ['otis  BRAM', '1'],
  ['Bram, Otis', '1'],
  // Part of a name is nobody's; two of one name are to be asked about.
  ['Otis', null],
  ['Ada Lund', null],
  ['Nobody Here', null],
])('%s is the client %s', async (name, id) => {
  expect((await clientNamed(name, new Set()))?.id ?? null).toBe(id);
});

test('who is on the list already is not taken twice, and nobody where it cannot be asked', async () => {
  expect(await clientNamed('Otis Bram', new Set(['1']))).toBeNull();
  mockOffline = true;
  expect(await clientNamed('Otis Bram', new Set())).toBeNull();
  expect(await knownClient({ id: '1', name: 'Otis Bram' })).toEqual({ id: '1', name: 'Otis Bram' });
});
