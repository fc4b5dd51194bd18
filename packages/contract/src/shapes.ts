import type { TSchema } from '@sinclair/typebox';
import { Value } from '@sinclair/typebox/value';
import { mixed, string, type MixedSchema } from 'yup';
import { INSTANT_PATTERN, isDay, msg, UUID_PATTERN } from '@toile/core';

/** A Yup field that holds a document part described by core's schema: the rule stays written once. */
export function documentPart<T extends object>(
  schemaOf: TSchema | ((value: unknown) => TSchema),
  what: () => string,
): MixedSchema<T | undefined> {
  return mixed<T>((value): value is T => value !== null && typeof value === 'object').test(
    'shape',
    () => msg`${what()} is not complete`,
    function (value) {
      if (value === undefined || value === null) return true;
      const schema = typeof schemaOf === 'function' ? schemaOf(value) : schemaOf;
      const first = Value.Errors(schema, value).First();
      return first
        ? this.createError({ path: `${this.path}${first.path.replace(/\//g, '.')}`, message: first.message })
        : true;
    },
  );
}

const UUID = new RegExp(UUID_PATTERN);
export const isUuid = (text: string): boolean => UUID.test(text);

/** A Yup field for a day of the calendar as YYYY-MM-DD. */
export const day = () =>
  string().test(
    'day',
    () => msg`A date, as 2031-05-14`,
    (value: string | null | undefined) =>
      value === undefined || value === null || value === '' || isDay(value),
  );

const INSTANT = new RegExp(INSTANT_PATTERN);
/** A Yup field for an instant in UTC, as 2031-05-14T09:20:00Z. */
export const instant = () => string().matches(INSTANT, () => msg`an instant in UTC`);
