const { directImports, directImportsVersion } = require('./directImports');

module.exports = (api) => {
  const bundling = api.caller((caller) => caller?.name === 'metro');
  // The version goes into the key of whatever keeps what was rewritten (Jest does, across runs).
  const direct = () => [directImports, { version: directImportsVersion() }];
  return { presets: ['babel-preset-expo'], plugins: bundling ? [direct()] : [] };
};
