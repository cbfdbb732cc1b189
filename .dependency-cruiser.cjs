/** Imports point down: app -> contract -> core, server -> contract -> core; nothing imports the stand-ins. */
const only = (from, allowed) => ({
  name: `${from}-imports`,
  severity: "error",
  comment: `${from} may import from ${allowed.join(", ") || "nothing of ours"}`,
  from: { path: `^${from}/` },
  to: {
    path: "^(core|contract|server|standins|app|demo|e2e|scripts)/",
    pathNot: `^(${[from, ...allowed].join("|")})/`,
  },
});

module.exports = {
  forbidden: [
    only("core", []),
    only("contract", ["core"]),
    only("server", ["contract", "core", "demo"]),
    only("standins", ["demo", "core"]),
    only("app", ["contract", "core"]),
    only("demo", ["core"]),
    only("e2e", ["scripts"]),
    only("scripts", ["core", "demo"]),
    { name: "core-is-pure", severity: "error", from: { path: "^core/" }, to: { dependencyTypes: ["core"] } },
    {
      name: "core-has-no-interface",
      severity: "error",
      from: { path: "^core/" },
      to: { path: "node_modules/(react|react-native|express|sequelize|pg)/" },
    },
    { name: "no-circular", severity: "error", from: {}, to: { circular: true } },
    { name: "resolvable", severity: "error", from: {}, to: { couldNotResolve: true } },
  ],
  options: {
    doNotFollow: { path: "node_modules" },
    exclude: { path: "(^|/)(dist|\\.expo|\\.cache)/" },
    tsConfig: { fileName: "tsconfig.json" },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: {
      exportsFields: ["exports"],
      conditionNames: ["import", "require", "node", "default", "types", "react-native"],
      mainFields: ["main", "types"],
    },
  },
};
