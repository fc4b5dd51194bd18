import { useState } from 'react';
import { newPasswordSchema } from '@toile/contract';
import { msg } from '@toile/core';
import { call } from '../../data/call';
import { useSaving } from '../../data/useSaving';
import { Body, Button, Column, Dialog, Field } from '../../ui';

const EMPTY = { current: '', next: '' };

/** One’s own password: the one there is, and the next. Other devices are signed out by it. */
export function ChangePassword() {
  const [open, setOpen] = useState(false);
  const [done, setDone] = useState(false);
  const [form, setForm] = useState(EMPTY);
  const { busy, failure, errors, save, clear } = useSaving();
  const close = (): void => {
    setOpen(false);
    setForm(EMPTY);
    clear();
  };
  const change = async (): Promise<void> => {
    const saved = await save(async () =>
      call('changePassword', { body: await newPasswordSchema.validate(form, { abortEarly: false }) }),
    );
    if (!saved) return;
    close();
    setDone(true);
  };
  return (
    <Column gap="$2" alignItems="flex-start">
      <Button onPress={() => setOpen(true)}>{msg`Change password`}</Button>
      {done ? <Body role="status">{msg`✓ Changed. Your other devices are signed out.`}</Body> : null}
      {open ? (
        <Dialog title={msg`Change password`} onClose={close}>
          <Field
            label={msg`Password now`}
            secret
            autoComplete="current-password"
            value={form.current}
            onChange={(current) => setForm((f) => ({ ...f, current }))}
            error={errors.current}
            autoFocus
          />
          <Field
            label={msg`Next password`}
            secret
            autoComplete="off"
            value={form.next}
            onChange={(next) => setForm((f) => ({ ...f, next }))}
            error={errors.next}
            hint={msg`At least 12 letters. A few words are easy to keep.`}
          />
          {failure && !errors.current ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
          <Button kind="main" disabled={busy} onPress={() => void change()}>{msg`Change`}</Button>
        </Dialog>
      ) : null}
    </Column>
  );
}
