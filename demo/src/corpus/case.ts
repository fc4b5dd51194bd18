import type { Break, Setting } from './ground';

export const TOPICS = [
  'direction',
  'ash and warmth',
  'client',
  'day',
  'amounts',
  'allergens',
  'layers',
  'places',
  'order',
  'kit',
] as const;
export type Topic = (typeof TOPICS)[number];

/** A chart and what a practitioner says of it. */
export type Case = {
  readonly topic: Topic;
  /** The practice, in words: what is sound or what is wrong here. */
  readonly says: string;
  readonly setting: Setting;
  /** What is done to the fitted chart. */
  readonly by: Break;
  /** Rules one of which must find it; none for a sound chart, which must stay quiet. */
  readonly finds: readonly string[];
  /** Findings that may stand beside it because the same thing is wrong in their eyes too. */
  readonly also?: readonly string[];
};

export const sound = (topic: Topic, says: string, setting: Setting, by: Break): Case => ({
  topic,
  says,
  setting,
  by,
  finds: [],
});
export const broken = (
  topic: Topic,
  says: string,
  setting: Setting,
  by: Break,
  finds: readonly string[],
  also: readonly string[] = [],
): Case => ({
  topic,
  says,
  setting,
  by,
  finds,
  also,
});
