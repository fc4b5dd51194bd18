const swc = {
  '^.+\\.(ts|tsx|js|mjs)$': [
    '@swc/jest',
    { jsc: { parser: { syntax: 'typescript', tsx: false }, target: 'es2022' }, module: { type: 'commonjs' } },
  ],
};
/** A project of plain TypeScript, run by Node. */
export const plain = (name, root) => ({
  displayName: name,
  rootDir: root,
  testEnvironment: 'node',
  transform: swc,
  transformIgnorePatterns: [
    '/node_modules/(?!(@noble|postal-mime|ts-fsrs|ical\.js|clipper2-ts|culori|colorjs\\.io|uuid|fast-check|pure-rand)/)',
  ],
  testMatch: ['<rootDir>/**/*.test.ts'],
});

export default {
  projects: [
    plain('core', 'packages/core'),
    plain('contract', 'packages/contract'),
    plain('languages', 'packages/languages'),
    plain('scripts', 'scripts'),
    plain('demo', 'demo'),
    plain('server', 'server'),
    {
      ...plain('e2e', 'e2e'),
      testEnvironment: '<rootDir>/run/seenEnvironment.mjs',
    },
    '<rootDir>/app',
  ],
};
