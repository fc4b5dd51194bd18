import type { Finish } from '../kit';
import { shadeRoleOf } from '.';

type Asked = Parameters<typeof shadeRoleOf>[0];
type Guide = Extract<Asked['placements'][number], { guide: unknown }>['guide'];

const eye = (guides: readonly Guide[], finishes?: readonly Finish[]): Asked => ({
  role: 'eye',
  shade: null,
  placements: guides.map((guide) => ({ guide, side: 'both' })),
  wants: { kinds: ['shadow'], ...(finishes && { finishes: [...finishes] }) },
});

test.each<[guides: readonly Guide[], finishes: readonly Finish[] | undefined, role: string]>([
  [['lid'], undefined, 'lid'],
  [['zone.mobileLid'], ['matte'], 'lid'],
  [['socket'], undefined, 'socket'],
  [['socket'], ['matte'], 'socket'],
  [['outerLid'], [], 'socket'],
  [['lowerLine'], ['satin'], 'socket'],
  [['lid', 'zone.crease'], ['matte', 'shimmer'], 'socket'],
  // A metal that is asked for is no shadow; one that is only at hand is one too light.
  [['outerLid'], ['shimmer'], 'lid'],
  [['socket', 'outerLid'], ['shimmer'], 'lid'],
])('a colour of the eye on %j, asked to be %j, is a %s', (guides, finishes, role) =>
  expect(shadeRoleOf(eye(guides, finishes))).toBe(role),
);
