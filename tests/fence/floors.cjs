// Which folders may not need each other in a ring, types and all. Apart from fence.cjs: tests and their samples reach up and
// count there. A folder and those inside it are one to it: such a ring it does not see.
module.exports = {
  forbidden: [
    {
      name: 'no-folder-circles',
      severity: 'error',
      scope: 'folder',
      from: { path: '^(core|shared|app|server)/' },
      to: { circular: true },
    },
  ],
  options: {
    tsPreCompilationDeps: true, tsConfig: { fileName: 'tsconfig.fence.json' }, metrics: true,
    exclude: { path: '\\.css$|\\.test\\.ts$|^core/fixtures/|node_modules' },
  },
}
