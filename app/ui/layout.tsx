import { styled, View } from '@tamagui/core';
import { messagesIn } from '@toile/core';

export const Column = messagesIn(
  ['name'],
  styled(View, { name: 'Column', flexDirection: 'column', gap: '$3' }),
);
export const Line = messagesIn(
  ['name'],
  styled(View, {
    name: 'Line',
    flexDirection: 'row',
    alignItems: 'center',
    gap: '$2',
    flexWrap: 'wrap',
  }),
);
/** A hairline instead of a box. */
export const Rule = messagesIn(
  ['name'],
  styled(View, { name: 'Rule', height: 1, backgroundColor: '$line', alignSelf: 'stretch' }),
);
/** The neutral surround of anything whose colour is judged. */
export const Judged = messagesIn(
  ['name'],
  styled(View, {
    name: 'Judged',
    backgroundColor: '$judged',
    padding: '$3',
    borderRadius: '$1',
  }),
);
export { View };
