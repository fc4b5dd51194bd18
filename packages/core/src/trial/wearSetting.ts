import { Type } from '@sinclair/typebox';
import type { Chart } from '../look';
import { messages, msg } from '../messages';
import { closed, oneOf } from '../schema';
import { usualConditions } from '../shade';
import { TRIAL_ZONES, type TrialZone } from './measures';
import { SKIN_GROUPS, skinGroupOf, type SkinGroup } from './skinGroup';

/** What the air of a day did to a face: neither; heat; humidity or rain, with heat or without. */
export const WEAR_CLIMATES = ['mild', 'hot', 'wet'] as const;
export type WearClimate = (typeof WEAR_CLIMATES)[number];

/** On what skin and on what kind of day something is worn. */
export type WearSetting = {
  readonly skin: Readonly<Partial<Record<TrialZone, SkinGroup>>>;
  readonly climate: WearClimate;
};
const skins = Object.fromEntries(TRIAL_ZONES.map((zone) => [zone, Type.Optional(oneOf(SKIN_GROUPS))]));
export const WearSettingSchema = Type.Object(
  {
    skin: Type.Unsafe<WearSetting['skin']>(Type.Object(skins, closed)),
    climate: oneOf(WEAR_CLIMATES, 'as it was expected; what was told of the day is added'),
  },
  closed,
);

/** One place's part of it; null where it is not known. */
export type PlaceSetting = { readonly skin: SkinGroup | null; readonly climate: WearClimate | null };

/** Air that is wet is wet whether it is hot or not: sweat and rain do the same to a face. */
function climateOf(what: readonly string[]): WearClimate {
  if (what.includes('humidity') || what.includes('rain')) return 'wet';
  return what.includes('heat') ? 'hot' : 'mild';
}

/** The skin and the day a chart is made for. */
export function wearSettingOf({
  client,
  occasion,
}: {
  readonly client: Pick<Chart['client'], 'features'>;
  readonly occasion: Pick<Chart['occasion'], 'kind' | 'conditions'>;
}): WearSetting {
  return {
    skin: Object.fromEntries(TRIAL_ZONES.map((zone) => [zone, skinGroupOf(client.features, [zone])])),
    climate: climateOf(occasion.conditions ?? usualConditions(occasion.kind)),
  };
}

/** The day as it was: as it was expected, and what was told of it by then. */
export function climateTold(expected: WearClimate, marks: readonly string[]): WearClimate {
  const told = climateOf(marks);
  return WEAR_CLIMATES[Math.max(WEAR_CLIMATES.indexOf(expected), WEAR_CLIMATES.indexOf(told))]!;
}

const SKIN_WORDS: Readonly<Record<SkinGroup, string>> = messages({
  oily: 'oily skin',
  dry: 'dry skin',
  mixed: 'skin oily and dry',
  normal: 'skin neither oily nor dry',
});
const CLIMATE_WORDS: Readonly<Record<WearClimate, string>> = messages({
  mild: 'mild days',
  hot: 'hot days',
  wet: 'humid or wet days',
});

/** In words: 'on oily skin, hot days'; empty where nothing is known or asked. */
export function settingWords({ skin, climate }: PlaceSetting): string {
  const parts = [
    skin && msg`on ${SKIN_WORDS[skin]}`,
    climate && `${skin ? '' : msg`on `}${CLIMATE_WORDS[climate]}`,
  ];
  return parts.filter((part) => part !== null).join(', ');
}
