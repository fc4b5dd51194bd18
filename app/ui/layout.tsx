import { styled, View } from '@tamagui/core';

export const Column = styled(View, { name: 'Column', flexDirection: 'column', gap: '$3' });
export const Line = styled(View, {
  name: 'Line',
  flexDirection: 'row',
  alignItems: 'center',
  gap: '$2',
  flexWrap: 'wrap',
});
/** A hairline instead of a box. */
export const Rule = styled(View, { name: 'Rule', height: 1, backgroundColor: '$line', alignSelf: 'stretch' });
/** The neutral surround of anything whose colour is judged. */
export const Judged = styled(View, {
  name: 'Judged',
  backgroundColor: '$judged',
  padding: '$3',
  borderRadius: '$1',
});
export { View };
