import { useEffect, useRef, type RefObject } from 'react';
import type { View } from 'react-native';
import { msg } from '@toile/core';

const APP = 'Toile';
let firstPlace = true;

/**
 * What a place does on arrival: names the page, and takes the focus to its heading, so that whoever goes by
 * ear or keys is where they went. Not on the first load, and not where a field has taken the focus already.
 */
export function usePlace(title: string): RefObject<View | null> {
  const heading = useRef<View>(null);
  useEffect(() => {
    document.title = title === APP ? title : msg`${title} · Toile`;
  }, [title]);
  useEffect(() => {
    const on = document.activeElement;
    if (!firstPlace && !on?.closest('input,textarea,dialog') && heading.current instanceof HTMLElement)
      heading.current.focus({ preventScroll: true });
    firstPlace = false;
  }, []);
  return heading;
}
