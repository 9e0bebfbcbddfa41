/** The house: imports go one way (core ← data ← acts ← post ← app), and nothing imports in a circle. */
const room = (name, from, to) => ({
  name,
  severity: "error",
  comment: `${from} may not import ${to}`,
  from: { path: from },
  to: { path: to },
});

module.exports = {
  forbidden: [
    { name: "no-circles", severity: "error", from: {}, to: { circular: true } },
    room("core-is-alone", "^src/core", "^src/(data|acts|post|postroom|screens|app|cli)"),
    {
      name: "core-has-no-platform",
      severity: "error",
      from: { path: "^src/core", pathNot: "\\.test\\.ts$" },
      to: { dependencyTypes: ["core"] },
    },
    {
      name: "core-has-no-framework",
      severity: "error",
      from: { path: "^src/core", pathNot: "\\.test\\.ts$" },
      to: { path: "node_modules/(next|react|react-dom|drizzle-orm|pg|@electric-sql)/" },
    },
    room("data-below-acts", "^src/data", "^src/(acts|post|postroom|screens|app|cli)"),
    room("acts-below-post", "^src/acts", "^src/(post|postroom|screens|app|cli)"),
    room("post-below-app", "^src/post/", "^src/(postroom|screens|app|cli)"),
    room("postroom-below-app", "^src/postroom", "^src/(screens|app|cli)"),
    room("screens-know-core-only", "^src/screens", "^src/(data|acts|post|postroom|app|cli)"),
    room("nobody-imports-app", "^src/(core|data|acts|post|postroom|screens|cli)", "^src/app"),
    room("app-leaves-cli", "^src/app", "^src/cli"),
  ],
  options: {
    doNotFollow: { path: "node_modules" },
    exclude: { path: "^(\\.next|docs)" },
    tsConfig: { fileName: "tsconfig.json" },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: {
      exportsFields: ["exports"],
      conditionNames: ["import", "require", "node", "default", "types"],
      extensions: [".ts", ".tsx", ".mjs", ".js", ".cjs"],
    },
  },
};
