import { sidesWhere, type Features } from '../../face';
import { changed, found, isShiny, nameOf, type Rule } from '../rule';

const LASTING = /waterproof|tubing|long|hold/i;

export const WEAR_RULES: readonly Rule[] = [
  {
    id: 'mascara-for-tears',
    name: 'Mascara for tears and dancing',
    severity: 'note',
    why: 'Weddings and dancing want waterproof or tubing mascara; others print under the eye.',
    find: (on) => {
      if (!['wedding', 'gala', 'party'].includes(on.chart.occasion.kind)) return [];
      return on.steps
        .filter((s) => on.products(s).some((p) => p.kind === 'mascara' && !LASTING.test(`${p.line} ${p.shade}`)))
        .map((s) =>
          found([s], `${nameOf(on.products(s).find((p) => p.kind === 'mascara')!)} may print at a ${on.chart.occasion.kind}: waterproof or tubing holds.`),
        );
    },
  },
  {
    id: 'no-primer-on-oily',
    name: 'No mattifier on oily zones',
    severity: 'caution',
    why: 'Where skin gets oily the base slides: a mattifying primer goes there, and only there.',
    find: (on) => {
      const { oily } = on.chart.client.features;
      const primed = on.steps.some((s) => on.products(s).some((p) => p.kind === 'primer' && p.finish !== 'dewy'));
      const base = on.steps.find((s) => s.role === 'base');
      return oily.length > 0 && base && !primed
        ? [found([base], `Oily at ${oily.join(', ')}, and nothing mattifies there before ${base.title.toLowerCase()}.`)]
        : [];
    },
  },
  {
    id: 'not-set-on-oily',
    name: 'Oily skin is not set',
    severity: 'caution',
    why: 'Set where it moves for this client; very oily skin is set everywhere.',
    find: (on) => {
      const { oily } = on.chart.client.features;
      const base = on.steps.find((s) => s.role === 'base');
      return oily.length > 0 && base && !on.steps.some((s) => s.role === 'powder') ? [found([base], `Oily at ${oily.join(', ')}, and no powder sets it.`)] : [];
    },
  },
  {
    id: 'dewy-base-on-oily',
    name: 'Dewy base on oily skin',
    severity: 'note',
    why: 'Two shines meet: choose satin or matte where the skin gives its own.',
    find: (on) =>
      on.chart.client.features.oily.length < 2
        ? []
        : on.steps
            .filter((s) => s.role === 'base' && on.products(s).some((p) => p.finish === 'dewy'))
            .map((s) => found([s], `${s.title} is dewy on skin that shines by itself.`)),
  },
  {
    id: 'matte-on-dry',
    name: 'Matte on dry skin',
    severity: 'note',
    why: 'Matte bases and much powder show every dry patch.',
    find: (on) =>
      on.chart.client.features.dry
        ? on.steps
            .filter((s) => s.role === 'base' && on.products(s).some((p) => p.finish === 'matte'))
            .map((s) => found([s], `${s.title} is matte on dry skin: patches will show.`))
        : [],
  },
  {
    id: 'no-spray-for-long',
    name: 'Long hours without a setting spray',
    severity: 'caution',
    why: 'Ten hours want a holding spray, dried, and last.',
    find: (on) => {
      const { hoursToLast } = on.chart.occasion;
      const last = on.steps.at(-1);
      return hoursToLast >= 8 && last && !on.steps.some((s) => on.products(s).some((p) => p.kind === 'spray'))
        ? [found([last], `It has to last ${hoursToLast} hours and nothing fixes it.`)]
        : [];
    },
  },
  {
    id: 'hydrating-spray-for-long',
    name: 'A soft spray for long hours',
    severity: 'note',
    why: 'Hydrating sprays melt powder in; strong hold is for long days and heat.',
    find: (on) => {
      if (on.chart.occasion.hoursToLast < 10) return [];
      const sprays = on.steps.filter((s) => on.products(s).some((p) => p.kind === 'spray'));
      return sprays.length > 0 && sprays.every((s) => on.products(s).every((p) => p.kind !== 'spray' || p.finish === 'dewy'))
        ? [found(sprays, `Only a soft spray for ${on.chart.occasion.hoursToLast} hours.`)]
        : [];
    },
  },
  {
    id: 'lip-for-long',
    name: 'A lip that will not last',
    severity: 'note',
    why: 'Glossy and sheer lips are gone after a meal: long-wear, or touch-ups at known hours.',
    find: (on) =>
      on.chart.occasion.hoursToLast < 6
        ? []
        : on.steps
            .filter(
              (s) =>
                s.role === 'lip' &&
                on.products(s).some((p) => p.kind === 'lip colour' && (p.finish === 'dewy' || p.coverage === 'sheer' || p.coverage === 'light')),
            )
            .map((s) => found([s], `${s.title} will be gone before ${on.chart.occasion.hoursToLast} hours: pack it for touch-ups.`)),
  },
  {
    id: 'lip-bleeds',
    name: 'The lip may bleed',
    severity: 'caution',
    why: 'On lip lines a creamy or glossy edge runs: a fine liner and powder hold it.',
    find: (on) => {
      const has = (holds: (side: Features) => boolean): boolean => sidesWhere(on.chart.client.features, holds).length > 0;
      const lined = has(({ lines }) => lines.includes('lip'));
      if (!lined && !has(({ lipEdge }) => lipEdge === 'blurred')) return [];
      const lips = on.steps.filter((s) => s.role === 'lip');
      const held = lips.some((s) => on.products(s).some((p) => p.kind === 'lip liner'));
      return lips.length > 0 && !held ? [found(lips, `${lined ? 'Lip lines' : 'A blurred lip edge'}, and no liner holds ${lined ? 'the edge' : 'it'}.`)] : [];
    },
  },
  {
    id: 'matte-lip-unprepared',
    name: 'Matte lip without balm',
    severity: 'note',
    why: 'Balm goes on first, and off again, so that a matte lip does not flake.',
    find: (on) => {
      const matte = on.steps.find((s) => s.role === 'lip' && on.products(s).some((p) => p.finish === 'matte' && p.kind === 'lip colour'));
      const balm = on.steps.some(
        (s) => s.phase === 'prep' && (/lip|balm/i.test(s.title + s.note) || s.placements.some((p) => 'guide' in p && p.guide === 'lips')),
      );
      return matte && !balm ? [found([matte], `${matte.title} is matte, and no balm is laid before.`)] : [];
    },
  },
  {
    id: 'glue-not-tacky',
    name: 'Lash glue gets no time',
    severity: 'caution',
    why: 'A band is laid when its glue is tacky, about 45 seconds; wet it slides.',
    find: (on) =>
      on.steps
        .filter((s) => s.phase === 'lashes' && on.products(s).some((p) => p.kind === 'lashes') && s.waitMinutes < 0.5)
        .map((s) =>
          found([s], `${s.title} leaves the glue no time to get tacky.`, {
            label: 'Wait 45 seconds',
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
      on.steps.some((s) => s.phase === 'finish') ? [] : on.steps.slice(-1).map((s) => found([s], 'The chart ends without a last look in daylight and flash.')),
  },
  {
    id: 'shine-everywhere',
    name: 'Light everywhere',
    severity: 'note',
    why: 'Little is more: none of the light shows when all of the face shines.',
    find: (on) => {
      const shiny = on.steps.filter((s) => ['base', 'bronze', 'blush', 'highlight', 'powder'].includes(s.role) && on.products(s).some(isShiny));
      return shiny.length > 3 ? [found(shiny, `${shiny.length} layers of the face shine.`)] : [];
    },
  },
];
