import { Command, CommanderError, Option } from 'commander';
import { publishedRules } from '@rigid-beam/core/combinations/rules/published';
import { displacedOutcomes, MODES } from '@rigid-beam/core/model/analysis-settings';
import { limitStates } from '@rigid-beam/core/model/categories';
import { permanentWays } from '@rigid-beam/core/model/model';
import { runNames } from '@rigid-beam/core/analysis/runs';
import { STATIONS, writable } from '@rigid-beam/core/formats/registry';
import type { BucklingOptions } from './buckling';
import type { ModesOptions } from './modes';
import type { CombineOptions } from './combine';
import { papers, paperWays } from '@rigid-beam/drawing/paper/sizes';
import { otherSubjects } from '@rigid-beam/drawing/paper/subjects';
import { numbersWays } from '@rigid-beam/core/workings/number-words';
import { workingsSteps } from '@rigid-beam/core/workings/blocks';
import { LOOKS } from '@rigid-beam/drawing/projection';
import { chapterNames } from '@rigid-beam/core/model/report';
import type { DrawOptions } from './draw';
import type { SolveOptions } from './solve';
import { sectionFormats, workingsFormats } from './choices';
import { exitCodes } from './exit-codes';
import { setParameters } from './input';
import type { InfluenceOptions } from './influence';
import { dotCount, impactFactor, modeCount, naturalModeCount, placeCount, stationCount } from './numbers';
import type { ReportOptions } from './report';
import { typedTables } from '@rigid-beam/core/tables/files/tables-file';
import { PLACES } from '@rigid-beam/core/tables/results/lists';
import type { TableOptions } from './table';
import type { SectionsOptions } from './sections';
import type { SeekOptions, StudyOptions } from './study';
import type { TakeOptions } from './take';
import { token } from './token';
import type { WorkingsOptions } from './workings';

const optionWords = writable
  .flatMap(({ id, writer }) => writer.options.map(({ key, words }) => `${key} (${words.toLowerCase()}) of ${id}`))
  .join(', ');

const program = new Command('rigid-beam')
  .description('Solves frames and trusses, in the plane and in space, described in a model file (.rbm.json).')
  .version('0.1.0')
  .exitOverride();

program
  .command('solve')
  .description('solve a model and print the results file on standard output')
  .argument('<file>', 'model file, or - for standard input')
  .option('--stations <n>', 'evenly spaced points along each member', stationCount, STATIONS)
  .option(
    '--case <id>',
    'write only this case or combination; may be repeated',
    (id: string, before: string[]) => [...before, id],
    [] as string[],
  )
  .addOption(new Option('--run <run>', 'which analysis; the one that the model asks for where it is left out').choices(runNames))
  .addOption(
    new Option('--second-order [of]', 'in the displaced structure: everything, combinations, or those of a limit state')
      .choices(displacedOutcomes)
      .preset('everything'),
  )
  .option('--remedies', 'for a structure that can move, also seek edits that stop it')
  .action(async (file: string, options: SolveOptions) => {
    process.exitCode = await (await import('./solve')).solveCommand(file, options);
  });

program
  .command('buckling')
  .description('print critical load factors, by which the loads may grow until the structure buckles')
  .argument('<file>', 'model file, or - for standard input')
  .option(
    '--case <id>',
    'of this case or combination; may be repeated; else of every sum, or of every case',
    (id: string, before: string[]) => [...before, id],
    [] as string[],
  )
  .option('--modes <n>', 'how many of each', modeCount, MODES)
  .option('--negative', 'also of the reversed loads, whose factors are negative')
  .option('--lengths', 'with the buckling lengths of all members in compression')
  .action(async (file: string, options: BucklingOptions) => {
    process.exitCode = await (await import('./buckling')).buckling(file, options);
  });

program
  .command('modes')
  .description('print natural frequencies, periods and the mass that takes part in each mode')
  .argument('<file>', 'model file, or - for standard input')
  .option('--modes <n>', 'how many', naturalModeCount)
  .option('--masses', 'with what has mass, its total and its centre')
  .option('--earthquake', 'with the base shear by the spectrum of the file, mode by mode and all together')
  .action(async (file: string, options: ModesOptions) => {
    process.exitCode = await (await import('./modes')).modes(file, options);
  });

