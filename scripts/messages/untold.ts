import ts from 'typescript';

/** Whether a text says something to somebody: it has letters. */
export const says = (text: string): boolean => /\p{L}/u.test(text);

/**
 * English words a value put into a message can be, by what it is made of: a literal, either branch of a
 * choice, a variable's or a pattern's first value, a word of a list, a type that has its words.
 */
export function wordsOf(
  checker: ts.TypeChecker,
  expression: ts.Expression,
  seen = new Set<ts.Node>(),
): string[] {
  if (seen.has(expression)) return [];
  seen.add(expression);
  const of = (one: ts.Expression): string[] => wordsOf(checker, one, seen);
  if (
    ts.isParenthesizedExpression(expression) ||
    ts.isNonNullExpression(expression) ||
    ts.isAsExpression(expression)
  )
    return of(expression.expression);
  if (ts.isStringLiteralLike(expression)) return isWord(expression.text) ? [expression.text] : [];
  if (ts.isTemplateExpression(expression))
    return [expression.head.text, ...expression.templateSpans.map(({ literal }) => literal.text)].some(isWord)
      ? [expression.getText()]
      : expression.templateSpans.flatMap((span) => of(span.expression));
  if (ts.isConditionalExpression(expression))
    return [...of(expression.whenTrue), ...of(expression.whenFalse)];
  if (ts.isBinaryExpression(expression)) return [...of(expression.left), ...of(expression.right)];
  if (ts.isArrayLiteralExpression(expression)) return expression.elements.flatMap(of);
  if (ts.isIdentifier(expression)) {
    const declared = checker.getSymbolAtLocation(expression)?.valueDeclaration;
    if (declared && ts.isVariableDeclaration(declared) && declared.initializer)
      return of(declared.initializer);
    if (declared && ts.isBindingElement(declared)) {
      const whole = declared.parent.parent;
      if (ts.isArrayBindingPattern(declared.parent) && ts.isVariableDeclaration(whole) && whole.initializer)
        return of(whole.initializer);
    }
  }
  if (ts.isCallExpression(expression)) {
    const declared = checker.getResolvedSignature(expression)?.declaration;
    const body = declared && 'body' in declared ? declared.body : undefined;
    if (!body || /^(term|plural|msg)$/.test(expression.expression.getText())) return [];
    return returnsOf(body).flatMap(of);
  }
  if (ts.isPropertyAccessExpression(expression) && isTold(checker.getSymbolAtLocation(expression.name)))
    return [];
  const type = checker.getTypeAtLocation(expression);
  const literals = (one: ts.Type): string[] =>
    one.isUnion()
      ? one.types.flatMap(literals)
      : one.isStringLiteral() && isWord(one.value)
        ? [one.value]
        : [];
  return literals(type);
}

/** Units are written alike everywhere. */
const isWord = (text: string): boolean =>
  (text.match(/\p{L}{2,}/gu) ?? []).some((word) => !['mm', 'mg', 'ml'].includes(word));

/** Whether something stands in a table that tells its texts. */
export const isInTable = (node: ts.Node): boolean =>
  (ts.isCallExpression(node) && /^messages(In)?$/.test(node.expression.getText())) ||
  (!ts.isSourceFile(node) && isInTable(node.parent));

/** Whether all that declares a property stands in a table that tells its texts. */
function isTold(symbol: ts.Symbol | undefined): boolean {
  return (symbol?.declarations?.length ?? 0) > 0 && symbol!.declarations!.every(isInTable);
}

/** What a function gives back: the expression of an arrow, or of every return of its own. */
function returnsOf(body: ts.Node): ts.Expression[] {
  if (!ts.isBlock(body)) return ts.isExpression(body) ? [body] : [];
  const found: ts.Expression[] = [];
  const visit = (node: ts.Node): void => {
    if (ts.isReturnStatement(node) && node.expression) found.push(node.expression);
    else if (!ts.isFunctionLike(node)) ts.forEachChild(node, visit);
  };
  visit(body);
  return found;
}

/** Read by whoever runs a server, or by a program: commands, settings, formats, what a route does. */
export const READ_BY_PROGRAMS = new RegExp(
  [
    '^packages/contract/src/(routes/list|schemas)',
    '^packages/core/src/(formats/|schema\\.ts)',
    '^server/src/(backup/|setup/|environment|http/metrics)',
  ].join('|'),
);

/** A text that reads as a sentence and is told by nobody: null for all else. */
export function sentenceOf(node: ts.Node): string | null {
  const text = ts.isStringLiteralLike(node)
    ? node.text
    : ts.isTemplateExpression(node)
      ? [node.head.text, ...node.templateSpans.map(({ literal }) => literal.text)].join('…')
      : null;
  if (text === null || !/^[\p{Lu}…].*\p{L}{3,} [\p{L}…]{2,}/u.test(text)) return null;
  const { parent } = node;
  const told =
    ts.isTaggedTemplateExpression(parent) ||
    ts.isNewExpression(parent) ||
    ts.isLiteralTypeNode(parent) ||
    isId(parent);
  return told ? null : text;
}

const isId = (node: ts.Node): boolean =>
  ts.isPropertyAssignment(node) && ['id', 'key', 'path'].includes(node.name.getText());
