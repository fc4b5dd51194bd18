import { shiftDepth } from '@toile/core';
import { broken, sound, type Case } from './case';
import { stepOf, withProduct } from './ground';

const HARBOUR = 'Harbour Morning';
const SOCKET = 'Socket and outer third';
/** The socket in the shadow of the lid, so many steps deeper, turned by degrees. */
const socketLikeLid = (steps: number, turn = 0) =>
  withProduct(SOCKET, (_, chart) => {
    const [L, a, b] = shiftDepth(stepOf(chart, 'Lid').use[0]!.product.lab!, steps);
    const [chroma, hue] = [Math.hypot(a, b), Math.atan2(b, a) + (turn * Math.PI) / 180];
    return { lab: [L, chroma * Math.cos(hue), chroma * Math.sin(hue)] };
  });

/** The evening's lip in the colour of the day's, so many steps deeper. */
const eveningLikeDay = (steps: number) =>
  withProduct('Evening lip', (_, chart) => ({
    lab: [...shiftDepth(stepOf(chart, 'Lip').use[0]!.product.lab!, steps)],
  }));

/** Colours of one eye, and of the lips, that a look means apart. */
export const EYE: readonly Case[] = [
  ...(['milk', 'rose', 'sand'] as const).flatMap((skin) => [
    broken(
      'direction',
      `lid and socket of one shadow on ${skin} skin are one patch`,
      { skin, look: HARBOUR },
      socketLikeLid(0),
      ['eye-colours-alike'],
    ),
    broken(
      'direction',
      `a socket a third of a step deeper than the lid is not told from it on ${skin} skin`,
      { skin, look: HARBOUR },
      socketLikeLid(0.35),
      ['eye-colours-alike'],
    ),
    sound(
      'direction',
      `a socket a step deeper than the lid shapes it on ${skin} skin`,
      { skin, look: HARBOUR },
      socketLikeLid(1),
    ),
    sound(
      'direction',
      `a plum socket as deep as a brown lid is told from it on ${skin} skin`,
      { skin, look: HARBOUR },
      socketLikeLid(0, -80),
    ),
  ]),
  ...(['milk', 'amber', 'walnut', 'jet'] as const).flatMap((skin) => [
    broken(
      'direction',
      `an evening lip that is the day’s on ${skin} skin is none`,
      { skin, look: HARBOUR },
      eveningLikeDay(0.3),
      ['lips-alike'],
    ),
    broken(
      'direction',
      `an evening lip lighter than the day’s on ${skin} skin goes the wrong way`,
      { skin, look: HARBOUR },
      eveningLikeDay(-1),
      ['lips-alike'],
    ),
    sound(
      'direction',
      `an evening lip a step deeper than the day’s on ${skin} skin`,
      { skin, look: HARBOUR },
      eveningLikeDay(1),
    ),
  ]),
];
