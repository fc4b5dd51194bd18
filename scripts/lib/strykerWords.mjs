const calleeOf = (node) => (node?.callee ?? node?.tag)?.name;

/** The property a literal is the value of, or in whose list it stands, by its name; null for none. */
const underName = (path) => {
  const property = path.findParent((one) => one.isObjectProperty() || one.isCallExpression());
  return property?.isObjectProperty() ? (property.node.key.name ?? property.node.key.value) : null;
};

/** Whether a literal is a text of a message: of `msg` or `plural`, of `term`, or in a table of messages. */
function isWording(path) {
  const { node, parent } = path;
  if (node.type === 'TemplateLiteral')
    return parent?.type === 'TaggedTemplateExpression' && ['msg', 'plural'].includes(calleeOf(parent));
  if (node.type !== 'StringLiteral') return false;
  const call = path.findParent(
    (one) => one.isCallExpression() && ['messages', 'messagesIn', 'term'].includes(calleeOf(one.node)),
  )?.node;
  if (call === undefined) return false;
  if (calleeOf(call) === 'term') return parent === call && call.arguments[0] === node;
  if (parent === call || path.key === 'key') return false;
  if (calleeOf(call) === 'messages') return true;
  const names = (call.arguments[0].elements ?? []).map((one) => one.value);
  return !names.includes(node.value) && names.includes(underName(path));
}

/**
 * A plugin of Stryker: how a message is worded is no mutant (`npm run messages` looks after words, tests
 * after what is said).
 */
export const strykerPlugins = [
  {
    kind: 'Ignore',
    name: 'words',
    value: { shouldIgnore: (path) => (isWording(path) ? 'the wording of a message' : undefined) },
  },
];
