import { useEffect, useState } from 'react';
import { msg } from '@toile/core';
import { Body, Button, Dialog, Label, Loading } from '../../ui';
import type { Reader } from './useReader';

/** Connecting the reader: found, chosen, connected. Only the stand-in is ever near. */
export function ReaderDialog({ reader, onClose }: { readonly reader: Reader; readonly onClose: () => void }) {
  const [found, setFound] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setFound(true), 500);
    return () => clearTimeout(timer);
  }, []);
  return (
    <Dialog title={msg`Connect a shade reader`} onClose={onClose}>
      {reader.connected ? (
        <>
          <Body>{msg`✓ Stand-in reader connected. Calibrated on its white tile today.`}</Body>
          <Button
            onPress={() => {
              reader.disconnect();
              onClose();
            }}
          >{msg`Disconnect`}</Button>
        </>
      ) : found ? (
        <Button
          kind="main"
          large
          onPress={() => {
            reader.connect();
            onClose();
          }}
        >{msg`Stand-in reader, near`}</Button>
      ) : (
        <Loading words={msg`Looking for readers nearby`} />
      )}
      <Label>{msg`The stand-in ships with the app: its numbers are made up, with a real reader’s noise and an occasional bad sample.`}</Label>
    </Dialog>
  );
}
