/** @type {import('jest').Config} */
module.exports = {
  displayName: 'app',
  preset: 'jest-expo/web',
  testMatch: ['<rootDir>/**/*.test.ts', '<rootDir>/**/*.test.tsx'],
  testEnvironmentOptions: { customExportConditions: ['require', 'default'] },
  moduleNameMapper: {
    '^expo-router$': '<rootDir>/router.testing.tsx',
    // What is fetched later has not come yet.
    '/fromWork$': '<rootDir>/features/frame/fromWork.testing.tsx',
  },
  setupFiles: ['<rootDir>/jest.setup.js'],
  transformIgnorePatterns: [
    '/node_modules/(?!((jest-)?react-native|@react-native|expo|@expo|@expo-google-fonts|react-native-svg|lucide-react-native|@tamagui|tamagui|uuid|clipper2-ts|@noble|@toile)/?)',
  ],
};
