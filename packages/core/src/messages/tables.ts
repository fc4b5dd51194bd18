import { term } from './msg';

/**
 * Every text of a table of messages, told in the language of whoever reads when it is read; `of` as in
 * `term`.
 */
export function messages<T extends object>(table: T, of?: string): T {
  for (const [name, value] of written(table)) toldWhenRead(table, name, value, () => true, of);
  return table;
}

/**
 * A table whose texts under these names are messages, in lists under them too; all else is left alone. `of`
 * as in `term`.
 */
export function messagesIn<T extends object>(names: readonly string[], table: T, of?: string): T {
  const asked = new Set(names);
  for (const [name, value] of written(table)) toldWhenRead(table, name, value, (key) => asked.has(key), of);
  return table;
}

/**
 * What is written in a table: what another table has made its own already is not read, which would freeze it.
 */
const written = (table: object): [string, unknown][] =>
  Object.entries(Object.getOwnPropertyDescriptors(table)).flatMap(([name, { get, value, enumerable }]) =>
    get || !enumerable ? [] : [[name, value]],
  );

function toldWhenRead(
  table: object,
  name: string,
  value: unknown,
  isMessage: (name: string) => boolean,
  of: string | undefined,
): void {
  if (typeof value === 'string') {
    if (isMessage(name))
      Object.defineProperty(table, name, {
        get: () => term(value, of),
        enumerable: true,
        configurable: true,
      });
  } else if (typeof value === 'object' && value !== null) {
    const inList = Array.isArray(value) && isMessage(name) ? () => true : isMessage;
    for (const [key, one] of written(value)) toldWhenRead(value, key, one, inList, of);
  }
}