program
  .command('workings')
  .description('print how the results of a case come about, step by step as the stiffness method is taught')
  .argument('<file>', 'model file, or - for standard input')
  .option('--case <id>', 'of this case or sum; the first case where it is left out')
  .option('--steps <steps>', `only these, a comma between them: ${workingsSteps.join(', ')}`)
  .option('--members <ids>', 'of these members only, a comma between them')
  .option('--in-ei', 'stiffness and movement with EI as their common factor, and fractions where they are ones')
  .addOption(new Option('--as <format>', 'as what').choices(workingsFormats).default('text'))
  .addOption(
    new Option('--numbers <way>', 'of a page (html): written, left blank to fill in, or both')
      .choices(numbersWays)
      .default('written'),
  )
  .action(async (file: string, options: WorkingsOptions) => {
    process.exitCode = await (await import('./workings')).workings(file, options);
  });

const collected = (text: string, before: string[]): string[] => [...before, text];
program
  .command('study')
  .description('print results as CSV while a parameter goes over a range')
  .argument('<file>', 'model file, or - for standard input')
  .requiredOption(
    '--parameter <name=range>',
    'such as rise=2m..5m/0.25m; a second one for a family of curves',
    collected,
    [] as string[],
  )
  .requiredOption(
    '--result <result>',
    'such as Mz.max, N.min, b:V.largest, b:Mz@2.4m, 3.fy, 3.uy, movement, "span ratio", mass or critical; may be repeated',
    collected,
    [] as string[],
  )
  .option('--case <id>', 'of this case or combination; else of the first combination')
  .addOption(new Option('--decimal <mark>', 'how CSV writes decimals').choices(['point', 'comma']).default('point'))
  .option('-o, --output <file>', 'file to write; else standard output')
  .action(async (file: string, options: StudyOptions) => {
    process.exitCode = await (await import('./study')).study(file, options);
  });

program
  .command('seek')
  .description('print the value of a parameter at which a result reaches a bound')
  .argument('<file>', 'model file, or - for standard input')
  .requiredOption('--parameter <name=range>', 'such as rise=2m..5m')
  .requiredOption('--result <result>', 'as of a study')
  .requiredOption('--bound <value>', 'such as 20kN')
  .option('--case <id>', 'of this case or combination; else of the first combination')
  .action(async (file: string, options: SeekOptions) => {
    process.exitCode = await (await import('./study')).seek(file, options);
  });

program
  .command('check')
  .description('report every fault of a model file, without solving it')
  .argument('<file>', 'model file, or - for standard input')
  .option('--remedies', 'also say whether the structure can move, and which edits would stop it')
  .action(async (file: string, options: { remedies?: true }) => {
    process.exitCode = await (await import('./check')).check(file, options.remedies ? 'seek remedies' : 'faults only');
  });

program
  .command('combine')
  .description('print a model with the combinations that rules ask for, each with its reason; what was typed stays')
  .argument('<file>', 'model file, or - for standard input')
  .requiredOption('--rules <rules>', `${publishedRules.map(({ id }) => id).join(', ')}, or a file of rules (.json)`)
  .addOption(new Option('--limit-state <state>', 'only for this limit state').choices(limitStates))
  .addOption(new Option('--permanent <way>', 'whether permanent actions help or hurt').choices(permanentWays).default('as one'))
  .action(async (file: string, options: CombineOptions) => {
    process.exitCode = await (await import('./combine')).combine(file, options);
  });

program
  .command('influence')
  .description('print an influence line, exact in pieces, with its extremes, zeros and areas, and where a train is worst')
  .argument('<file>', 'model file, or - for standard input')
  .option('--reaction <node.component>', 'of a reaction, such as 3.fy')
  .option('--force <member:quantity@place>', 'of a force or moment in a member, such as b:Mz@2.4m or b:N@50%')
  .option('--movement <place>', 'of a displacement or turn, such as 3.uy, 3.rz or b:v@2.4m')
  .option(
    '--path <members>',
    'along which the load travels, such as b1,b2,b3; else the straight run of what is asked of, or the longest across the load',
  )
  .option('--deck <nodes>', 'across which a deck carries the load instead, resting on each of them, such as 1,2,3')
  .option('--direction <direction>', 'where the load pushes: down, up, x, -x, z, -z, or a vector', 'down')
  .option('--train <axles>', 'from the front, such as "2 × 90 kN at 1.2 m + 60 kN after 3 to 5 m with 9 kN/m"')
  .option('--impact <factor>', 'by which the axles are multiplied', impactFactor)
  .option('--stations <n>', 'evenly spaced points of each piece', stationCount, 11)
  .action(async (file: string, options: InfluenceOptions) => {
    process.exitCode = await (await import('./influence')).influence(file, options);
  });

