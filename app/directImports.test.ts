import babelConfig from './babel.config';
import { directImportsVersion } from './directImports';

const pluginsFor = (name: string) =>
  babelConfig({ caller: (ask: (who: { name: string }) => boolean) => ask({ name }) }).plugins;

describe('imports rewritten by Babel', () => {
  it('are kept under a key that changes when an export moves to another file', () => {
    expect(directImportsVersion()).toMatch(/^[0-9a-f]{64}$/);
    expect(pluginsFor('metro').map((plugin) => plugin[1])).toEqual([{ version: directImportsVersion() }]);
  });
  it('are left alone by whoever does not bundle', () => {
    expect(pluginsFor('anything else')).toEqual([]);
  });
});
