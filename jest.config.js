const transform = { "^.+\\.(t|j)sx?$": ["@swc/jest", { jsc: { target: "es2022", parser: { syntax: "typescript", tsx: true } }, module: { type: "commonjs" } }] };
const node = (displayName, roots, extra = {}) => ({ displayName, rootDir: __dirname, roots: roots.map((root) => `<rootDir>/${root}`), testEnvironment: "node", transform, testMatch: ["**/*.test.ts"], ...extra });

/** One runner for all: `jest --selectProjects core server ...`. */
module.exports = {
  projects: [
    node("core", ["core/src"]),
    node("contract", ["contract/src"]),
    node("standins", ["standins/src", "demo/src"]),
    node("server", ["server/src"], { setupFilesAfterEnv: ["<rootDir>/scripts/jestServer.js"] }),
    node("scripts", ["scripts"], { setupFilesAfterEnv: ["<rootDir>/scripts/jestServer.js"] }),
    {
      displayName: "app",
      rootDir: `${__dirname}/app`,
      preset: "jest-expo/web",
      testMatch: ["<rootDir>/src/**/*.test.{ts,tsx}"],
      transformIgnorePatterns: ["/node_modules/(?!(.pnpm|react-native|@react-native|@react-native-community|expo|@expo|@expo-google-fonts|react-navigation|@react-navigation|lucide-react-native|react-native-svg|uuid|idb-keyval|react-hotkeys-hook|@mechanon))"],
    },
    node("e2e", ["e2e/src"], { testMatch: ["**/*.e2e.ts"], setupFilesAfterEnv: ["<rootDir>/scripts/jestE2e.js"] }),
  ],
};
