const { getDefaultConfig } = require("expo/metro-config");

const config = getDefaultConfig(__dirname);

// Zod brings its own words in fifty languages; what people read of faults are ours.
const isLocales = (from, name) => name === "../locales/index.js" && /[\\/]zod[\\/]v4[\\/]/.test(from);

config.resolver.resolveRequest = (context, name, platform) =>
  isLocales(context.originModulePath, name) ? { type: "empty" } : context.resolveRequest(context, name, platform);

// A module runs when something of it is used first: what the first screen does not need costs it nothing.
config.transformer.getTransformOptions = () =>
  Promise.resolve({ transform: { experimentalImportSupport: false, inlineRequires: true } });

module.exports = config;
