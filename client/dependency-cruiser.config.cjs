/** Direction: app → places → answers, entry, example, filing, jobs, sharing → spine → shared; places → api. Places do not import each other. */
module.exports = {
  forbidden: [
    { name: 'no-cycles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'places-apart',
      severity: 'error',
      from: { path: '^src/places/([^/]+)/' },
      to: { path: '^src/places/', pathNot: '^src/places/$1/' },
    },
    {
      name: 'spine-is-told',
      comment: 'the drawing gets props; it fetches nothing and knows no place',
      severity: 'error',
      from: { path: '^src/spine/' },
      to: { path: '^src/(api/(?!schema)|answers|entry|example|filing|jobs|sharing|places|app)' },
    },
    {
      name: 'shared-knows-nobody',
      severity: 'error',
      from: { path: '^src/shared/' },
      to: { path: '^src/(places|answers|entry|example|filing|jobs|sharing|spine|app|api)/' },
    },
    {
      name: 'what-places-share-knows-no-place',
      severity: 'error',
      from: { path: '^src/(answers|entry|example|filing|jobs|sharing)/' },
      to: { path: '^src/(places|app)/' },
    },
    {
      name: 'app-is-on-top',
      severity: 'error',
      from: { path: '^src/(places|spine|shared|api)/' },
      to: { path: '^src/app/' },
    },
  ],
  options: {
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    doNotFollow: { path: 'node_modules' },
    enhancedResolveOptions: { extensions: ['.ts', '.vue', '.js'] },
  },
}
