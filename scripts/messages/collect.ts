import { readdirSync } from 'node:fs';
import path from 'node:path';
import ts from 'typescript';
import { comparedIn, isTelling, type Compared } from './compared';
import { isInTable, READ_BY_PROGRAMS, says, sentenceOf, wordsOf } from './untold';

/**
 * A message with where it is told; a text on a screen that is told in English alone; and told words that are
 * compared, which are other words in another language.
 */
export type Collected = {
  readonly messages: ReadonlyMap<string, string>;
  readonly untold: readonly string[];
  readonly compared: readonly string[];
};

const SHOWN = new Set([
  'label',
  'title',
  'aria-label',
  'placeholder',
  'words',
  'hint',
  'detail',
  'aria-description',
]);
/** Pages for whoever builds the app, and tests. */
const NOT_SHOWN = /\.(test|testing)\.tsx?$|\/gallery[/.]|\/test\/|\/dist\/|\/node_modules\//;

/** Every source file of the app, the server, core and the contract that tells something. */
export function sources(root: string): string[] {
  const under = (folder: string): string[] =>
    readdirSync(path.join(root, folder), { recursive: true, encoding: 'utf8' }).map(
      (file) => `${folder}/${file}`,
    );
  return ['app', 'packages/core/src', 'packages/contract/src', 'server/src']
    .flatMap(under)
    .filter((file) => /\.tsx?$/.test(file) && !NOT_SHOWN.test(file))
    .sort();
}

const textOf = (node: ts.TemplateLiteral): string =>
  ts.isTemplateExpression(node)
    ? node.head.text + node.templateSpans.map(({ literal }, i) => `{{${i}}}${literal.text}`).join('')
    : node.text;

