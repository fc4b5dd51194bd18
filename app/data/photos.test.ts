import {
  dropIfRefused,
  dropPhoto,
  dropPhotos,
  dropPhotosOf,
  keepPhoto,
  keepTracing,
  photosBelongTo,
  photosOf,
  tracingOf,
  type Photo,
} from './photos';

const photo = (clientId: string, chartId: string, id: string, at = '2031-05-14T09:00:00Z'): Photo => ({
  id,
  clientId,
  chartId,
  at,
  light: 'daylight',
  blob: new Blob(['x']),
  taps: { pupil_right: [0, 0], pupil_left: [60, 0], gnathion: [30, 100] },
  bare: null,
});
const kept = async (clientId: string, chartId: string): Promise<string[]> =>
  (await photosOf({ clientId, id: chartId })).map(({ id }) => id);

beforeEach(async () => {
  await dropPhotos();
  await keepPhoto(photo('ada', 'one', 'a', '2031-05-14T09:00:00Z'));
  await keepPhoto(photo('ada', 'one', 'b', '2031-05-15T09:00:00Z'));
  await keepPhoto(photo('ada', 'two', 'c'));
  await keepPhoto(photo('adam', 'one', 'd'));
  await keepTracing('ada', new Blob(['face']));
});

test('a chart has its own, the newest first; the picture a face was traced on is none of them', async () => {
  expect(await kept('ada', 'one')).toEqual(['b', 'a']);
  expect(await kept('ada', 'two')).toEqual(['c']);
  expect(await kept('nobody', 'one')).toEqual([]);
  await dropPhoto({ clientId: 'ada', id: 'a' });
  expect(await kept('ada', 'one')).toEqual(['b']);
});

test('of a client that is erased all go, the traced one too, and nobody else’s', async () => {
  await dropPhotosOf('ada');
  expect([...(await kept('ada', 'one')), ...(await kept('ada', 'two'))]).toEqual([]);
  expect(await tracingOf('ada')).toBeUndefined();
  // A name that begins alike is another.
  expect(await kept('adam', 'one')).toEqual(['d']);
});

test('they go where photographs are refused, and stay whatever else is said', async () => {
  for (const said of [undefined, 'for the studio alone', 'may be shown'] as const) {
    await dropIfRefused('ada', said);
    expect(await kept('ada', 'one')).toEqual(['b', 'a']);
  }
  await dropIfRefused('ada', 'none');
  expect([...(await kept('ada', 'one')), ...(await kept('ada', 'two'))]).toEqual([]);
  expect(await kept('adam', 'one')).toEqual(['d']);
});

test('whoever signs in again keeps them, whoever else signs in finds none', async () => {
  await photosBelongTo('ines@reed.example');
  await keepPhoto(photo('ada', 'one', 'e'));
  await photosBelongTo('ines@reed.example');
  expect(await kept('ada', 'one')).toEqual(['e']);
  await photosBelongTo('runa@reed.example');
  expect(await kept('ada', 'one')).toEqual([]);
  await keepPhoto(photo('ada', 'one', 'f'));
  await photosBelongTo('ines@reed.example');
  expect(await kept('ada', 'one')).toEqual([]);
});

test('a device that keeps nothing holds up neither signing in or out nor erasing', async () => {
  jest.resetModules();
  const none = jest.spyOn(indexedDB, 'open').mockImplementation(() => {
    throw new DOMException('no storage here', 'SecurityError');
  });
  const without = jest.requireActual<typeof import('./photos')>('./photos');
  await expect(without.photosBelongTo('ines@reed.example')).resolves.toBeUndefined();
  await expect(without.dropPhotos()).resolves.toBeUndefined();
  await expect(without.dropPhotosOf('ada')).resolves.toBeUndefined();
  await expect(without.keepPhoto(photo('ada', 'one', 'x'))).rejects.toThrow('no storage here');
  none.mockRestore();
});
