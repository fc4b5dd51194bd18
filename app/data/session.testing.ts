import type { SessionAnswer } from '@toile/contract';

/** Two people of one studio, for tests of who is in. */
export const INES: SessionAnswer = {
  name: 'Ines Marlow',
  email: 'ines@reed.example',
  role: 'owner',
  studio: { id: '01890000-0000-7000-8000-000000000001', name: 'Reed and Rush' },
};
export const RUNA: SessionAnswer = { ...INES, name: 'Runa Dell', email: 'runa@reed.example' };
