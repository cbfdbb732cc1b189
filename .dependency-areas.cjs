/** Areas of core are floors: none leads back to one it is built on. Tests may look anywhere. */
const boundaries = require("./.dependency-cruiser.cjs");

module.exports = {
  forbidden: [
    {
      name: "no-way-back-between-areas",
      severity: "error",
      comment: "what two areas need of each other stands below both, or is put together above them",
      scope: "folder",
      from: { path: "^core/src/[^/]+$" },
      to: { circular: true },
    },
  ],
  options: {
    ...boundaries.options,
    exclude: { path: "(^|/)(dist|\\.expo|\\.cache)/|\\.test\\.tsx?$|^core/src/index\\.ts$" },
  },
};
