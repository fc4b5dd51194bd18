import { GUIDE_NAMES, GUIDES_OF_SKIN, isAtEyesOrLips, touchesEyes, type Placement } from '.';

type GuideName = (typeof GUIDE_NAMES)[number];
const at = (...guides: readonly GuideName[]): { placements: Placement[] } => ({
  placements: guides.map((guide) => ({ guide, side: 'both' })),
});

test('brows, lids, lashes and lips are told from the skin of the face', () => {
  expect(GUIDE_NAMES.filter((guide) => isAtEyesOrLips(at(guide))).sort()).toEqual(
    [
      'brow',
      ...['lid', 'innerLid', 'outerLid', 'lidCentre', 'socket', 'openLid', 'lowerLashes', 'lowerLine'],
      ...['liner', 'tightLine', 'lashes'],
      ...['lips', 'lipCentre', 'lowerLipOnly', 'lipLine'],
      ...['zone.mobileLid', 'zone.crease', 'zone.browBone', 'zone.upperLip', 'zone.lowerLip'],
    ].sort(),
  );
});

test('all of it lies there: one place of the skin, one drawn by hand or none at all is enough against it', () => {
  expect(isAtEyesOrLips(at('lid', 'lips'))).toBe(true);
  expect(isAtEyesOrLips(at('lid', 'zone.foreheadCentre'))).toBe(false);
  expect(isAtEyesOrLips({ placements: [] })).toBe(false);
  const outline: [number, number][] = [
    [20, 0],
    [30, 0],
    [25, 5],
  ];
  expect(isAtEyesOrLips({ placements: [{ outline, featherMm: 2, side: 'both' }] })).toBe(false);
  for (const guides of Object.values(GUIDES_OF_SKIN)) expect(isAtEyesOrLips(at(...guides))).toBe(false);
});

test('lids and lashes are touched by any one place of theirs; brows, and what lies beside, are not the eyes', () => {
  expect(GUIDE_NAMES.filter((guide) => touchesEyes(at(guide).placements)).sort()).toEqual(
    [
      ...['lid', 'innerLid', 'outerLid', 'lidCentre', 'socket', 'openLid', 'lowerLashes', 'lowerLine'],
      ...['liner', 'tightLine', 'lashes', 'zone.mobileLid', 'zone.crease'],
    ].sort(),
  );
  expect(touchesEyes(at('zone.wholeFace', 'zone.mobileLid').placements)).toBe(true);
  expect(touchesEyes(at('zone.wholeFace', 'zone.underEye', 'brow').placements)).toBe(false);
  expect(touchesEyes([])).toBe(false);
});