program
  .command('table')
  .description('write tables of a model or of its results, as CSV or JSON, or as XLSX with a sheet a table')
  .argument('<file>', 'model file, or - for standard input')
  .argument('<tables>', `which, with commas between several: ${typedTables.join(', ')}`)
  .option('--case <id>', 'results of this case or combination; else of the first case')
  .option('--each', 'of an envelope each of the outcomes that make it')
  .option('--places <n>', 'evenly spaced places along each member, of stations', placeCount, PLACES.usual)
  .option('--where <conditions>', 'only rows where this holds, such as "|M| > 10 kN·m, By = U1"')
  .option('--sort <column>', 'in the order of a column, with a minus downwards, such as -M')
  .addOption(new Option('--decimal <mark>', 'how CSV writes decimals').choices(['point', 'comma']).default('point'))
  .option('-o, --output <file>', 'file to write: .csv, .xlsx or .json; else CSV on standard output')
  .action(async (file: string, tables: string, options: TableOptions) => {
    process.exitCode = await (await import('./table')).table(file, tables, options);
  });

program
  .command('draw')
  .description('draw a model or its results on paper, true to scale, with frame and title block')
  .argument('<file>', 'model file, or - for standard input')
  .requiredOption(
    '-o, --output <file>',
    'file to write: .pdf, .svg, .png, or .dxf: without frame and in the size of the structure',
  )
  .option(
    '--quantity <what>',
    `what to draw, with commas between several: a quantity by its symbol, such as M, N or δ, or ${otherSubjects.join(', ')}`,
    'geometry',
  )
  .option('--case <ids>', 'of which cases and combinations, with commas between several; else of the first case')
  .addOption(new Option('--look <look>', 'from where a model in space is seen').choices(Object.keys(LOOKS)).default('corner'))
  .addOption(new Option('--paper <size>', 'size of the paper').choices(papers).default('A3'))
  .addOption(new Option('--way <way>', 'how the paper lies').choices(paperWays).default('across'))
  .option('--scale <scale>', 'such as 1:50; else the largest usual one at which all of it fits')
  .option('--black', 'black lines and hatches in place of colours')
  .option('--project <name>', 'for the title block')
  .option('--number <number>', 'of the project or drawing, for the title block')
  .option('--date <date>', 'for the title block, as it is to stand there')
  .option('--revision <revision>', 'for the title block')
  .option('--dots <n>', 'of a picture, to an inch', dotCount, 150)
  .action(async (file: string, options: DrawOptions) => {
    process.exitCode = await (await import('./draw')).draw(file, options);
  });

program
  .command('report')
  .description('write a calculation report: the model in words and drawings, loads, combinations with reasons, results, checks')
  .argument('<file>', 'model file, or - for standard input')
  .requiredOption('-o, --output <file>', 'file to write: .pdf or .html')
  .option(
    '--chapters <names>',
    `in their order, with commas: ${chapterNames.join(', ')}, or the titles of the model’s own; else those of the model, or all but the last two`,
  )
  .option('--case <ids>', 'whose results are reported, with commas; else of envelopes, or all sums, or all cases')
  .option('--quantity <symbols>', 'what is drawn of them, with commas, such as N,V,M,δ')
  .addOption(new Option('--look <look>', 'from where a model in space is seen').choices(Object.keys(LOOKS)).default('corner'))
  .option('--black', 'black lines and hatches in place of colours')
  .option('--project <name>', 'for the cover')
  .option('--number <number>', 'of the project or report, for the cover and the head of each page')
  .option('--date <date>', 'for the cover, as it is to stand there')
  .option('--revision <revision>', 'for the cover and the head of each page')
  .action(async (file: string, options: ReportOptions) => {
    process.exitCode = await (await import('./report')).report(file, options);
  });

program
  .command('convert')
  .description(`print a model in another format: ${writable.map(({ id, words }) => `${id} (${words.toLowerCase()})`).join(', ')}`)
  .argument('<file>', 'model file, or - for standard input')
  .requiredOption('--to <format>', 'what to write')
  .option(
    '--option <key=value>',
    `of the format: ${optionWords}; may be repeated`,
    (text: string, before: Record<string, string>) => ({ ...before, [text.split('=')[0]!]: text.slice(text.indexOf('=') + 1) }),
    {} as Record<string, string>,
  )
  .action(async (file: string, options: { to: string; option: Record<string, string> }) => {
    process.exitCode = await (await import('./convert')).convert(file, options.to, options.option);
  });

