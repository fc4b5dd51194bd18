import ts from 'typescript';

/** Words that something is compared with: a text as it is written, or a message as it is told. */
export type Compared = {
  readonly where: string;
  readonly text: string;
  /** Null for a message. */ readonly property: string | null;
};

const EQUALITIES: readonly ts.SyntaxKind[] = [
  ts.SyntaxKind.EqualsEqualsEqualsToken,
  ts.SyntaxKind.ExclamationEqualsEqualsToken,
];

/** What a comparison holds a property against, if it is words; null for any other node. */
export function comparedIn(node: ts.Node): Omit<Compared, 'where'> | null {
  if (!ts.isBinaryExpression(node) || !EQUALITIES.includes(node.operatorToken.kind)) return null;
  for (const [words, other] of [
    [node.right, node.left],
    [node.left, node.right],
  ] as const) {
    if (isMessage(words)) return { text: words.getText(), property: null };
    if (!ts.isStringLiteralLike(words) || words.text === '') continue;
    const property = ts.isPropertyAccessExpression(other)
      ? other.name.text
      : ts.isIdentifier(other)
        ? other.text
        : null;
    if (property !== null) return { text: words.text, property };
  }
  return null;
}

const isMessage = (node: ts.Node): boolean =>
  (ts.isTaggedTemplateExpression(node) && /^(msg|plural\()/.test(node.tag.getText())) ||
  (ts.isCallExpression(node) && node.expression.getText() === 'term');

/**
 * Whether what is compared is told: a message; a text that stands in a table under the same name; a message
 * that begins as a sentence or a title does. Other words are ids that happen to be told elsewhere.
 */
export const isTelling = (
  { text, property }: Pick<Compared, 'text' | 'property'>,
  messages: ReadonlyMap<string, string>,
  inTables: ReadonlySet<string>,
): boolean =>
  property === null ||
  inTables.has(`${property} ${text}`) ||
  (/^\p{Lu}\p{Ll}/u.test(text) && messages.has(text));
