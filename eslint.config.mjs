import expo from 'eslint-config-expo/flat.js';
import tseslint from 'typescript-eslint';

// People of every gender are made up: what is said of a client says so by name or by part, never by a guess.
const GUESSED = '/\\b(she|her|hers|herself|he|him|his|himself)\\b/i';
const noGuess = ['Literal[value=', 'TemplateElement[value.raw=', 'JSXText[value='].map((of) => ({
  selector: `${of}${GUESSED}]`,
  message: 'Say the client, the skin, the lip: nobody is taken for a she or a he.',
}));

// A phone of some years ago does not even begin with an app that has one in it.
const LOOKS_BEHIND = '(\\(\\?<[=!])';
const noLookingBehind = [
  `Literal[regex.pattern=/${LOOKS_BEHIND}/]`,
  `TemplateElement[value.raw=/${LOOKS_BEHIND}/]`,
].map((selector) => ({
  selector,
  message: 'Older phones read no pattern that looks behind: capture what comes before.',
}));

export default [
  { ignores: ['**/node_modules/**', '**/dist/**', '.toile/**', 'app/.expo/**', 'app/public/**', 'docs/**'] },
  ...tseslint.configs.recommended,
  ...expo.map((entry) => ({ ...entry, files: entry.files ?? ['app/**/*.{ts,tsx}'] })),
  {
    files: ['**/*.{ts,tsx}'],
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-unused-vars': [
        'error',
        { varsIgnorePattern: '^_', argsIgnorePattern: '^_', destructuredArrayIgnorePattern: '^_' },
      ],
      'import/no-unresolved': 'off',
      'no-console': 'error',
      // Prettier breaks code; a sentence of a message stays in one piece.
      'max-len': [
        'error',
        {
          code: 110,
          ignoreStrings: true,
          ignoreTemplateLiterals: true,
          ignoreRegExpLiterals: true,
          ignorePattern: 'eslint-disable',
        },
      ],
    },
  },
  {
    files: ['app/app/**/*.tsx', 'app/features/**/*.tsx'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            { group: ['tamagui', '@tamagui/*'], message: 'Only app/ui wraps Tamagui: import from ../../ui.' },
            { group: ['**/server/**'], message: 'The app speaks to the server through the contract.' },
          ],
        },
      ],
    },
  },
  {
    files: ['{app,server,packages}/**/*.{ts,tsx}'],
    ignores: ['**/*.test.ts', '**/*.test.tsx', '**/*.testing.ts', 'server/test/**'],
    rules: { 'no-restricted-syntax': ['error', ...noGuess, ...noLookingBehind] },
  },
  { files: ['app/app/_layout.tsx'], rules: { 'no-restricted-imports': 'off' } },
  {
    files: ['packages/core/src/**/*.ts'],
    rules: {
      'no-restricted-globals': ['error', 'window', 'document', 'process', 'fetch', 'localStorage'],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'Chance comes in as an argument.' },
        { object: 'Date', property: 'now', message: 'Time comes in as an argument.' },
      ],
    },
  },
  {
    files: ['**/*.cjs', 'app/*.js', 'bench/empty-app/*.js'],
    languageOptions: {
      sourceType: 'commonjs',
      globals: {
        require: 'readonly',
        module: 'writable',
        __dirname: 'readonly',
        process: 'readonly',
        URL: 'readonly',
      },
    },
    rules: { '@typescript-eslint/no-require-imports': 'off' },
  },
];
