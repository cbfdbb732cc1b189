// Only types and imports are rewritten; Node runs the rest as it is.
const babel = {
  configFile: false,
  babelrc: false,
  presets: [["@babel/preset-typescript", { allowDeclareFields: true }]],
  plugins: ["@babel/plugin-transform-modules-commonjs"],
};
const transform = { "^.+\\.(t|j)sx?$": ["babel-jest", babel] };
const node = (displayName, roots, extra = {}) => ({
  displayName,
  rootDir: __dirname,
  roots: roots.map((root) => `<rootDir>/${root}`),
  testEnvironment: "node",
  transform,
  testMatch: ["**/*.test.ts"],
  ...extra,
});

/** The demo is loaded once for a run, and copied by each file that needs it. */
const demoTemplate = {
  globalSetup: "<rootDir>/scripts/demoTemplate/globalSetup.ts",
  globalTeardown: "<rootDir>/scripts/demoTemplate/globalTeardown.ts",
};

/** One runner for all: `jest --selectProjects core server ...`. */
module.exports = {
  projects: [
    node("core", ["core/src"]),
    node("contract", ["contract/src"]),
    node("standins", ["standins/src", "demo/src"]),
    node("server", ["server/src"], { ...demoTemplate, setupFilesAfterEnv: ["<rootDir>/scripts/jestTimeout.js"] }),
    node("scripts", ["scripts"], { setupFilesAfterEnv: ["<rootDir>/scripts/jestTimeout.js"] }),
    {
      displayName: "app",
      rootDir: `${__dirname}/app`,
      preset: "jest-expo",
      testMatch: ["<rootDir>/src/**/*.test.{ts,tsx}"],
      setupFiles: ["<rootDir>/../scripts/jestApp.js"],
      setupFilesAfterEnv: ["<rootDir>/../scripts/jestAppTests.js"],
      moduleNameMapper: {
        "^expo-router$": "<rootDir>/src/testing/router.ts",
        // Tests have no workers; the engine behind is the real one.
        "(^\\./|/vin/)vinClient$": "<rootDir>/src/testing/vinClient.ts",
        "^lucide-react-native/icons/(.*)$": "<rootDir>/../node_modules/lucide-react-native/dist/cjs/icons/$1.js",
      },
      transformIgnorePatterns: [
        "/node_modules/(?!(.pnpm|react-native|@react-native|@react-native-community|expo|@expo|@expo-google-fonts|react-navigation|@react-navigation|react-native-svg|uuid|idb-keyval|react-hotkeys-hook|@mechanon))",
      ],
    },
    node("e2e", ["e2e/src"], {
      ...demoTemplate,
      testMatch: ["**/*.e2e.ts"],
      setupFilesAfterEnv: ["<rootDir>/scripts/jestE2e.js"],
    }),
  ],
};
