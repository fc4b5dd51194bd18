const { getDefaultConfig } = require('expo/metro-config');

const { directImportsVersion } = require('./directImports');

const config = getDefaultConfig(__dirname);
config.cacheVersion = `${config.cacheVersion} ${directImportsVersion()}`;
// Not used on the web, and a quarter of the first load: motion here is done by style sheets.
const LEFT_OUT = new Set(['react-native-reanimated', 'react-native-worklets']);
const { resolveRequest } = config.resolver;
config.resolver.resolveRequest = (context, name, platform) => {
  if (platform === 'web' && LEFT_OUT.has(name)) return { type: 'empty' };
  const resolve = resolveRequest ?? context.resolveRequest;
  // Its modules export a function called Object, which Metro's own `Object.defineProperty` then meets: take
  // the CommonJS build.
  if (name.startsWith('@sinclair/typebox') || context.originModulePath.includes('/@sinclair/typebox/'))
    return resolve({ ...context, isESMImport: false }, name, platform);
  return resolve(context, name, platform);
};

// In development the API lives on another port: what is asked of /api goes there.
const api = process.env.TOILE_API;
if (api) {
  const { request } = require('node:http');
  config.server.enhanceMiddleware = (metro) => (req, res, next) => {
    if (!req.url.startsWith('/api/')) return metro(req, res, next);
    const { hostname, port } = new URL(api);
    const headers = { ...req.headers, host: `${hostname}:${port}` };
    delete headers.origin;
    const onward = request({ hostname, port, path: req.url, method: req.method, headers }, (answer) => {
      res.writeHead(answer.statusCode, answer.headers);
      answer.pipe(res);
    });
    onward.on('error', () => res.writeHead(502).end());
    return req.pipe(onward);
  };
}

// A module is run when something of it is first used, not when it is fetched: a phone runs what its page
// needs.
const { getTransformOptions } = config.transformer;
config.transformer.getTransformOptions = async (...asked) => {
  const options = await getTransformOptions(...asked);
  return { ...options, transform: { ...options.transform, inlineRequires: true } };
};

module.exports = config;
