import { act, renderHook, waitFor } from '@testing-library/react';
import { useForm } from 'react-hook-form';
import { draftsBelongTo, dropAllForms } from './drafts';
import { useDraft, useFormDraft } from './useDraft';

type Form = { readonly name: string; readonly note: string };
const EMPTY: Form = { name: '', note: '' };
const type = (): void => {
  const { result } = open();
  act(() => result.current.set({ name: 'Ilse', note: '' }));
};
const open = (name = 'new client') => renderHook(() => useDraft(name, () => EMPTY));

beforeEach(() => {
  localStorage.clear();
  draftsBelongTo('nobody@post.example');
  draftsBelongTo('ada@post.example');
});

describe('a form’s draft', () => {
  test('begins as given, and is taken up where it was left', () => {
    const first = open();
    expect(first.result.current).toMatchObject({ value: EMPTY, taken: false });
    act(() => first.result.current.set({ name: 'Ilse', note: '' }));
    act(() => first.result.current.set((form) => ({ ...form, note: 'left-handed' })));
    first.unmount();
    expect(open().result.current).toMatchObject({
      value: { name: 'Ilse', note: 'left-handed' },
      taken: true,
    });
    expect(open('client 7').result.current).toMatchObject({ value: EMPTY, taken: false });
  });

  test('is gone once it was saved, and as at first when it is not wanted', () => {
    const form = open();
    act(() => form.result.current.set({ name: 'Ilse', note: '' }));
    act(() => form.result.current.drop());
    expect(form.result.current.value.name).toBe('Ilse');
    expect(open().result.current.taken).toBe(false);

    act(() => form.result.current.set({ name: 'Ilse', note: '' }));
    const again = open();
    act(() => again.result.current.anew());
    expect(again.result.current).toMatchObject({ value: EMPTY, taken: false });
    expect(open().result.current.taken).toBe(false);
  });

  test('of a form that had fewer fields begins the new ones as they would', () => {
    localStorage.setItem('toile.draft.form.ada@post.example.new client', '{"name":"Ilse"}');
    expect(open().result.current.value).toEqual({ name: 'Ilse', note: '' });
  });

  test('is for whoever wrote it: nobody who comes after finds it, and signing out leaves none', () => {
    localStorage.setItem('toile.theme', 'dark');
    type();
    draftsBelongTo('ada@post.example');
    expect(open().result.current.taken).toBe(true);
    draftsBelongTo('bo@post.example');
    expect(open().result.current).toMatchObject({ value: EMPTY, taken: false });
    draftsBelongTo('ada@post.example');
    expect(open().result.current.taken).toBe(false);
    type();
    dropAllForms();
    expect(Object.keys(localStorage)).toEqual(['toile.theme']);
  });
});

test('a form with fields of its own is kept as it is typed, taken up, and begun anew', async () => {
  const openForm = () =>
    renderHook(() => {
      const form = useForm<Form>({ defaultValues: EMPTY });
      return { form, draft: useFormDraft('new client', form) };
    });
  const first = openForm();
  expect(first.result.current.draft.taken).toBe(false);
  act(() => first.result.current.form.setValue('name', 'Ilse'));
  first.unmount();
  const second = openForm();
  await waitFor(() => expect(second.result.current.form.getValues()).toEqual({ name: 'Ilse', note: '' }));
  expect(second.result.current.draft.taken).toBe(true);
  act(() => second.result.current.draft.anew());
  expect(second.result.current.form.getValues()).toEqual(EMPTY);
  expect(second.result.current.draft.taken).toBe(false);
  second.unmount();
  expect(openForm().result.current.draft.taken).toBe(false);
});
