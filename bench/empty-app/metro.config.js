const path = require('node:path');
const { getDefaultConfig } = require('expo/metro-config');

// As the app itself is built, so that nothing but what the page holds differs.
const LEFT_OUT = new Set(['react-native-reanimated', 'react-native-worklets']);
const config = getDefaultConfig(__dirname);
const root = path.resolve(__dirname, '../..');
config.watchFolders = [root];
config.resolver.nodeModulesPaths = [path.join(root, 'node_modules'), path.join(root, 'app/node_modules')];
const { resolveRequest } = config.resolver;
config.resolver.resolveRequest = (context, name, platform) =>
  LEFT_OUT.has(name)
    ? { type: 'empty' }
    : (resolveRequest ?? context.resolveRequest)(context, name, platform);

module.exports = config;
