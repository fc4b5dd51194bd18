import { useRouter } from 'expo-router';
import { useEffect, useRef, useState } from 'react';
import { onSignedOut } from '../../data/call';
import { useAskWhoIsIn } from '../../data/handOver';

/**
 * Leads to the door as soon as anything is refused because nobody is signed in any more, and whoever was in
 * back to where they were. `email`: who is in. Gives whether somebody was led there, and what ends that.
 */
export function useBackFromTheDoor(email: string | undefined): readonly [led: boolean, entered: () => void] {
  const router = useRouter();
  const askWhoIsIn = useAskWhoIsIn();
  const [led, setLed] = useState(false);
  const left = useRef<{ readonly by: string; readonly at: string } | null>(null);
  useEffect(
    () =>
      onSignedOut(() => {
        if (email !== undefined) {
          left.current = { by: email, at: location.pathname + location.search };
          setLed(true);
        }
        askWhoIsIn();
      }),
    [email, askWhoIsIn],
  );
  useEffect(() => {
    if (email === undefined || !left.current) return;
    const { by, at } = left.current;
    left.current = null;
    // The router begins anew behind the door.
    if (by === email) router.replace(at);
  }, [email, router]);
  return [led, () => setLed(false)];
}
