import { styled, Text as TamaguiText } from '@tamagui/core';

// The level of headings that say none themselves, right below a page's own; spread, since the type of what is
// styled has no room for it.
const SECOND = { 'aria-level': 2 } as const;

/** Running text. */
export const Body = styled(TamaguiText, {
  name: 'Body',
  fontFamily: '$body',
  fontSize: '$3',
  lineHeight: '$3',
  color: '$ink',
});
/** What a thing is called, beside or above it. */
export const Label = styled(TamaguiText, {
  name: 'Label',
  fontFamily: '$body',
  fontSize: '$2',
  lineHeight: '$2',
  color: '$inkSoft',
});
/** Names and headings: the one place for the serif. */
export const Heading = styled(TamaguiText, {
  name: 'Heading',
  fontFamily: '$heading',
  fontSize: '$6',
  lineHeight: '$6',
  color: '$ink',
  role: 'heading',
  ...SECOND,
});
export const Subheading = styled(TamaguiText, {
  name: 'Subheading',
  fontFamily: '$body',
  fontWeight: '700',
  fontSize: '$3',
  lineHeight: '$3',
  color: '$ink',
  role: 'heading',
  ...SECOND,
});
/** Figures with their units, aligned in columns. */
export const Figure = styled(TamaguiText, {
  name: 'Figure',
  fontFamily: '$body',
  fontSize: '$3',
  lineHeight: '$3',
  color: '$ink',
  fontVariant: ['tabular-nums'],
});
