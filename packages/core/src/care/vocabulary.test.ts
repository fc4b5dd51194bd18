import { dislikesOf, heedsOf, type DislikeKind, type HeedKind } from '.';
import {
  ASKED_FORMS,
  DENIED_FORMS,
  DISLIKE_FORMS,
  ELSEWHERE_FORMS,
  FACE_FORMS,
  HEED_FORMS,
  IS_LIKE_FORMS,
  LIKED_FORMS,
  LONG_AGO_FORMS,
  NOT_A_NO_FORMS,
  NOT_MEANT_FORMS,
  NOT_MINDED_FORMS,
  NO_FORMS,
  RETURNS_FORMS,
  SOUNDS_ALIKE_FORMS,
  STILL_FORMS,
} from './vocabulary.testing';

const minded = (conditions: string): string =>
  heedsOf({ conditions })
    .map(({ kind }) => kind)
    .join();
const treated = (treatments: string): string =>
  heedsOf({ treatments })
    .map(({ kind }) => kind)
    .join();
const disliked = (text: string): readonly DislikeKind[] => dislikesOf(text).map(({ kind }) => kind);
/** Those of a list of which something does not hold: named where it fails. */
const not = (list: readonly string[], holds: (form: string) => boolean): readonly string[] =>
  list.filter((form) => !holds(form));

describe('every form of every word', () => {
  test.each(Object.entries(HEED_FORMS))('of %s is minded, by itself and among other words', (kind, forms) => {
    const says = (text: string): boolean => heedsOf({ conditions: text }).some((h) => h.kind === kind);
    expect(not(forms, says)).toEqual([]);
    expect(not(forms, (form) => says(`Well, ${form.toUpperCase()} since May.`))).toEqual([]);
  });

  test('of what is minded says nothing inside of another word', () => {
    const inside = (Object.entries(HEED_FORMS) as [HeedKind, readonly string[]][]).flatMap(([kind, forms]) =>
      forms
        .filter((form) => !form.includes(' ') && !form.includes('-'))
        .filter((form) => heedsOf({ conditions: `zq${form}qz` }).some((h) => h.kind === kind)),
    );
    expect(inside).toEqual([]);
  });

  test.each(Object.entries(DISLIKE_FORMS))('of %s is heard as a dislike', (kind, forms) => {
    const says = (text: string): boolean => disliked(text).some((one) => one === kind);
    expect(not(forms, says)).toEqual([]);
    expect(not(forms, (form) => says(`Please never ${form}!`))).toEqual([]);
  });

  test('that denies, denies; that goes on from a no takes it back', () => {
    expect(not(NO_FORMS, (no) => minded(`${no} cold sore`) === '')).toEqual([]);
    expect(not(NOT_A_NO_FORMS, (word) => minded(`not ${word} a stye`) === 'open or infected')).toEqual([]);
  });

  test('for a place that is no face quiets what is there; of a face it does not', () => {
    expect(not(ELSEWHERE_FORMS, (place) => minded(`psoriasis ${place}`) === '')).toEqual([]);
    expect(not(FACE_FORMS, (p) => minded(`eczema on my hands and ${p}`) === 'easily broken')).toEqual([]);
  });

  test('for long ago is over, but for what goes on and what comes back', () => {
    expect(not(LONG_AGO_FORMS, (when) => treated(`a laser ${when}`) === '')).toEqual([]);
    expect(not(STILL_FORMS, (w) => treated(`a laser two years ago ${w}`) === 'treated lately')).toEqual([]);
    expect(not(RETURNS_FORMS, (w) => minded(`${w} two years ago`) === 'open or infected')).toEqual([]);
  });

  test('that only sounds like it is left alone; a noun is a treatment where treatments were asked', () => {
    expect(not(SOUNDS_ALIKE_FORMS, (form) => minded(form) === '' && treated(form) === '')).toEqual([]);
    expect(not(ASKED_FORMS, (form) => treated(form) === 'treated lately')).toEqual([]);
    expect(minded('wax, a lift and a tint')).toBe('');
  });

  test('of liking, minding and denying turns a dislike as it stands', () => {
    expect(not(NOT_MEANT_FORMS, (form) => disliked(form).length === 0)).toEqual([]);
    expect(not(NOT_MINDED_FORMS, (form) => disliked(`${form} shimmer`).length === 0)).toEqual([]);
    expect(not(LIKED_FORMS, (form) => disliked(`${form} shimmer`).length === 0)).toEqual([]);
    expect(not(DENIED_FORMS, (form) => disliked(`I ${form} like shimmer`).includes('shimmer'))).toEqual([]);
    expect(not(IS_LIKE_FORMS, (form) => disliked(`shimmer ${form} paint`).includes('shimmer'))).toEqual([]);
  });
});
