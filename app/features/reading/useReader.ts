import { useEffect, useRef, useState } from 'react';
import { msg, type Lab } from '@toile/core';
import type { SampleRequest } from '@toile/contract';
import { call, CallError } from '../../data/call';
import { dropDraft, readDraft, writeDraft } from '../../data/drafts';

/** Between two touches while the reader runs by itself, ms: time to lift it and set it down. */
const PACE_MS = 650;
const KEY = 'reader';

export type Reader = {
  readonly connected: boolean;
  readonly connect: () => void;
  readonly disconnect: () => void;
  readonly busy: boolean;
  readonly running: boolean;
  readonly failure: string | null;
  /** One sample; null when it could not be taken. */
  readonly touch: (request: SampleRequest) => Promise<Lab | null>;
  /** Samples one after the other until `next` has nothing more to hold it to. */
  readonly start: (next: () => SampleRequest | null, onSample: (lab: Lab) => void) => void;
  readonly stop: () => void;
};

/** The stand-in shade reader: connected once, touched sample by sample or left running. */
export function useReader(): Reader {
  const [connected, setConnected] = useState(() => readDraft<boolean>(KEY) === true);
  const [busy, setBusy] = useState(false);
  const [running, setRunning] = useState(false);
  const [failure, setFailure] = useState<string | null>(null);
  const going = useRef(false);
  useEffect(() => () => void (going.current = false), []);
  const touch = async (request: SampleRequest): Promise<Lab | null> => {
    setBusy(true);
    setFailure(null);
    try {
      return (await call('sample', { body: request })).lab;
    } catch (error) {
      setFailure(error instanceof CallError ? error.message : msg`The reader did not answer. Try again.`);
      return null;
    } finally {
      setBusy(false);
    }
  };
  const stop = (): void => {
    going.current = false;
    setRunning(false);
  };
  const run = async (next: () => SampleRequest | null, onSample: (lab: Lab) => void): Promise<void> => {
    while (going.current) {
      const request = next();
      const lab = request ? await touch(request) : null;
      if (!lab || !going.current) break;
      onSample(lab);
      await new Promise((resolve) => setTimeout(resolve, PACE_MS));
    }
    stop();
  };
  return {
    connected,
    connect: () => {
      writeDraft(KEY, true);
      setConnected(true);
    },
    disconnect: () => {
      stop();
      dropDraft(KEY);
      setConnected(false);
    },
    busy,
    running,
    failure,
    touch,
    start: (next, onSample) => {
      if (going.current) return;
      going.current = true;
      setRunning(true);
      void run(next, onSample);
    },
    stop,
  };
}
