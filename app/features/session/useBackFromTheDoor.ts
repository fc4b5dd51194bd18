import { useRouter } from 'expo-router';
import { useEffect, useLayoutEffect, useRef, useState } from 'react';
import { onSignedOut } from '../../data/call';
import { isLeaving, leaving, useAskWhoIsIn } from '../../data/handOver';

/**
 * Leads to the door as soon as nobody is signed in any more, found by a refused call or when the page is
 * come back to, and whoever was in back to where they were. `email`: who is in. Gives whether whoever stands
 * at the door was led there; whoever signed out here was not.
 */
export function useBackFromTheDoor(email: string | undefined): boolean {
  const router = useRouter();
  const askWhoIsIn = useAskWhoIsIn();
  const [led, setLed] = useState(false);
  const left = useRef<{ readonly by: string; readonly at: string } | null>(null);
  useEffect(() => onSignedOut(askWhoIsIn), [askWhoIsIn]);
  useLayoutEffect(() => {
    if (email === undefined) return;
    leaving(false);
    // Before the router knows: it begins anew behind the door.
    return () => {
      const wasLed = !isLeaving();
      left.current = wasLed ? { by: email, at: location.pathname + location.search } : null;
      setLed(wasLed);
    };
  }, [email]);
  useEffect(() => {
    if (email === undefined || !left.current) return;
    const { by, at } = left.current;
    left.current = null;
    if (by === email) router.replace(at);
  }, [email, router]);
  return led;
}
