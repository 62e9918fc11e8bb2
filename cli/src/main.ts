import { Command, CommanderError, InvalidArgumentError, Option } from 'commander';
import { publishedRules } from '@rigid-beam/core/combinations/rules/published';
import { limitStates } from '@rigid-beam/core/model/categories';
import { permanentWays } from '@rigid-beam/core/model/model';
import { runNames } from '@rigid-beam/core/analysis/runs';
import { STATIONS, writable } from '@rigid-beam/core/formats/registry';
import { backup, restore } from './backup';
import { check } from './check';
import { combine, type CombineOptions } from './combine';
import { convert } from './convert';
import { solveCommand, type SolveOptions } from './solve';
import { exitCodes } from './exit-codes';
import { matrix } from './matrix';
import { section } from './section';
import { sectionFormats, sections, type SectionsOptions } from './sections';

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
  .addOption(new Option('--run <run>', 'which analysis').choices(runNames).default('first-order'))
  .option('--remedies', 'for a structure that can move, also seek edits that stop it')
  .action(async (file: string, options: SolveOptions) => {
    process.exitCode = await solveCommand(file, options);
  });

program
  .command('check')
  .description('report every fault of a model file, without solving it')
  .argument('<file>', 'model file, or - for standard input')
  .option('--remedies', 'also say whether the structure can move, and which edits would stop it')
  .action(async (file: string, options: { remedies?: true }) => {
    process.exitCode = await check(file, options.remedies ? 'seek remedies' : 'faults only');
  });

program
  .command('combine')
  .description('print a model with the combinations that rules ask for, each with its reason; what was typed stays')
  .argument('<file>', 'model file, or - for standard input')
  .requiredOption('--rules <rules>', `${publishedRules.map(({ id }) => id).join(', ')}, or a file of rules (.json)`)
  .addOption(new Option('--limit-state <state>', 'only for this limit state').choices(limitStates))
  .addOption(new Option('--permanent <way>', 'whether permanent actions help or hurt').choices(permanentWays).default('as one'))
  .action(async (file: string, options: CombineOptions) => {
    process.exitCode = await combine(file, options);
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
    process.exitCode = await convert(file, options.to, options.option);
  });

program
  .command('matrix')
  .description('print the reduced stiffness matrix in Matrix Market form, with the list of its freedoms')
  .argument('<file>', 'model file, or - for standard input')
  .option('--loads', 'print the load vectors of all cases instead')
  .action(async (file: string, options: { loads?: true }) => {
    process.exitCode = await matrix(file, options.loads ? 'loads' : 'stiffness');
  });

program
  .command('sections')
  .description('print the standard shapes that a search finds, with their dimensions and computed properties')
  .argument('[search...]', 'parts of a designation, or conditions: ipe 3 · w14x · 100x100x4 · "I > 5000 cm4"')
  .option('--family <family>', 'only of this family, such as IPE or UB')
  .addOption(new Option('--format <format>', 'how to print them; SI but in the table').choices(sectionFormats).default('table'))
  .action((search: string[], options: SectionsOptions) => {
    process.exitCode = sections(search, options);
  });

program
  .command('section')
  .description('print the properties of a section of any outline, or built of plates and standard shapes, as JSON in SI')
  .argument('<file>', 'section file, or - for standard input')
  .action(async (file: string) => {
    process.exitCode = await section(file);
  });

const address = ['--address <address>', 'where Rigid Beam runs', 'http://127.0.0.1:3000'] as const;

program
  .command('backup')
  .description('save all projects, models and what can be undone to a file, while Rigid Beam runs')
  .argument('<file>', 'file to write, such as garden.backup.jsonl.gz')
  .option(...address)
  .action(async (file: string, options: { address: string }) => {
    process.exitCode = await backup(file, options.address);
  });

program
  .command('restore')
  .description('put a backup into the Rigid Beam that runs; what is there already stays as it is')
  .argument('<file>', 'file that backup wrote')
  .option(...address)
  .option('--bring-back', 'also bring back models of it that were removed since')
  .action(async (file: string, options: { address: string; bringBack?: true }) => {
    process.exitCode = await restore(file, options.address, options.bringBack ? 'bring back' : 'leave');
  });

function stationCount(text: string): number {
  const count = Number(text);
  if (!Number.isInteger(count) || count < 2 || count > 10_000)
    throw new InvalidArgumentError('Give a whole number from 2 to 10000.');
  return count;
}

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
