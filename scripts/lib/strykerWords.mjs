/**
 * A plugin of Stryker: how a message is worded is no mutant (`npm run messages` looks after words, tests
 * after what is said).
 */
const calleeOf = (node) => (node?.callee ?? node?.tag)?.name;

/** What a literal stands under: its property's name, that of the list it is in, or null. */
const underName = (path) => {
  const property = path.findParent((one) => one.isObjectProperty() || one.isCallExpression());
  return property?.isObjectProperty() && property.node.value !== path.node.key
    ? (property.node.key.name ?? property.node.key.value)
    : null;
};

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

export const strykerPlugins = [
  {
    kind: 'Ignore',
    name: 'words',
    value: { shouldIgnore: (path) => (isWording(path) ? 'the wording of a message' : undefined) },
  },
];
