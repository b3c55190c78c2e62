/** Layers and rooms of the house: what may know of what. Types count as well. */
module.exports = {
  forbidden: [
    {
      name: 'no-circles',
      comment: 'Two files that need each other are one, or a third is missing between them.',
      severity: 'error',
      from: {},
      to: { circular: true },
    },
    {
      name: 'core-knows-only-itself',
      severity: 'error',
      from: { path: '^src/core' },
      to: { pathNot: ['^src/core', '^node_modules/(quadprog|ml-matrix)'] },
    },
    {
      name: 'formats-know-core',
      severity: 'error',
      from: { path: '^src/formats' },
      to: { path: '^src/', pathNot: ['^src/formats', '^src/core'] },
    },
    {
      name: 'no-sibling-features',
      severity: 'error',
      from: { path: '^src/features/([^/]+)/' },
      to: { path: '^src/features/([^/]+)/', pathNot: '^src/features/$1/' },
    },
    {
      name: 'shared-knows-no-feature',
      severity: 'error',
      from: { path: '^src/(ui|kitchen|workers|server|cli)/' },
      to: { path: '^src/(features|app)/' },
    },
    {
      name: 'kitchen-has-no-screen',
      severity: 'error',
      from: { path: '^src/kitchen/' },
      to: { path: '^src/ui/' },
    },
    {
      name: 'browser-knows-no-server',
      comment: 'Types of what the server gives stand in formats.',
      severity: 'error',
      from: { path: '^src/(features|ui|kitchen|workers)/' },
      to: { path: '^src/server/' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    combinedDependencies: true,
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
};
