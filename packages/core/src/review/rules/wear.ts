import {
  dryPatches,
  drynessInWords,
  GUIDES_OF_SKIN,
  isAtEyesOrLips,
  sidesWhere,
  type Features,
  type Placement,
  type SkinPlace,
} from '../../face';
import { propertiesOf } from '../../kit';
import {
  basesFace,
  laysBalm,
  newStep,
  noRingRound,
  says,
  setsSkin,
  withStep,
  type Chart,
  type Proposal,
  type Step,
} from '../../look';
import { messagesIn, msg, term } from '../../messages';
import { holdsAtLeast } from '../../shade';
import {
  dueMinutes,
  outlookWords,
  stepOnZone,
  trialZoneWords,
  wearOutlook,
  wearSettingOf,
  wornByZone,
} from '../../trial';
import { changed, finishIs, found, isShiny, nameOf, type Fix, type Reviewed, type Rule } from '../rule';

/** An id made from another, for a step a fix adds. */
const idBeside = (id: string, salt: string): string => `${id.slice(0, 34)}${salt}`;
const oilyOf = (on: Reviewed): readonly Features['oily'][number][] =>
  on.chart.client.features.oily.filter((zone) => zone !== 'lids');
const placesOf = (zones: readonly SkinPlace[]): Placement[] =>
  zones.flatMap((zone) => GUIDES_OF_SKIN[zone]).map((guide) => ({ guide, side: 'both' as const }));

/** The steps that prime the skin: a primer for lids or lips does nothing for the forehead. */
const primersOf = (on: Reviewed): readonly Step[] =>
  on.steps.filter((s) => on.products(s).some((p) => p.kind === 'primer') && !isAtEyesOrLips(s));
/** Those of them that hold its shine back, since they do not shine themselves. */
const mattifiersOf = (on: Reviewed): readonly Step[] =>
  primersOf(on).filter((s) => on.products(s).some((p) => p.kind === 'primer' && !isShiny(p)));

/** A step added with the kit's best product for it; undefined where the kit has none. */
function added(
  on: Reviewed,
  step: Step,
  label: string,
  put: (chart: Chart, step: Step) => Chart = withStep,
  keeps?: (proposal: Proposal) => boolean,
): Fix | undefined {
  const fix = on.another(step, keeps);
  if (!fix) return undefined;
  const withUse = (chart: Chart, bound: Chart): Chart =>
    put(
      chart,
      bound.steps.find((s) => s.id === step.id)!,
    );
  const alone = (chart: Chart): Chart => ({ ...chart, steps: [step] });
  return {
    label,
    apply: (chart) => withUse(chart, fix.apply(alone(chart))),
    others: (chart) =>
      (fix.others?.(alone(chart)) ?? []).map(({ chart: bound }) => ({ chart: withUse(chart, bound) })),
  };
}
/**
 * A fine liner before every lip of the chart, those of its variants too, each of its lip's own colour: a ring
 * of another would show.
 */
function linersFor(on: Reviewed): Fix | undefined {
  const lips = on.chart.steps.filter((s) => s.role === 'lip' && s.wants.kinds.includes('lip colour'));
  const fixes = lips.flatMap((lip) => {
    const colour = on.colour(lip);
    const step: Step = {
      ...newStep('lip line', idBeside(lip.id, 'a4'), [{ guide: 'lipLine', side: 'both' }]),
      title: msg`Line the lips`,
      shade: colour ? { lab: [...colour] } : lip.shade,
      doseMgPerCm2: 2,
      ...(lip.variant === undefined ? {} : { variant: lip.variant }),
    };
    const put = (chart: Chart, liner: Step): Chart => {
      const at = chart.steps.findIndex((s) => s.id === lip.id);
      return {
        ...chart,
        steps: [...chart.steps.slice(0, at), { ...liner, phase: lip.phase }, ...chart.steps.slice(at)],
      };
    };
    return added(on, step, msg`Add a fine liner`, put, noRingRound(colour)) ?? [];
  });
  return fixes.length < lips.length
    ? undefined
    : { label: msg`Add a fine liner`, apply: (chart) => fixes.reduce((so, fix) => fix.apply(so), chart) };
}
const last = (chart: Chart, step: Step): Chart => ({ ...chart, steps: [...chart.steps, step] });

