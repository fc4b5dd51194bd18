import { newId, type PhotographInput } from '@toile/contract';
import { inStudio } from '../src/db/connection';
import { demo, keyed, type TestServer } from './testServer';

/**
 * The first bytes of a JPEG of some size, which is all that is looked at here; with or without what a camera
 * writes about itself.
 */
export function jpeg({ width = 1200, height = 1600, exif = false, padding = 0 } = {}): Buffer {
  const word = (n: number): number[] => [n >> 8, n & 0xff];
  return Buffer.from([
    ...[0xff, 0xd8],
    ...(exif ? [0xff, 0xe1, ...word(10), 0x45, 0x78, 0x69, 0x66, 0, 0, 0, 0] : []),
    ...[0xff, 0xc0, ...word(17), 8, ...word(height), ...word(width), 3, ...new Array<number>(9).fill(1)],
    ...[0xff, 0xda, ...word(12), 3, ...new Array<number>(9).fill(1)],
    ...new Array<number>(padding).fill(0),
    ...[0xff, 0xd9],
  ]);
}

export const photographOf = (more: Partial<PhotographInput> = {}): PhotographInput => ({
  id: newId(),
  at: '2031-05-14T07:30:00Z',
  light: 'daylight',
  taps: { pupil_right: [420.5, 600], pupil_left: [780, 604], gnathion: [600, 1240] },
  bare: [600, 1500],
  picture: jpeg().toString('base64'),
  ...more,
});

/** The studio keeps photographs from now on, and the client of a chart agreed to them. */
export async function agreedTo(server: TestServer, clientId: string): Promise<void> {
  const owner = await server.signedIn('owner');
  const { settings, revision } = (await owner.get('/api/settings').expect(200)).body as {
    settings: object;
    revision: number;
  };
  await owner
    .put('/api/settings')
    .set({ ...keyed(), 'if-match': `"${revision}"` })
    .send({ ...settings, keepsPhotographs: true })
    .expect(200);
  await inStudio(server.db, demo.studio.id, (tx) =>
    tx
      .updateTable('clients')
      .set({ consult: JSON.stringify({ photos: 'for the studio alone' }) })
      .where('id', '=', clientId)
      .execute(),
  );
}

/** One photograph of a chart that is kept. */
export async function keepOne(
  server: TestServer,
  chart: { readonly id: string; readonly client: { readonly id: string } },
  more: Partial<PhotographInput> = {},
): Promise<PhotographInput> {
  await agreedTo(server, chart.client.id);
  const owner = await server.signedIn('owner');
  const sent = photographOf(more);
  await owner.post(`/api/charts/${chart.id}/photographs`).set(keyed()).send(sent).expect(201);
  return sent;
}
