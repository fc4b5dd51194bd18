import { broken, sound, type Case } from './case';
import { all, at, copied, movedTo, onChart, withFeatures, withProduct, withStep, without } from './ground';

const HARBOUR = 'Harbour Morning';
const underEye = at('zone.underEye');
/** An airbrushed base as it is taught: eyes first, everything after it tapped. */
const taught = all(
  withStep('Base', () => ({ tool: 'airbrush', technique: 'spray', passes: 4, doseMgPerCm2: 0.12 })),
  onChart((chart) => {
    const eyes = chart.steps.filter((s) => ['brows', 'eyes'].includes(s.phase));
    const rest = chart.steps.filter((s) => !eyes.includes(s));
    const base = rest.findIndex((s) => s.role === 'base');
    const tapped = rest.map((s) =>
      s.technique === 'buff' || s.technique === 'sweep' ? { ...s, technique: 'press' as const } : s,
    );
    return {
      ...chart,
      schools: { ...chart.schools, eyesOrFace: 'eyes first' as const },
      steps: [...tapped.slice(0, base), ...eyes, ...tapped.slice(base)],
    };
  }),
);

/** What lies on what is worked out at the same spot, with its passes. */
export const LAYERS: readonly Case[] = [
  broken(
    'layers',
    'four layers under the eye: corrector, base, concealer and powder twice',
    { skin: 'rose', look: HARBOUR },
    all(
      copied('Conceal under the eye', () => ({ title: 'Again', placements: underEye })),
      copied('Set where it moves', () => ({
        title: 'Set under the eye',
        placements: underEye,
        doseMgPerCm2: 0.2,
      })),
    ),
    ['too-many-layers-under-eye'],
    ['concealer-halo', 'grey-cast'],
  ),
  broken(
    'layers',
    'three passes of concealer count as three layers',
    { skin: 'cedar', look: HARBOUR },
    withStep('Conceal under the eye', () => ({ passes: 3, doseMgPerCm2: 0.4, placements: underEye })),
    ['too-many-layers-under-eye'],
  ),
  sound(
    'layers',
    'a concealed spot on the chin is not a layer under the eye',
    { skin: 'rose', look: HARBOUR },
    all(
      copied('Conceal under the eye', (s) => ({
        title: 'Chin spot',
        shade: { relative: { to: 'skin', depthSteps: 0 } },
        placements: at('zone.chin'),
        use: s.use,
      })),
      withProduct('Chin spot', (_, chart) => ({ lab: [...chart.client.skin.chin!] })),
    ),
  ),
  sound(
    'layers',
    'base, concealer and powder are three',
    { skin: 'honey', look: HARBOUR },
    copied('Set where it moves', () => ({
      title: 'Set under the eye',
      placements: underEye,
      doseMgPerCm2: 0.2,
    })),
  ),
  broken(
    'layers',
    'cream blush over the powder of the cheek',
    { skin: 'olive', look: HARBOUR },
    all(
      withStep('Set where it moves', (s) => ({
        placements: [...s.placements, ...at('zone.apple', 'zone.cheekboneTop', 'zone.hollow')],
      })),
      movedTo('Blush, lifted', 'after', 'Set where it moves'),
    ),
    ['cream-over-powder'],
    ['set-too-late'],
  ),
  sound(
    'layers',
    'cream blush after powder that lies elsewhere',
    { skin: 'olive', look: HARBOUR },
    movedTo('Blush, lifted', 'after', 'Set where it moves'),
  ),
  broken(
    'layers',
    'cream contour over an all-over powder',
    { skin: 'jet', look: HARBOUR },
    all(
      withStep('Set where it moves', () => ({ placements: at('zone.wholeFace') })),
      movedTo('Contour the cheek', 'after', 'Set where it moves'),
    ),
    ['cream-over-powder'],
  ),
  broken(
    'layers',
    'powder blush, then powder over the cheek',
    { skin: 'rose', look: HARBOUR },
    all(
      withProduct('Blush, lifted', (p) => ({ texture: 'pressed', lab: p.lab })),
      withStep('Set where it moves', () => ({ placements: at('zone.wholeFace') })),
      movedTo('Blush, lifted', 'before', 'Set where it moves'),
    ),
    ['powder-before-set'],
  ),
  broken(
    'layers',
    'contour and light in powder before an all-over powder',
    { skin: 'jet', look: HARBOUR },
    all(
      withProduct('Contour the cheek', (p) => ({ texture: 'pressed', lab: p.lab })),
      withStep('Set where it moves', () => ({ placements: at('zone.wholeFace') })),
      movedTo('Contour the cheek', 'before', 'Set where it moves'),
    ),
    ['powder-before-set'],
  ),
  sound(
    'layers',
    'powder blush before powder that lies elsewhere',
    { skin: 'olive', look: HARBOUR },
    all(
      withProduct('Blush, lifted', (p) => ({ texture: 'pressed', lab: p.lab })),
      movedTo('Blush, lifted', 'before', 'Set where it moves'),
    ),
  ),
  sound(
    'layers',
    'powder blush between two powders',
    { skin: 'honey', look: HARBOUR },
    all(
      withProduct('Blush, lifted', (p) => ({ texture: 'pressed', lab: p.lab })),
      withStep('Set where it moves', () => ({ placements: at('zone.wholeFace'), doseMgPerCm2: 0.2 })),
      movedTo('Blush, lifted', 'after', 'Set where it moves'),
      copied('Set where it moves', () => ({
        title: 'A veil',
        placements: at('zone.apple', 'zone.hollow'),
        doseMgPerCm2: 0.1,
      })),
      movedTo('A veil', 'after', 'Blush, lifted'),
    ),
  ),
  broken(
    'layers',
    'primer gets no time before the base',
    { skin: 'sand', look: HARBOUR },
    withStep('Primer where it needs it', () => ({ waitMinutes: 0 })),
    ['wet-on-wet'],
    ['family-conflict'],
  ),
  broken(
    'layers',
    'spray gets no time before the last look',
    { skin: 'moss', look: HARBOUR },
    all(
      withStep('spray', () => ({ waitMinutes: 0 })),
      copied('spray', () => ({ title: 'Last look', use: [], wants: { kinds: [] } })),
    ),
    ['wet-on-wet'],
  ),
  broken(
    'layers',
    'a silicone base straight on a water primer',
    { skin: 'honey', look: HARBOUR },
    all(
      withProduct('Primer where it needs it', () => ({ family: 'water' })),
      withProduct('Base', (p) => ({ family: 'silicone', lab: p.lab })),
      withStep('Primer where it needs it', () => ({ waitMinutes: 1 })),
    ),
    ['family-conflict'],
    ['wet-on-wet', 'base-off-skin', 'base-off-neck', 'base-for-long', 'more-than-needed'],
  ),
  sound(
    'layers',
    'a silicone base on a water primer that has settled',
    { skin: 'rose', look: HARBOUR, measurements: {} },
    all(
      withProduct('Primer where it needs it', () => ({ family: 'water' })),
      withStep('Primer where it needs it', () => ({ waitMinutes: 3 })),
    ),
  ),
  broken(
    'layers',
    'oil under a water base slides, also after a wait',
    { skin: 'cedar', look: HARBOUR },
    all(
      withProduct('Primer where it needs it', () => ({ family: 'oil' })),
      withStep('Primer where it needs it', () => ({ waitMinutes: 6 })),
    ),
    ['family-conflict'],
  ),
  broken(
    'layers',
    'a base laid thick',
    { skin: 'amber', look: HARBOUR },
    withStep('Base', () => ({ doseMgPerCm2: 1.9 })),
    ['heavy-base'],
  ),
  broken(
    'layers',
    'two thin bases on one another are a thick one',
    { skin: 'oat', look: HARBOUR },
    all(
      withStep('Base', () => ({ doseMgPerCm2: 0.9 })),
      copied('Base', () => ({ title: 'Base again', doseMgPerCm2: 0.9 })),
    ),
    ['heavy-base'],
    ['more-than-needed', 'too-many-layers-under-eye', 'unnecessary-minutes'],
  ),
  sound(
    'layers',
    'a touch more base on the chin is no mask',
    { skin: 'oat', look: HARBOUR },
    copied('Base', (step) => ({
      title: 'Base again',
      doseMgPerCm2: 0.4,
      placements: at('zone.chin'),
      handsOnMinutes: 1,
      use: step.use.map((u) => ({ ...u, parts: u.parts / 70 })),
    })),
  ),
  broken(
    'layers',
    'a moisturiser gets no time before what comes on it',
    { skin: 'walnut', look: HARBOUR },
    withStep('Clean and calm', () => ({ phase: 'prep', waitMinutes: 0 })),
    ['wet-on-wet'],
    ['family-conflict', 'clean-first'],
  ),
  sound(
    'layers',
    'what cleans comes off, and dries for nobody',
    { skin: 'walnut', look: HARBOUR },
    withStep('Clean and calm', () => ({ phase: 'clean', waitMinutes: 0 })),
  ),
  sound(
    'layers',
    'a base of another family, eyes done while the primer settles',
    { skin: 'shell', look: HARBOUR },
    all(
      withProduct('Primer where it needs it', () => ({ family: 'water' })),
      withStep('Primer where it needs it', () => ({ waitMinutes: 0 })),
      movedTo('brow', 'after', 'Primer where it needs it'),
    ),
  ),
  sound(
    'layers',
    'a base of one milligram is full, not thick',
    { skin: 'amber', look: HARBOUR },
    withStep('Base', () => ({ doseMgPerCm2: 1 })),
  ),
  broken(
    'layers',
    'powder left to settle on dry skin',
    { skin: 'oat', look: HARBOUR, features: { dry: true } },
    withStep('Set where it moves', () => ({ waitMinutes: 3, doseMgPerCm2: 0.6 })),
    ['thick-powder-on-lines'],
  ),
  broken(
    'layers',
    'settled powder under the one eye that is lined',
    { skin: 'sand', look: HARBOUR, features: { right: { lines: ['under eye'] } } },
    copied('Set where it moves', () => ({
      title: 'Settle under the eye',
      placements: underEye,
      waitMinutes: 3,
      doseMgPerCm2: 0.3,
    })),
    ['thick-powder-on-lines'],
  ),
  broken(
    'layers',
    'settled powder under eyes that are dry',
    { skin: 'walnut', look: HARBOUR, features: { dryZones: ['under the eyes'] } },
    copied('Set where it moves', () => ({
      title: 'Settle under the eye',
      placements: underEye,
      waitMinutes: 3,
      doseMgPerCm2: 0.3,
    })),
    ['thick-powder-on-lines'],
  ),
  sound(
    'layers',
    'settled powder on the forehead of somebody dry at the cheeks',
    { skin: 'honey', look: HARBOUR, features: { oily: ['forehead', 'nose'], dryZones: ['cheeks'] } },
    copied('Set where it moves', () => ({
      title: 'Settle on the forehead',
      placements: [{ guide: 'zone.foreheadCentre', side: 'both' }],
      waitMinutes: 3,
      doseMgPerCm2: 0.3,
    })),
  ),
  sound(
    'layers',
    'settled powder under the other eye alone',
    { skin: 'sand', look: HARBOUR, features: { right: { lines: ['under eye'] } } },
    copied('Set where it moves', () => ({
      title: 'Settle under the eye',
      placements: [{ guide: 'zone.underEye', side: 'left' }],
      waitMinutes: 3,
      doseMgPerCm2: 0.3,
    })),
  ),
  sound(
    'layers',
    'settled powder on young oily skin',
    { skin: 'honey', look: HARBOUR, features: { oily: ['forehead', 'nose'] } },
    withStep('Set where it moves', () => ({ waitMinutes: 3 })),
  ),
  broken(
    'layers',
    'the concealer waits half an hour for its powder',
    { skin: 'walnut', look: HARBOUR },
    withStep('Contour the cheek', () => ({ handsOnMinutes: 28 })),
    ['set-too-late'],
  ),
  broken(
    'layers',
    'a concealer that is never set',
    { skin: 'russet', look: HARBOUR },
    without('Set where it moves'),
    ['set-too-late'],
  ),
  broken(
    'layers',
    'buffing over an airbrushed base',
    { skin: 'honey', look: HARBOUR },
    all(
      taught,
      withStep('Contour the forehead', () => ({ technique: 'buff', tool: 'dense brush' })),
    ),
    ['rub-after-airbrush'],
    ['eyes-first'],
  ),
  sound('layers', 'an airbrushed base as it is taught', { skin: 'honey', look: HARBOUR }, taught),
  sound(
    'layers',
    'buffing where no airbrush went rubs nothing',
    { skin: 'sand', look: HARBOUR },
    all(
      taught,
      withStep('Shade under the jaw', () => ({
        technique: 'buff',
        tool: 'dense brush',
        placements: at('zone.decollete'),
      })),
    ),
  ),
  broken(
    'layers',
    'eyes after the airbrush',
    { skin: 'jet', look: HARBOUR },
    withStep('Base', () => ({ tool: 'airbrush', technique: 'spray', passes: 4, doseMgPerCm2: 0.12 })),
    ['eyes-after-airbrush'],
    ['rub-after-airbrush', 'eyes-first'],
  ),
  broken(
    'layers',
    'one pass of the airbrush',
    { skin: 'olive', look: HARBOUR },
    all(
      taught,
      withStep('Base', () => ({ passes: 1 })),
    ),
    ['airbrush-passes'],
  ),
  broken(
    'layers',
    'a sprayed contour with the flow open',
    { skin: 'cedar', look: HARBOUR },
    withStep('Contour the cheek', () => ({ tool: 'airbrush', technique: 'spray', flow: 'fully open' })),
    ['airbrush-contour-flow'],
    ['tool-off-product'],
  ),
  ...(['milk', 'amber', 'jet'] as const).flatMap((skin) => [
    broken(
      'layers',
      `powder blush pressed on with a finger on ${skin} skin is a stain`,
      { skin, look: HARBOUR },
      all(
        withProduct('blush', () => ({ texture: 'pressed', family: 'powder' })),
        withStep('blush', () => ({ tool: 'finger', technique: 'press' })),
      ),
      ['tool-off-product'],
      ['cream-over-powder', 'family-conflict'],
    ),
    sound(
      'layers',
      `cream blush pressed on with a finger on ${skin} skin`,
      { skin, look: HARBOUR },
      all(
        withProduct('blush', () => ({ texture: 'cream', family: 'wax' })),
        withStep('blush', () => ({ tool: 'finger', technique: 'press' })),
      ),
    ),
  ]),
  broken(
    'layers',
    'nine layers on one place',
    { skin: 'sand', look: HARBOUR },
    all(
      ...Array.from({ length: 6 }, (_, i) =>
        copied('Base', () => ({ title: `Base ${i + 2}`, doseMgPerCm2: 0.2, handsOnMinutes: 2 })),
      ),
    ),
    ['too-many-layers'],
    ['too-many-layers-under-eye', 'more-than-needed', 'heavy-base'],
  ),
  broken(
    'layers',
    'a full base over a contour painted beneath',
    { skin: 'moss', look: HARBOUR },
    all(
      onChart((chart) => ({ ...chart, schools: { ...chart.schools, contour: 'under base' as const } })),
      withProduct('Base', () => ({ coverage: 'full' })),
    ),
    ['under-school-coverage'],
    ['base-off-skin', 'base-for-long', 'base-off-neck'],
  ),
  sound(
    'layers',
    'dry on all sides: light touch for a tremor',
    {
      skin: 'shell',
      look: HARBOUR,
      features: { headTremor: true, dry: true, age: 'mature', lines: ['forehead', 'smile'] },
    },
    withFeatures({}),
  ),
];
