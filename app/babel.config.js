const { directImports } = require('./directImports');

module.exports = (api) => {
  const bundling = api.caller((caller) => caller?.name === 'metro');
  return { presets: ['babel-preset-expo'], plugins: bundling ? [directImports] : [] };
};
