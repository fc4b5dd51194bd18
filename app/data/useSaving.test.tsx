import { act, renderHook } from '@testing-library/react';
import { unitInputSchema } from '@toile/contract';
import { CallError } from './call';
import { useSaving } from './useSaving';

const saving = () => renderHook(() => useSaving('Nothing is lost; try again.')).result;

test('busy while it saves, and gives what was saved', async () => {
  const result = saving();
  let arrive = (_: string): void => undefined;
  const coming = new Promise<string>((resolve) => (arrive = resolve));
  let saved: Promise<string | null> = Promise.resolve(null);
  act(() => void (saved = result.current.save(() => coming)));
  expect(result.current.busy).toBe(true);
  await act(async () => arrive('kept'));
  expect(await saved).toBe('kept');
  expect(result.current).toMatchObject({ busy: false, failure: null, errors: {} });
});

test.each([
  [
    'the studio’s words, and its fields',
    new CallError('Some fields need another look.', {
      type: '',
      code: 'bad-input',
      status: 422,
      title: '',
      fields: [{ path: 'place', message: 'At most 120 letters' }],
    }),
    { failure: 'Some fields need another look.', errors: { place: 'At most 120 letters' } },
  ],
  [
    'a fault nobody knows',
    new TypeError('x is undefined'),
    { failure: 'Nothing is lost; try again.', errors: {} },
  ],
])('%s', async (_what, error, told) => {
  const result = saving();
  let saved: unknown = 'not yet';
  await act(async () => void (saved = await result.current.save(() => Promise.reject(error))));
  expect(saved).toBeNull();
  expect(result.current).toMatchObject({ ...told, busy: false });
  act(() => result.current.clear());
  expect(result.current).toMatchObject({ failure: null, errors: {} });
});

test('fields that are wrong are told beside them, without a sentence over all', async () => {
  const result = saving();
  await act(
    async () =>
      void (await result.current.save(() =>
        unitInputSchema.validate({ remainingMg: -1 }, { abortEarly: false }),
      )),
  );
  expect(result.current.failure).toBeNull();
  expect(result.current.errors).toMatchObject({
    remainingMg: 'Not less than nothing',
    productId: 'Choose the product',
  });
});

test('what was told before is gone when it is tried again', async () => {
  const result = saving();
  await act(async () => void (await result.current.save(() => Promise.reject(new Error('x')))));
  await act(async () => void (await result.current.save(() => Promise.resolve(1))));
  expect(result.current.failure).toBeNull();
});