program
  .command('take')
  .description('take tables (.csv, .xlsx) or the lines of a drawing (.dxf) into a model, and print the model')
  .argument('<file>', 'model file, or - for standard input')
  .argument('<from>', 'file of tables or drawing')
  .option('--leave-out', 'take the sound rows of tables although others have faults')
  .option('--layers <names>', 'of a drawing, with commas between several; else all')
  .option('--unit <unit>', 'that one unit of a drawing is, such as mm; else as the file says')
  .option('--tolerance <length>', 'within which ends of lines are joined', '5 mm')
  .addOption(
    new Option('--stands <way>', 'how a drawing stands in space').choices(['upright', 'on the ground']).default('upright'),
  )
  .option('--section <id>', 'that members of lines get; else the only one')
  .option('--material <id>', 'that members of lines get; else the only one')
  .action(async (file: string, from: string, options: TakeOptions) => {
    process.exitCode = await (await import('./take')).take(file, from, options);
  });

program
  .command('matrix')
  .description('print the reduced stiffness matrix in Matrix Market form, with the list of its freedoms')
  .argument('<file>', 'model file, or - for standard input')
  .option('--loads', 'print the load vectors of all cases instead')
  .action(async (file: string, options: { loads?: true }) => {
    process.exitCode = await (await import('./matrix')).matrix(file, options.loads ? 'loads' : 'stiffness');
  });

program
  .command('sections')
  .description('print the standard shapes that a search finds, with their dimensions and computed properties')
  .argument('[search...]', 'parts of a designation, or conditions: ipe 3 · w14x · 100x100x4 · "I > 5000 cm4"')
  .option('--family <family>', 'only of this family, such as IPE or UB')
  .addOption(new Option('--format <format>', 'how to print them; SI but in the table').choices(sectionFormats).default('table'))
  .action(async (search: string[], options: SectionsOptions) => {
    process.exitCode = (await import('./sections')).sections(search, options);
  });

program
  .command('section')
  .description('print the properties of a section of any outline, or built of plates and standard shapes, as JSON in SI')
  .argument('<file>', 'section file, or - for standard input')
  .action(async (file: string) => {
    process.exitCode = await (await import('./section')).section(file);
  });

const address = ['--address <address>', 'where Rigid Beam runs', 'http://127.0.0.1:3000'] as const;

program
  .command('backup')
  .description('save all projects, models and what can be undone to a file, while Rigid Beam runs')
  .argument('<file>', 'file to write, such as garden.backup.jsonl.gz')
  .option(...address)
  .action(async (file: string, options: { address: string }) => {
    process.exitCode = await (await import('./backup')).backup(file, options.address);
  });

program
  .command('restore')
  .description('put a backup into the Rigid Beam that runs; what is there already stays as it is')
  .argument('<file>', 'file that backup wrote')
  .option(...address)
  .option('--bring-back', 'also bring back models of it that were removed since')
  .action(async (file: string, options: { address: string; bringBack?: true }) => {
    process.exitCode = await (
      await import('./backup')
    ).restore(file, options.address, options.bringBack ? 'bring back' : 'leave');
  });

const tokens = program
  .command('token')
  .description('make, list and revoke the tokens by which programs of yours may ask the Rigid Beam that runs');
tokens
  .command('make')
  .description('print a new token, once')
  .argument('<name>', 'what it is for, such as spreadsheet')
  .action((name: string) => {
    process.exitCode = token('make', name);
  });
tokens
  .command('list')
  .description('print the names of all tokens, and when they were made')
  .action(() => {
    process.exitCode = token('list');
  });
tokens
  .command('revoke')
  .description('take a token away, from the next request on')
  .argument('<name>', 'of the token')
  .action((name: string) => {
    process.exitCode = token('revoke', name);
  });

// Every command that reads a model reads it with its parameters as they are set.
for (const command of program.commands)
  if (command.registeredArguments[0]?.description.startsWith('model file'))
    command.option(
      '--set <name=value>',
      'a parameter of the model, such as span=14m; may be repeated',
      (text: string, before: string[]) => [...before, text],
      [] as string[],
    );
program.hook('preAction', (_, command) => setParameters((command.opts() as { set?: string[] }).set ?? []));

// Who reads the output may have seen enough, as `head` does.
process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code !== 'EPIPE') throw error;
  process.exit();
});

try {
  await program.parseAsync();
} catch (error) {
  if (error instanceof CommanderError) {
    process.exitCode = error.exitCode === 0 ? 0 : exitCodes.invalid;
  } else {
    console.error(`Rigid Beam itself failed, which is a fault of the program: ${(error as Error).stack ?? String(error)}`);
    process.exitCode = exitCodes.program;
  }
}
