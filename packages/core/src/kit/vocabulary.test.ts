import { finishTold, forEyesTold, kindsTold, proposedProperties, textureTold, waterproofTold } from '.';
import { product } from '../look/look.testing';
import {
  FINISH_FORMS,
  FOR_EYES_FORMS,
  KIND_FORMS,
  LONG_FORMS,
  NO_PRODUCT_FORMS,
  NOT_FOR_EYES_FORMS,
  TEXTURE_FORMS,
  TRANSFER_FORMS,
  WATERPROOF_FORMS,
} from './vocabulary.testing';

/** Those of a list of which something does not hold: named where it fails. */
const not = (list: readonly string[], holds: (form: string) => boolean): readonly string[] =>
  list.filter((form) => !holds(form));
const named = (line: string) => proposedProperties(product(1, 'base', [60, 10, 18], { line, shade: 'One' }));
const bare = named('Veil');

describe('every form of every word', () => {
  test.each(Object.entries(KIND_FORMS))(
    'that means %s, in any case and with signs about it',
    (kind, forms) => {
      const tells = (text: string): boolean => kindsTold(text).some((one) => one === kind);
      expect(not(forms, tells)).toEqual([]);
      expect(not(forms, (form) => tells(form.toUpperCase()))).toEqual([]);
      expect(not(forms, (form) => tells(`Tern ${form} (12 ml)`))).toEqual([]);
      expect(not(forms, (form) => tells(form.replaceAll(' ', '_')))).toEqual([]);
    },
  );

  test('of a kind tells none inside of another word', () => {
    const inside = Object.entries(KIND_FORMS).flatMap(([kind, forms]) =>
      forms
        .filter((form) => /^[a-z]+$/.test(form))
        .filter((form) => kindsTold(`zq${form}qz`).some((one) => one === kind)),
    );
    expect(inside).toEqual([]);
  });

  test('that is no product at all is none', () => {
    expect(not(NO_PRODUCT_FORMS, (form) => kindsTold(form).length === 0)).toEqual([]);
    // Even of what would be one: a brow brush is a brush.
    expect(not(NO_PRODUCT_FORMS, (form) => kindsTold(`foundation ${form}`).length === 0)).toEqual([]);
  });

  test.each(Object.entries(TEXTURE_FORMS))('of a texture: %s', (texture, forms) => {
    expect(not(forms, (form) => textureTold(form) === texture)).toEqual([]);
    expect(not(forms, (form) => textureTold(`Tern ${form.toUpperCase()}, 12 ml`) === texture)).toEqual([]);
    const inside = forms.filter((form) => /^[a-z]+$/.test(form) && textureTold(`zq${form}qz`) === texture);
    expect(inside).toEqual([]);
  });

  test.each(Object.entries(FINISH_FORMS))('of a finish: %s', (finish, forms) => {
    expect(not(forms, (form) => finishTold(form) === finish)).toEqual([]);
    expect(not(forms, (form) => finishTold(`Tern ${form} 3`) === finish)).toEqual([]);
  });

  test('of the eyes, and not for them', () => {
    expect(not(FOR_EYES_FORMS, (form) => forEyesTold(form) === true)).toEqual([]);
    expect(not(NOT_FOR_EYES_FORMS, (form) => forEyesTold(form) === false)).toEqual([]);
    for (const form of ['foundation', 'lip balm', 'face cream', 'eyelet', 'somebody’s'])
      expect([form, forEyesTold(form)]).toEqual([form, null]);
  });

  test('of what holds: in tears, for long, without a trace; taken back it holds nothing', () => {
    const each = [
      [WATERPROOF_FORMS, (line: string) => named(line).waterproof],
      [LONG_FORMS, (line: string) => named(line).wearHours > bare.wearHours],
      [TRANSFER_FORMS, (line: string) => named(line).transferProof],
    ] as const;
    for (const [forms, holds] of each) {
      expect(not(forms, holds)).toEqual([]);
      expect(not(forms, (form) => holds(form.toUpperCase()))).toEqual([]);
      expect(forms.filter((form) => /^[a-z]+$/.test(form) && holds(`zq${form}qz`))).toEqual([]);
      expect(holds('Veil')).toBe(false);
    }
    expect(not(WATERPROOF_FORMS, waterproofTold)).toEqual([]);
    expect(WATERPROOF_FORMS.filter((form) => waterproofTold(`not ${form}`))).toEqual([]);
    expect(WATERPROOF_FORMS.filter((form) => waterproofTold(`never really ${form}`))).toEqual([]);
  });
});
