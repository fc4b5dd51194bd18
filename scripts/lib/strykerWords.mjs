/**
 * A plugin of Stryker: how a message is worded is no mutant (`npm run messages` looks after words, tests
 * after what is said).
 */
export const strykerPlugins = [
  {
    kind: 'Ignore',
    name: 'words',
    value: {
      shouldIgnore: ({ node, parent }) =>
        node.type === 'TemplateLiteral' &&
        parent?.type === 'TaggedTemplateExpression' &&
        ['msg', 'plural'].includes((parent.tag.callee ?? parent.tag).name)
          ? 'the wording of a message'
          : undefined,
    },
  },
];
