/** Ends an exhaustive switch: reaching it means a kind was added and not handled. */
export function never(value: never, where: string): Error {
  return new Error(`${where}: no case for ${JSON.stringify(value)}`);
}
