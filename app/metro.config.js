const { getDefaultConfig } = require('expo/metro-config');

const config = getDefaultConfig(__dirname);
// Not used on the web, and a quarter of the first load: motion here is done by style sheets.
const LEFT_OUT = new Set(['react-native-reanimated', 'react-native-worklets']);
const { resolveRequest } = config.resolver;
config.resolver.resolveRequest = (context, name, platform) => {
  if (platform === 'web' && LEFT_OUT.has(name)) return { type: 'empty' };
  return (resolveRequest ?? context.resolveRequest)(context, name, platform);
};

module.exports = config;
