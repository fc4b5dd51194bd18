import { number, object, string, tuple } from 'yup';
import {
  KEPT_PHOTOGRAPHS,
  msg,
  PHOTO_LIGHTS,
  type FaceTaps,
  type Photograph,
  type PhotoLight,
  type Point,
} from '@toile/core';
import { uuid } from './client';
import { instant } from './shapes';

const px = () =>
  number()
    .min(-20_000)
    .max(20_000)
    .required(() => msg`Tap it on the picture`);
const place = () => tuple([px(), px()]);
/** Four letters for three bytes. */
const MOST_LETTERS = Math.ceil(KEPT_PHOTOGRAPHS.bytes / 3) * 4;

/** A photograph the studio is to keep: what was tapped on it, and the picture as a JPEG in base64. */
export const photographInputSchema = object({
  id: uuid().required(),
  at: instant().required(() => msg`Say when it was taken`),
  light: string<PhotoLight>()
    .oneOf([...PHOTO_LIGHTS], () => msg`Say by which light`)
    .required(() => msg`Say by which light`),
  taps: object({
    pupil_right: place().required(),
    pupil_left: place().required(),
    gnathion: place().required(),
  })
    .noUnknown('${unknown} is not known here')
    .required(() => msg`Tap the pupils and the chin`),
  bare: place().nullable().defined(),
  picture: string()
    .required(() => msg`Choose a picture`)
    .max(MOST_LETTERS, () => msg`At most ${KEPT_PHOTOGRAPHS.bytes / 1000} kB: save it smaller`)
    .matches(/^[A-Za-z0-9+/]+={0,2}$/, 'a JPEG in base64'),
}).noUnknown('${unknown} is not known here');
export type PhotographInput = {
  id: string;
  at: string;
  light: PhotoLight;
  taps: FaceTaps;
  bare: Point | null;
  picture: string;
};

/** A chart's photographs the studio keeps, the newest first; `keeps`: whether it keeps more. */
export type PhotographsAnswer = {
  readonly keeps: boolean;
  readonly photographs: readonly Photograph[];
};
