import { ValidationError, type Schema } from 'yup';

export const ID = '0190a3c2-0000-7000-8000-000000000001';
export const AT = '2031-05-14T07:30:00Z';
export const letters = (n: number): string => 'n'.repeat(n);
export const many = <T>(n: number, one: T): T[] => Array.from({ length: n }, () => one);

/** What a form says of a body, each as 'field: sentence'. */
export async function problems(schema: Schema, body: unknown): Promise<string[]> {
  try {
    // As the server asks: nothing is dropped before it can be refused.
    await schema.validate(body, { abortEarly: false, stripUnknown: false });
    return [];
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    return (error.inner.length > 0 ? error.inner : [error]).map((one) => `${one.path ?? ''}: ${one.message}`);
  }
}

/**
 * A field of a form ('a.b' for one inside another), what is written there (undefined: left out), and what is
 * said of it; null where it is taken.
 */
export type Row = readonly [field: string, value: unknown, said: string | null];
/** A form by its name, a body it takes, and what is tried in it. */
export type Form = readonly [name: string, schema: Schema, sound: object, rows: readonly Row[]];

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

function put(body: object, [field = '', ...inside]: readonly string[], value: unknown): object {
  const was = isRecord(body) ? body[field] : undefined;
  return { ...body, [field]: inside.length === 0 ? value : put(isRecord(was) ? was : {}, inside, value) };
}

/** Tests of forms: what is sound is taken, and what is not is said beside its field, in our words. */
export function tryForms(forms: readonly Form[]): void {
  describe.each(forms)('%s', (_, schema, sound, rows) => {
    test('that is sound is taken; a field it does not know is not', async () => {
      expect(await problems(schema, sound)).toEqual([]);
      const told = await problems(schema, { ...sound, misspelt: 1 });
      expect(told.join('\n')).toContain('misspelt is not known here');
    });

    test.each(rows.map((row, i) => [i, ...row] as const))('%d: %s', async (__, field, value, said) => {
      const told = await problems(schema, put(sound, field.split('.'), value));
      if (said === null) expect(told).toEqual([]);
      else expect(told.filter((one) => one.startsWith(field)).join('\n')).toContain(said);
    });
  });
}
