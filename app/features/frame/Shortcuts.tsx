import { useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { messages, msg } from '@toile/core';
import { Body, Button, Dialog } from '../../ui';
import { FindDialog } from './FindDialog';
import { chooseKeysOn, useKeysOn } from './keysOn';
import { PLACES } from './places';

const KEYS: readonly (readonly [keys: string, does: string])[] = messages([
  ['Ctrl or ⌘ and K', 'find anything'],
  ['/', 'find a client'],
  ['n', 'new client'],
  ['1 to 5', 'go to a place'],
  ['↑ ↓', 'through the steps of a chart'],
  ['Ctrl or ⌘ and Z, Y', 'undo, redo'],
  ['space, or a page-turner', 'done, at the chair'],
  ['?', 'these keys'],
]);

type Shown = 'keys' | 'find' | null;

/** What keys do wherever one is, and what they open. */
export function Shortcuts() {
  const router = useRouter();
  const single = useKeysOn() === 'on';
  const [shown, setShown] = useState<Shown>(null);
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'k') {
        event.preventDefault();
        return setShown('find');
      }
      const typing = event.target instanceof Element && event.target.closest('input,textarea,select,dialog');
      if (!single || typing || event.ctrlKey || event.metaKey || event.altKey) return;
      const place = PLACES[Number(event.key) - 1];
      if (event.key === '?') setShown('keys');
      else if (event.key === '/') {
        event.preventDefault();
        router.navigate('/clients?find=1');
      } else if (event.key === 'n') router.navigate('/clients/new');
      else if (place) router.navigate(place.path);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [router, single]);
  const close = (): void => setShown(null);
  if (shown === 'find') return <FindDialog onClose={close} />;
  if (shown === 'keys')
    return (
      <Dialog title={msg`Keys`} onClose={close}>
        {KEYS.map(([key, does]) => (
          <Body key={key}>{`${key}  ·  ${does}`}</Body>
        ))}
        <Button onPress={() => chooseKeysOn('off')}>{msg`Switch single keys off`}</Button>
      </Dialog>
    );
  return null;
}
