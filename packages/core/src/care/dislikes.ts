import {
  DENIED,
  DISLIKE_KINDS,
  DISLIKE_WORDS,
  IS_LIKE,
  LIKED,
  NOT_MEANT,
  NOT_MINDED,
  type DislikeKind,
} from './dislikeWords';

/** Something a client never wants again, as far as words for it are known. */
export type Dislike = {
  readonly kind: DislikeKind;
  /** In the client's words: the part of what was said that names it. */
  readonly said: string;
};

/**
 * What somebody dislikes, by the words they answered the question with: all that is named is disliked, but
 * for what they say they like or do not mind. English; what it does not know is still to be read.
 */
export function dislikesOf(text: string | undefined): Dislike[] {
  const found = new Map<DislikeKind, string>();
  for (const said of partsOf(text ?? '')) {
    let rest = said.toLowerCase().replace(/[’‘`]/g, "'").replace(/\s+/g, ' ').replace(NOT_MEANT, ' ');
    if (isLiked(rest)) continue;
    for (const [kind, words] of DISLIKE_WORDS)
      rest = rest.replace(words, (match) => {
        if (!found.has(kind)) found.set(kind, said);
        return ' '.repeat(match.length);
      });
  }
  return DISLIKE_KINDS.flatMap((kind) => {
    const said = found.get(kind);
    return said === undefined ? [] : [{ kind, said }];
  });
}

function isLiked(part: string): boolean {
  const said = part.replace(IS_LIKE, ' ');
  const rest = said.replace(NOT_MINDED, ' ');
  return rest !== said || (LIKED.test(rest) && !DENIED.test(rest));
}

/** Sentences and their parts: a comma or a "but" begins another. */
const partsOf = (text: string): string[] =>
  text
    .split(/[\n\r;!?,]+|\.(?=\s|$)|\s(?=(?:but|though|although|however)\s)/)
    .map((part) => part.trim())
    .filter((part) => part !== '');
