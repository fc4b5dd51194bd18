import fc from 'fast-check';
import {
  deltaE2000,
  fitLook,
  lookFromChart,
  OCCASIONS,
  usualOccasion,
  wantedColour,
  type ClientSnapshot,
  type Look,
} from '@toile/core';
import { client, FULL, one, SEED } from './any.testing';
import { idFor } from './ids';
import { STARTER_LOOKS } from './starterLooks';

// A look fitted to anybody and cut from their chart again is the look it was: nothing that one face, one skin
// or one day asked for goes on to the next client.
const stamp = (name: string) => ({ id: idFor(name), author: 'Ada', at: '2031-05-01T09:00:00Z', reason: '' });
const NOTHING: Look['forbids'] = { finishes: [], kinds: [] };
const cut = (look: Look, who: ClientSnapshot, day: ReturnType<typeof usualOccasion>): Look =>
  lookFromChart(
    fitLook(look, who, FULL, day, stamp('worn')).chart,
    { name: look.name, description: '', tags: [], parts: {}, forbids: look.forbids ?? NOTHING },
    stamp('cut'),
    FULL,
  );
const day = one(OCCASIONS).map((kind) => usualOccasion(kind, '2031-05-14'));

test('whoever it was fitted to, it has the steps, the places and the doses it had', () => {
  fc.assert(
    fc.property(one(STARTER_LOOKS), client, day, (look, who, occasion) => {
      const again = cut(look, who, occasion);
      const told = ({ steps }: Look) =>
        steps
          .map(
            ({ id, role, phase, title, doseMgPerCm2, passes, tool, technique, placements, note, wants }) => ({
              id,
              role,
              phase,
              title,
              doseMgPerCm2,
              passes,
              tool,
              technique,
              // The limits of a face may have brought one in.
              placements: placements.map((p) => ('guide' in p ? `${p.guide} ${p.side}` : 'drawn')),
              note,
              kinds: wants.kinds,
            }),
          )
          .sort((a, b) => a.id.localeCompare(b.id));
      expect(told(again)).toEqual(told(look));
    }),
    { numRuns: 24, seed: SEED },
  );
});

test('and asks of somebody else the colours it asked of them', () => {
  fc.assert(
    fc.property(one(STARTER_LOOKS), client, client, day, (look, who, other, occasion) => {
      const again = cut(look, who, occasion);
      for (const step of look.steps) {
        const [asked, now] = [step, again.steps.find(({ id }) => id === step.id)!].map((one) =>
          wantedColour(one, other, look.schools.contrast),
        );
        if (asked && now) expect(deltaE2000(asked, now)).toBeLessThanOrEqual(1);
      }
    }),
    { numRuns: 24, seed: SEED },
  );
});
