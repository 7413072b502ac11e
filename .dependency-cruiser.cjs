/** Circles of imports, types too: a file that needs itself to be understood is no file of its own. */
module.exports = {
  forbidden: [
    {
      name: 'no-circle',
      severity: 'error',
      from: { path: '^src' },
      to: { circular: true },
    },
    {
      name: 'not-in-package-json',
      severity: 'error',
      from: { path: '^src', pathNot: '\\.test\\.tsx?$' },
      to: { dependencyTypes: ['npm-dev', 'npm-no-pkg', 'npm-unknown'], pathNot: '^node_modules/(@types|next)/' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
};
