import { term } from './msg';

/** Every text of a table of messages, told in the language of whoever reads when it is read. */
export function messages<T extends object>(table: T): T {
  for (const [name, value] of Object.entries(table)) toldWhenRead(table, name, value, () => true);
  return table;
}

/** A table whose texts under these names are messages; all else is left alone. */
export function messagesIn<T extends object>(names: readonly string[], table: T): T {
  const asked = new Set(names);
  for (const [name, value] of Object.entries(table)) toldWhenRead(table, name, value, (key) => asked.has(key));
  return table;
}

function toldWhenRead(table: object, name: string, value: unknown, isMessage: (name: string) => boolean): void {
  if (typeof value === 'string' && isMessage(name))
    Object.defineProperty(table, name, { get: () => term(value), enumerable: true, configurable: true });
  else if (Array.isArray(value)) {
    for (const [i, one] of value.entries()) toldWhenRead(value, String(i), one, (key) => isMessage(key === String(i) ? name : key));
  } else if (typeof value === 'object' && value !== null)
    for (const [key, one] of Object.entries(value)) toldWhenRead(value, key, one, isMessage);
}
