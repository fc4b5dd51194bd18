/** Dependencies point inwards: app and server -> contract -> core; the demo is data on top of both. */
module.exports = {
  forbidden: [
    {
      name: 'core-is-alone',
      severity: 'error',
      from: { path: '^packages/core/src' },
      to: { path: '^(packages/(contract|languages)|server|app|demo|e2e|bench)/' },
    },
    {
      name: 'core-has-no-io',
      severity: 'error',
      from: { path: '^packages/core/src', pathNot: '\\.test\\.ts$' },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'languages-know-core-only',
      severity: 'error',
      from: { path: '^packages/languages/src' },
      to: { path: '^(packages/contract|server|app|demo|e2e|bench)/' },
    },
    {
      name: 'contract-knows-core-only',
      severity: 'error',
      from: { path: '^packages/contract/src' },
      to: { path: '^(server|app|demo|e2e|bench)/' },
    },
    {
      name: 'server-and-app-apart',
      severity: 'error',
      from: { path: '^server/src' },
      to: { path: '^(app|e2e|bench)/' },
    },
    {
      name: 'app-and-server-apart',
      severity: 'error',
      from: { path: '^app/' },
      to: { path: '^(server|demo|e2e|bench)/' },
    },
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true, dependencyTypesNot: ['type-only'] },
    },
    {
      name: 'ui-knows-no-feature',
      severity: 'error',
      from: { path: '^app/ui' },
      to: { path: '^app/(features|data|app)' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(node_modules|dist|\\.expo)/' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: {
      extensions: ['.ts', '.tsx', '.js', '.mjs'],
      exportsFields: ['exports'],
      conditionNames: ['import', 'default'],
    },
  },
};
