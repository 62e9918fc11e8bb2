/** A room knows only what lies below it. `from` may not reach `to`. */
const forbid = (name, from, to, comment) => ({
  name,
  severity: 'error',
  comment,
  from: { path: from, pathNot: '(\\.test\\.tsx?$)|(^core/test/)' },
  to: { path: to },
});

const core = (rooms) => `^core/(${rooms.join('|')})/`;
const outside = '^(node_modules/)?(?!node_modules)(react|next|styled-components|@electric-sql|drizzle-orm|zustand|comlink)';

module.exports = {
  forbidden: [
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    forbid('core-stands-alone', '^core/', '^(drawing|machine|cli|web|e2e|bench)/', 'The core knows no room above it.'),
    forbid('core-has-no-interface', '^(core|drawing)/', outside, 'No React, no database, no framework below the application.'),
    forbid(
      'core-without-node',
      '^(core|drawing)/(?!test/)',
      '^(fs|path|os|crypto|http|net|child_process|worker_threads|node:.*)$',
      'No Node API below the command and the application.',
    ),
    forbid('drawing-below-web', '^drawing/', '^(machine|cli|web|e2e|bench)/', 'The drawing knows only the core.'),
    forbid(
      'machine-stands-alone',
      '^machine/',
      '^(core|drawing|cli|web|e2e|bench)/',
      'What lies on this machine knows no structure.',
    ),
    forbid('command-without-web', '^cli/', '^web/', 'The command knows only core, drawing and what lies on this machine.'),
    forbid(
      'linear-algebra-alone',
      core(['linear-algebra']),
      core(['model', 'quantities', 'sections', 'stiffness', 'results', 'kinematics', 'combinations', 'formats']),
      'It knows nothing of structures.',
    ),
    forbid(
      'quantities-alone',
      core(['quantities']),
      core(['model', 'sections', 'stiffness', 'linear-algebra', 'results', 'kinematics', 'combinations', 'formats']),
      'Units know nothing of models.',
    ),
    forbid('shapes-alone', core(['shapes']), '^core/(?!shapes/)', 'A shape is geometry: it knows nothing of what is made of it.'),
    forbid(
      'model-below',
      core(['model']),
      core(['sections', 'stiffness', 'linear-algebra', 'results', 'kinematics', 'combinations', 'formats']),
      'What is described knows nothing of how it is solved.',
    ),
    forbid(
      'phrases-beside-analysis',
      core([
        'model',
        'quantities',
        'sections',
        'stiffness',
        'linear-algebra',
        'results',
        'kinematics',
        'combinations',
        'formats',
      ]),
      core(['phrases']),
      'A load is a load, however it was said.',
    ),
    forbid(
      'phrases-know-no-analysis',
      core(['phrases']),
      core(['stiffness', 'linear-algebra', 'results', 'kinematics', 'combinations', 'formats']),
      'What is said of loads knows the model and its sections only.',
    ),
    forbid(
      'stiffness-below-results',
      core(['sections', 'stiffness']),
      core(['results', 'kinematics', 'combinations', 'formats']),
      'Stiffness comes before results.',
    ),
    forbid(
      'stability-beside-results',
      core(['kinematics', 'combinations']),
      core(['results', 'formats']),
      'Mechanisms and combinations are below the results that use them.',
    ),
    forbid(
      'tables-on-top',
      '^core/(?!tables/|formats/|study/|test/)',
      core(['tables']),
      'What is computed knows nothing of how it is listed.',
    ),
    forbid(
      'workings-on-top',
      '^core/(?!workings/|test/)',
      core(['workings']),
      'What is solved knows nothing of how it is worked out.',
    ),
    forbid(
      'study-on-top',
      '^core/(?!study/|test/)',
      core(['study']),
      'What is solved does not know that it is solved again and again.',
    ),
    forbid('formats-on-top', core(['results']), core(['formats']), 'Results know no file.'),
    forbid(
      'database-below-server',
      '^web/db/',
      '^web/(server|editor|sheet|stages|cards|projects|workspace|ui|app)/',
      'The database knows no use case.',
    ),
    forbid(
      'browser-without-server',
      '^web/(editor|solver|sheet|stages|cards|workspace|ui)/',
      '^web/(server|app)/',
      'What runs in the browser reaches the server only by requests.',
    ),
    // Rooms of the web: ui ← editor ← underlay ← sheet, schedules ← commands, cards ← stages ← workspace.
    forbid(
      'editor-below-sheet',
      '^web/(editor|solver)/',
      '^web/(sheet|schedules|underlay|commands|stages|cards|workspace|projects|ui|db)/',
      'An open model knows nothing of how it is shown, nor of the database.',
    ),
    forbid(
      'underlay-below-sheet',
      '^web/underlay/',
      '^web/(sheet|schedules|commands|stages|cards|workspace|projects)/',
      'Pictures behind the drawing know nothing of the sheet.',
    ),
    forbid(
      'sheet-below-commands',
      '^web/(sheet|schedules)/',
      '^web/(commands|stages|cards|workspace|projects)/',
      'The drawing and the schedules know nothing of who tells them what to do.',
    ),
    forbid('schedules-beside-sheet', '^web/schedules/', '^web/sheet/', 'Schedules and sheet stand beside each other.'),
    forbid('commands-below-stages', '^web/commands/', '^web/(stages|cards|workspace|projects)/', 'Commands know no bench.'),
    forbid('cards-below-stages', '^web/cards/', '^web/(commands|stages|workspace|projects)/', 'Cards know no bench.'),
    forbid('stages-below-workspace', '^web/stages/', '^web/(workspace|projects)/', 'Benches know no page.'),
    forbid(
      'paper-beside-stages',
      '^web/paper/',
      '^web/(commands|stages|cards|schedules|workspace|projects|db)/',
      'What is put on paper is asked of the drawing, not of a bench.',
    ),
    forbid(
      'browser-at-the-bottom',
      '^web/browser/',
      '^web/(?!browser/)|^(core|drawing)/',
      'What the browser does for anybody knows nobody.',
    ),
    forbid(
      'ui-alone',
      '^web/ui/',
      '^web/(editor|sheet|stages|cards|workspace|projects|server|db|app)/',
      'The primitives know no model.',
    ),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)(\\.next|dist|node_modules/\\.cache)/' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
      extensions: ['.ts', '.tsx', '.mjs', '.js', '.json'],
    },
  },
};
