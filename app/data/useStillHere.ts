import { useEffect, useRef, type RefObject } from 'react';

/** Whether the screen that asks is still shown: what ends later leads nobody away from where they went. */
export function useStillHere(): RefObject<boolean> {
  const here = useRef(true);
  useEffect(() => {
    here.current = true;
    return () => {
      here.current = false;
    };
  }, []);
  return here;
}
