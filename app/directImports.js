const { createHash } = require('node:crypto');
const fs = require('node:fs');
const path = require('node:path');
const { parse } = require('@babel/parser');

const packages = path.resolve(__dirname, '../packages');
const ui = path.join(__dirname, 'ui/index.ts');
const ENTRIES = {
  '@toile/core': path.join(packages, 'core/src/index.ts'),
  '@toile/contract': path.join(packages, 'contract/src/index.ts'),
};

const fileOf = (from, source) => {
  const base = path.resolve(path.dirname(from), source);
  const files = [`${base}.ts`, `${base}.tsx`, path.join(base, 'index.ts')];
  return files.find((file) => fs.existsSync(file)) ?? null;
};

const known = new Map();
/** Where each value a module exports is defined: its name to a file and the name it has there. */
function exportsOf(file) {
  const before = known.get(file);
  if (before) return before;
  const found = new Map();
  known.set(file, found);
  const plugins = file.endsWith('x') ? ['typescript', 'jsx'] : ['typescript'];
  const { program } = parse(fs.readFileSync(file, 'utf8'), { sourceType: 'module', plugins });
  for (const node of program.body) {
    if (node.exportKind === 'type') continue;
    const next = node.source ? fileOf(file, node.source.value) : null;
    if (node.type === 'ExportAllDeclaration' && next)
      for (const [name, where] of exportsOf(next)) found.set(name, where);
    if (node.type !== 'ExportNamedDeclaration') continue;
    for (const { exportKind, exported, local } of node.specifiers) {
      if (exportKind === 'type') continue;
      const where = next ? exportsOf(next).get(local.name) : { file, name: exported.name };
      if (where) found.set(exported.name, where);
    }
    for (const { id } of node.declaration?.declarations ?? [])
      if (id.type === 'Identifier') found.set(id.name, { file, name: id.name });
    if (node.declaration?.type === 'FunctionDeclaration' || node.declaration?.type === 'ClassDeclaration')
      found.set(node.declaration.id.name, { file, name: node.declaration.id.name });
  }
  return found;
}

/**
 * Changes whenever something is exported from elsewhere than before: what was rewritten by it is then stale.
 */
function directImportsVersion() {
  const all = [...Object.values(ENTRIES), ui].map((file) => [...exportsOf(file)]);
  return createHash('sha256').update(JSON.stringify(all)).digest('hex');
}

/**
 * Babel plugin: takes what is imported from a package's front door, from a topic's or from the app's own
 * parts, straight from the file that defines it, so that a page fetches what it uses and not the whole of
 * core. The bundler does not shake trees.
 */
function directImports({ types: t }) {
  return {
    name: 'direct-imports',
    visitor: {
      ImportDeclaration(at, state) {
        const { source, specifiers, importKind } = at.node;
        if (importKind === 'type' || specifiers.length === 0) return;
        const from = state.filename ?? '';
        const door = source.value.startsWith('.') ? fileOf(from, source.value) : ENTRIES[source.value];
        if (!door || !(door === ui || (door.startsWith(packages) && path.basename(door) === 'index.ts')))
          return;
        const where = exportsOf(door);
        const direct = [];
        const rest = specifiers.filter((one) => {
          if (one.type !== 'ImportSpecifier' || one.importKind === 'type') return true;
          const origin = where.get(one.imported.name);
          if (!origin) return true;
          direct.push(
            t.importDeclaration(
              [t.importSpecifier(one.local, t.identifier(origin.name))],
              t.stringLiteral(origin.file),
            ),
          );
          return false;
        });
        if (direct.length === 0) return;
        // What is left are types, which vanish; a name nobody exports is left where it was, to be told there.
        const left = rest.some((one) => one.importKind !== 'type') ? [t.importDeclaration(rest, source)] : [];
        at.replaceWithMultiple([...direct, ...left]);
      },
    },
  };
}

module.exports = { directImports, directImportsVersion };