/** All messages of the source, by their key. Terms are found by their type: every word it can be. */
export function collect(root: string): Collected {
  const config = ts.readConfigFile(path.join(root, 'app/tsconfig.json'), ts.sys.readFile).config;
  const { options } = ts.parseJsonConfigFileContent(config, ts.sys, path.join(root, 'app'));
  const files = sources(root);
  const program = ts.createProgram(
    files.map((file) => path.join(root, file)),
    { ...options, noEmit: true },
  );
  const checker = program.getTypeChecker();
  const messages = new Map<string, string>();
  const untold: string[] = [];
  const compared: Compared[] = [];
  /** Texts of tables by the name they stand under: 'name natural'. */
  const inTables = new Set<string>();
  const sentences: { readonly text: string; readonly where: string }[] = [];

  const literalsOf = (type: ts.Type): string[] =>
    type.isUnion() ? type.types.flatMap(literalsOf) : type.isStringLiteral() ? [type.value] : [];

  for (const file of files) {
    const source = program.getSourceFile(path.join(root, file));
    if (!source) continue;
    const at = (node: ts.Node): string =>
      `${file}:${source.getLineAndCharacterOfPosition(node.getStart(source)).line + 1}`;
    const add = (key: string, node: ts.Node): void => {
      if (says(key.replace(/\{\{\d+\}\}/g, '')) && !messages.has(key)) messages.set(key, at(node));
    };
    const contextOf = (node: ts.Expression | undefined): string =>
      node && ts.isStringLiteral(node) ? `_${node.text}` : '';
    const addTerms = (expression: ts.Expression, context: string): void => {
      for (const word of literalsOf(checker.getTypeAtLocation(expression)))
        if (says(word)) add(`${word}${context}`, expression);
    };
    const leaves = (node: ts.Node, asked: (name: string) => boolean, name: string, context: string): void => {
      if (ts.isPropertyAssignment(node))
        leaves(node.initializer, asked, node.name.getText(source).replace(/['"]/g, ''), context);
      else if (ts.isStringLiteralLike(node)) {
        if (asked(name) && says(node.text)) {
          add(`${node.text}${context}`, node);
          inTables.add(`${name} ${node.text}`);
        }
      } else if (!ts.isFunctionLike(node) && !ts.isTemplateExpression(node))
        ts.forEachChild(node, (child) => leaves(child, asked, name, context));
    };
    const untoldIn = (expression: ts.Expression, where: string): void => {
      for (const word of wordsOf(checker, expression)) untold.push(`${at(expression)} ${word} ${where}`);
    };
    const visit = (node: ts.Node): void => {
      const said = READ_BY_PROGRAMS.test(file) ? null : sentenceOf(node);
      if (said !== null) sentences.push({ text: said, where: at(node) });
      const words = comparedIn(node);
      if (words) compared.push({ ...words, where: at(node) });
      if (ts.isTaggedTemplateExpression(node)) {
        const { tag, template } = node;
        if (
          (ts.isIdentifier(tag) && tag.text === 'msg') ||
          (ts.isCallExpression(tag) && tag.expression.getText(source) === 'plural')
        ) {
          add(textOf(template), node);
          if (ts.isTemplateExpression(template))
            for (const { expression } of template.templateSpans)
              untoldIn(expression, `in ${textOf(template)}`);
        }
      } else if (ts.isCallExpression(node) && ts.isIdentifier(node.expression)) {
        const [first, second, third] = node.arguments;
        if (node.expression.text === 'messages' && first) leaves(first, () => true, '', contextOf(second));
        else if (
          node.expression.text === 'messagesIn' &&
          first &&
          second &&
          ts.isArrayLiteralExpression(first)
        ) {
          const names = new Set(first.elements.map((name) => (ts.isStringLiteral(name) ? name.text : '')));
          leaves(second, (name) => names.has(name), '', contextOf(third));
        } else if (node.expression.text === 'term' && first) {
          if (ts.isTaggedTemplateExpression(first))
            untold.push(`${at(node)} is told twice: ${first.getText(source)}`);
          addTerms(first, contextOf(second));
        }
      } else if (
        ts.isPropertyAssignment(node) &&
        (SHOWN.has(node.name.getText(source)) || node.name.getText(source) === 'why') &&
        !READ_BY_PROGRAMS.test(file) &&
        !isInTable(node)
      )
        untoldIn(node.initializer, 'shown');
      else if (ts.isJsxText(node) && /\p{L}{2}/u.test(node.text))
        untold.push(`${at(node)} ${node.text.trim()}`);
      else if (ts.isJsxExpression(node) && node.expression && isShown(node))
        untoldIn(node.expression, 'shown');
      else if (ts.isJsxAttribute(node)) {
        const name = node.name.getText(source);
        if (name === 'options' && node.initializer && ts.isJsxExpression(node.initializer)) {
          const list = node.initializer.expression && checker.getTypeAtLocation(node.initializer.expression);
          const one = list && checker.getIndexTypeOfType(list, ts.IndexKind.Number);
          if (one && !hasWords(node)) for (const word of literalsOf(one)) add(word, node);
        } else if (
          SHOWN.has(name) &&
          node.initializer &&
          ts.isStringLiteral(node.initializer) &&
          says(node.initializer.text)
        )
          untold.push(`${at(node)} ${node.initializer.text}`);
      }
      ts.forEachChild(node, visit);
    };
    visit(source);
  }
  return {
    messages,
    compared: compared.flatMap((one) =>
      isTelling(one, messages, inTables) ? [`${one.where} ${one.text}`] : [],
    ),
    untold: [
      ...new Set([
        ...untold,
        ...sentences.flatMap(({ text, where }) => (messages.has(text) ? [] : [`${where} ${text}`])),
      ]),
    ],
  };
}

/** Whether what stands in braces is read: a child of an element, or an attribute that is shown. */
const isShown = (node: ts.JsxExpression): boolean =>
  ts.isJsxAttribute(node.parent)
    ? SHOWN.has(node.parent.name.getText())
    : ts.isJsxElement(node.parent) || ts.isJsxFragment(node.parent);

/** Whether a choice names its options otherwise than by themselves. */
function hasWords(options: ts.JsxAttribute): boolean {
  return options.parent.properties.some(
    (other) => ts.isJsxAttribute(other) && other.name.getText() === 'words',
  );
}