/** The rule that judges hours by evidence, and those that say what is usual where there is none. */
export const HOLDS_THE_HOURS = 'holds-the-hours';
export const USUAL_OF_HOURS: readonly string[] = [
  'no-spray-for-long',
  'hydrating-spray-for-long',
  'lip-for-long',
];
/** Under so many wears of what stands there evidence is silent. */
const ENOUGH_WEARS = 3;
const MUST_HOLD = 0.6;
/** From so many hours on a spray is to hold, not to soften. */
const HOLD_HOURS = 10;
/** A touch-up is due when fewer than so many still hold. */
const TOUCH_UP_AT = 0.7;

export const WEAR_RULES: readonly Rule[] = messagesIn(
  ['name', 'why'],
  [
    {
      id: 'base-for-long',
      name: 'A base that does not last the day',
      severity: 'note',
      why: 'Heat, humid air and long hours want a base that is known to hold; what is not stated is only expected.',
      find: (on) =>
        !on.day.long && !on.day.heat && !on.day.humidity
          ? []
          : on.steps
              .filter((s) => s.role === 'base' && on.products(s).some((p) => !holdsAtLeast(p, on.day.hours)))
              .map((s) =>
                found(
                  [s],
                  msg`${s.title} holds fewer hours than the day has (${on.day.words}).`,
                  on.another(s, ({ use }) => use.every((u) => holdsAtLeast(u.product, on.day.hours))),
                ),
              ),
    },
    {
      id: 'dewy-in-heat',
      name: 'Dew in heat and humid air',
      severity: 'note',
      why: 'A dewy base slides in heat: matte, natural or satin, and set.',
      find: (on) =>
        !on.day.heat && !on.day.humidity
          ? []
          : on.steps
              .filter(
                (s) =>
                  s.role === 'base' && !isAtEyesOrLips(s) && on.products(s).some((p) => p.finish === 'dewy'),
              )
              .map((s) =>
                found(
                  [s],
                  msg`${s.title} is dewy, and the day is hot or humid.`,
                  on.another(s, finishIs('matte', 'natural', 'satin')),
                ),
              ),
    },
    {
      id: 'mascara-for-tears',
      name: 'Mascara for tears and dancing',
      severity: 'note',
      why: 'Weddings and dancing want waterproof or tubing mascara; others print under the eye.',
      find: (on) => {
        // What is waterproof has to be rubbed off: not on a child.
        if (!on.day.wet || on.chart.client.features.age === 'child') return [];
        return on.steps
          .filter((s) => on.products(s).some((p) => p.kind === 'mascara' && !propertiesOf(p).waterproof))
          .map((s) =>
            found(
              [s],
              msg`${nameOf(on.products(s).find((p) => p.kind === 'mascara')!)} is not noted as waterproof, and may print (${on.day.words}).`,
              on.another(s, ({ use }) => use.every((u) => propertiesOf(u.product).waterproof)),
            ),
          );
      },
    },
    {
      id: 'no-primer-on-oily',
      name: 'No mattifier on oily zones',
      severity: 'caution',
      why: 'Where skin gets oily the base slides: a mattifying primer goes there, and only there.',
      find: (on) => {
        const oily = oilyOf(on);
        const base = on.steps.find(basesFace);
        const primer = primersOf(on)[0];
        if (oily.length === 0 || !base || mattifiersOf(on).length > 0) return [];
        const isMatte = finishIs('matte');
        const step: Step = {
          ...newStep('base', idBeside(base.id, 'a1'), placesOf(oily)),
          phase: 'prime',
          role: 'care',
          title: msg`Primer where it needs it`,
          shade: null,
          wants: { kinds: ['primer'], finishes: ['matte'] },
          doseMgPerCm2: 0.8,
          tool: 'finger',
          handsOnMinutes: 2,
          waitMinutes: 2,
        };
        return [
          found(
            primer ? [primer, base] : [base],
            msg`Oily at ${oily.map((one) => term(one)).join(', ')}, and nothing mattifies there before ${base.title.toLowerCase()}.`,
            primer ? on.another(primer, isMatte) : added(on, step, msg`Add a mattifying primer there`),
          ),
        ];
      },
    },
    {
      id: 'oily-zone-left-out',
      name: 'An oily zone is left out',
      severity: 'note',
      why: 'Each zone that gets oily is primed or set: what is done on the forehead does not hold the nose.',
      find: (on) => {
        const mattifiers = mattifiersOf(on);
        const held = on.steps.filter((s) => setsSkin(s) || mattifiers.includes(s));
        const base = on.steps.find(basesFace);
        if (!base || held.length === 0) return [];
        const left = oilyOf(on).filter(
          (zone) => !held.some((s) => placesOf([zone]).some((p) => on.reaches(s, p))),
        );
        const powder = held.find(setsSkin);
        return left.length === 0
          ? []
          : [
              found(
                [held[0]!],
                msg`Oily at ${left.map((one) => term(one)).join(', ')} too, and nothing is primed or set there.`,
                powder
                  ? {
                      label: msg`Powder there too`,
                      apply: changed(powder.id, (s) => ({
                        ...s,
                        placements: [...s.placements, ...placesOf(left)],
                      })),
                    }
                  : undefined,
              ),
            ];
      },
    },
    {
      id: 'not-set-on-oily',
      name: 'Oily skin is not set',
      severity: 'caution',
      why: 'Set where it moves for this client; very oily skin is set everywhere.',
      find: (on) => {
        const oily = oilyOf(on);
        const base = on.steps.find(basesFace);
        if (oily.length === 0 || !base || on.steps.some(setsSkin)) return [];
        const step: Step = {
          ...newStep('powder', idBeside(base.id, 'a2'), placesOf(oily)),
          title: msg`Set where it shines`,
          doseMgPerCm2: 0.35,
        };
        return [
          found(
            [base],
            msg`Oily at ${oily.map((one) => term(one)).join(', ')}, and no powder sets it.`,
            added(on, step, msg`Add powder there`),
          ),
        ];
      },
    },
    {
      id: 'dewy-base-on-oily',
      name: 'Dewy base on oily skin',
      severity: 'note',
      why: 'Two shines meet: choose satin or matte where the skin gives its own.',
      find: (on) =>
        oilyOf(on).length < 2
          ? []
          : on.steps
              .filter(
                (s) =>
                  basesFace(s) &&
                  on.products(s).some((p) => p.finish === 'dewy') &&
                  placesOf(oilyOf(on)).some((place) => on.reaches(s, place)),
              )
              .map((s) =>
                found(
                  [s],
                  msg`${s.title} is dewy on skin that shines by itself.`,
                  on.another(s, finishIs('matte', 'natural', 'satin')),
                ),
              ),
    },
    {
      id: 'matte-on-dry',
      name: 'Matte on dry skin',
      severity: 'note',
      why: 'Matte bases and much powder show every dry patch.',
      find: (on) => {
        const { features } = on.chart.client;
        const dry = drynessInWords(features);
        const patches = placesOf(dryPatches(features));
        return dry
          ? on.steps
              .filter(
                (s) =>
                  basesFace(s) &&
                  on.products(s).some((p) => p.finish === 'matte') &&
                  (patches.length === 0 || patches.some((place) => on.reaches(s, place))),
              )
              .map((s) =>
                found(
                  [s],
                  msg`${s.title} is matte on ${dry}: patches will show.`,
                  on.another(s, finishIs('natural', 'satin', 'dewy')),
                ),
              )
          : [];
      },
    },
    {
      id: HOLDS_THE_HOURS,
      name: 'It did not hold so long before',
      severity: 'note',
      why: 'The studio’s own looks at worn faces judge the hours, where there are three or more of what stands there; until then the trade’s usual rules do. The days it was worn on were no random choice.',
      find: (on) => {
        const hours = on.chart.occasion.hoursToLast;
        const worked = { steps: on.steps.map(({ variant: _worked, ...step }) => step) };
        const weak = wearOutlook(
          on.wears,
          {
            worn: wornByZone(worked),
            setting: wearSettingOf(on.chart),
          },
          hours,
        )
          .filter((one) => one.product >= ENOUGH_WEARS && one.holds.mean < MUST_HOLD)
          .sort((a, b) => a.holds.mean - b.holds.mean);
        // Faces fail together: of one step the weakest place speaks.
        const lips = weak.find(({ zone }) => zone === 'mouth');
        const skin = weak.find(({ zone }) => zone !== 'mouth');
        return [skin, lips].flatMap((one) => {
          const standing = one && stepOnZone(worked, one.zone);
          const step = on.steps.find((s) => s.id === standing?.id);
          if (!one || !step) return [];
          const due = dueMinutes(one.curve, TOUCH_UP_AT, hours * 60);
          const near =
            due === null
              ? ''
              : msg` Something longer-wearing, or a touch-up near ${Math.max(1, Math.round(due / 60))} h.`;
          return [
            {
              steps: [step],
              severity: one.holds.high < MUST_HOLD ? ('caution' as const) : ('note' as const),
              message: msg`${step.title}, ${trialZoneWords(one.zone)}, to ${hours} h: ${outlookWords(one)}.${near}`,
            },
          ];
        });
      },
    },
    {
      id: 'no-spray-for-long',
      name: 'Long hours without a setting spray',
      severity: 'caution',
      why: 'Ten hours want a holding spray, dried, and last.',
      find: (on) => {
        const { hoursToLast } = on.chart.occasion;
        const end = on.steps.at(-1);
        if (
          !on.day.long ||
          !end ||
          on.steps.some(
            (s) => s.wants.kinds.includes('spray') || on.products(s).some((p) => p.kind === 'spray'),
          ) ||
          !on.steps.some(basesFace)
        )
          return [];
        const step: Step = {
          ...newStep('base', idBeside(end.id, 'a3'), [{ guide: 'zone.wholeFace', side: 'both' }]),
          phase: 'finish',
          role: 'care',
          title: msg`Spray to hold it`,
          shade: null,
          wants: { kinds: ['spray'] },
          tool: 'none',
          technique: 'spray',
          handsOnMinutes: 2,
          waitMinutes: 1,
        };
        const base = on.steps.find(basesFace)!;
        return [
          found(
            [base],
            msg`It has to last ${hoursToLast} hours and nothing fixes it.`,
            added(on, step, msg`Add a holding spray`, last),
          ),
        ];
      },
    },
    {
      id: 'hydrating-spray-for-long',
      name: 'A soft spray for long hours',
      severity: 'note',
      why: 'Hydrating sprays melt powder in; strong hold is for long days and heat.',
      find: (on) => {
        if (on.chart.occasion.hoursToLast < HOLD_HOURS && !on.day.heat) return [];
        const sprays = on.steps.filter((s) => on.products(s).some((p) => p.kind === 'spray'));
        return sprays.length > 0 &&
          sprays.every((s) => on.products(s).every((p) => p.kind !== 'spray' || p.finish === 'dewy'))
          ? [
              found(
                sprays,
                on.chart.occasion.hoursToLast >= HOLD_HOURS
                  ? msg`Only a soft spray for ${on.chart.occasion.hoursToLast} hours.`
                  : msg`Only a soft spray in the heat.`,
                on.another(sprays[0]!, ({ use }) => use.every((u) => u.product.finish !== 'dewy')),
              ),
            ]
          : [];
      },
    },
    {
      id: 'lip-for-long',
      name: 'A lip that will not last',
      severity: 'note',
      why: 'Glossy and sheer lips are gone after a meal: long-wear, or touch-ups at known hours.',
      find: (on) =>
        (on.chart.occasion.hoursToLast < 6 && !on.day.meals) || on.chart.client.features.age === 'child'
          ? []
          : on.steps
              .filter(
                (s) =>
                  s.role === 'lip' &&
                  !says(s.note, 'touch-up') &&
                  on
                    .products(s)
                    .some(
                      (p) =>
                        p.kind === 'lip colour' &&
                        !propertiesOf(p).transferProof &&
                        propertiesOf(p).wearHours < 4,
                    ),
              )
              .map((s) =>
                found(
                  [s],
                  msg`${s.title} will be gone before ${on.chart.occasion.hoursToLast} hours${on.day.meals ? msg` and a meal` : ''}: pack it for touch-ups.`,
                  {
                    label: msg`Pack it for touch-ups`,
                    apply: changed(s.id, (x) => ({
                      ...x,
                      note: msg`${x.note}${x.note === '' ? '' : ' '}Packed for touch-ups.`,
                    })),
                  },
                ),
              ),
    },
    {
      id: 'gloss-in-wind',
      name: 'Gloss in the wind',
      severity: 'note',
      why: 'Hair blown across the face sticks to a wet lip and draws it over the cheek: satin, matte or blotted.',
      find: (on) =>
        !on.day.wind
          ? []
          : on.steps
              .filter(
                (s) =>
                  s.role === 'lip' &&
                  on
                    .products(s)
                    .some((p) => p.kind === 'lip colour' && (p.finish === 'dewy' || p.finish === 'shimmer')),
              )
              .map((s) =>
                found(
                  [s],
                  msg`${s.title} stays wet, and the day is windy: hair will stick to it.`,
                  on.another(s, finishIs('matte', 'satin', 'natural')),
                ),
              ),
    },
    {
      id: 'lip-bleeds',
      name: 'The lip may bleed',
      severity: 'caution',
      why: 'On lip lines a creamy or glossy edge runs: a fine liner and powder hold it.',
      find: (on) => {
        const has = (holds: (side: Features) => boolean): boolean =>
          sidesWhere(on.chart.client.features, holds).length > 0;
        const lined = has(({ lines }) => lines.includes('lip'));
        if (!lined && !has(({ lipEdge }) => lipEdge === 'blurred')) return [];
        const lips = on.steps.filter((s) => s.role === 'lip');
        // One that is planned and has no product yet is missed as that.
        const held = on.steps.some(
          (s) =>
            (s.role === 'lip line' && s.wants.kinds.includes('lip liner')) ||
            ((s.role === 'lip' || s.role === 'lip line') &&
              on.products(s).some((p) => p.kind === 'lip liner')),
        );
        if (lips.length === 0 || held) return [];
        return [
          found(
            lips,
            msg`${lined ? msg`Lip lines` : msg`A blurred lip edge`}, and no liner holds ${lined ? msg`the edge` : msg`it`}.`,
            linersFor(on),
          ),
        ];
      },
    },
    {
      id: 'matte-lip-unprepared',
      name: 'Matte lip without balm',
      severity: 'note',
      why: 'Balm goes on first, and off again, so that a matte lip does not flake.',
      find: (on) => {
        const matte = on.steps.find(
          (s) =>
            s.role === 'lip' && on.products(s).some((p) => p.finish === 'matte' && p.kind === 'lip colour'),
        );
        if (!matte || on.steps.some(laysBalm)) return [];
        const step: Step = {
          ...newStep('base', idBeside(matte.id, 'a5'), [{ guide: 'lips', side: 'both' }]),
          phase: 'prep',
          role: 'care',
          title: msg`Lip balm`,
          shade: null,
          wants: { kinds: [] },
          doseMgPerCm2: 0,
          tool: 'spatula',
          handsOnMinutes: 0.5,
          note: msg`Wiped off before the lip.`,
        };
        const early = on.steps.find((s) => ['clean', 'prep', 'prime'].includes(s.phase));
        const noted = early
          ? changed(early.id, (s) => ({
              ...s,
              note: msg`${s.note}${s.note === '' ? '' : ' '}Lip balm on now; wiped off before the lip.`,
            }))
          : null;
        return [
          found([matte], msg`${matte.title} is matte, and no balm is laid before.`, {
            label: msg`Add balm first`,
            apply: noted ?? ((chart) => withStep(chart, step)),
          }),
        ];
      },
    },
    {
      id: 'glue-not-tacky',
      name: 'Lash glue gets no time',
      severity: 'caution',
      why: 'A band is laid when its glue is tacky, about 45 seconds; wet it slides.',
      find: (on) =>
        on.steps
          .filter((s) => on.products(s).some((p) => p.kind === 'lashes') && s.waitMinutes < 0.5)
          .map((s) =>
            found([s], msg`${s.title} leaves the glue no time to get tacky.`, {
              label: msg`Wait 45 seconds`,
              apply: changed(s.id, (x) => ({ ...x, waitMinutes: 0.75 })),
            }),
          ),
    },
    {
      id: 'no-last-look',
      name: 'No last look',
      severity: 'note',
      why: 'Step back: daylight, flash, left against right, cheeks again now that the lip is on.',
      find: (on) =>
        on.steps.some((s) => s.phase === 'finish') || !on.steps.some(basesFace)
          ? []
          : on.steps.slice(-1).map((s) =>
              found([s], msg`The chart ends without a last look in daylight and flash.`, {
                label: msg`Add a last look`,
                apply: (chart) =>
                  last(chart, {
                    ...newStep('adornment', idBeside(s.id, 'a6')),
                    role: 'care',
                    title: msg`Step back: daylight, flash, left against right`,
                    tool: 'none',
                    handsOnMinutes: 3,
                    note: msg`Cheeks again now that the lip is on; what was corrected is noted.`,
                  }),
              }),
            ),
    },
    {
      id: 'shine-everywhere',
      name: 'Light everywhere',
      severity: 'note',
      why: 'Little is more: none of the light shows when all of the face shines.',
      find: (on) => {
        const shiny = on.steps.filter(
          (s) =>
            ['base', 'bronze', 'blush', 'highlight', 'powder'].includes(s.role) &&
            !isAtEyesOrLips(s) &&
            on.products(s).some(isShiny),
        );
        if (shiny.length <= 3) return [];
        const dimmed = [...shiny]
          .reverse()
          .map((s) => on.another(s, finishIs('matte', 'natural', 'satin')))
          .find((fix) => fix !== undefined);
        return [found(shiny, msg`${shiny.length} layers of the face shine.`, dimmed)];
      },
    },
  ],
);
