import { AnalysisSession } from '@rigid-beam/core/analysis/session';
import { influenceFile } from '@rigid-beam/core/formats/influence-file';
import { influenceOf, isFound } from '@rigid-beam/core/influence/asked';
import { readDirection } from '@rigid-beam/core/influence/read-direction';
import { readEffect } from '@rigid-beam/core/influence/read-effect';
import { readTrain, type Axles } from '@rigid-beam/core/model/train';
import type { Effect } from '@rigid-beam/core/influence/effect';
import { isDisplacement } from '@rigid-beam/core/results/quantities';
import { exitCodes } from './exit-codes';
import { printNotices, readInput } from './input';

export interface InfluenceOptions {
  readonly reaction?: string;
  readonly force?: string;
  readonly movement?: string;
  readonly path?: string;
  readonly deck?: string;
  readonly direction: string;
  readonly train?: string;
  readonly impact?: number;
  readonly stations: number;
}

const listed = (text: string): string[] => text.split(',').map((id) => id.trim()).filter((id) => id !== ''); // oxfmt-ignore

/** Prints an influence line, and where a train is worst for it. */
export async function influence(file: string, options: InfluenceOptions): Promise<number> {
  const { model, notices } = await readInput(file);
  printNotices(notices);
  const asked = askable.filter((one) => options[one] !== undefined);
  const [as] = asked;
  if (as === undefined || asked.length > 1) {
    console.error('Fault: Ask for one influence line: --reaction 3.fy, --force b:Mz@2.4m, or --movement 3.uy.');
    return exitCodes.invalid;
  }
  if (!model) return exitCodes.invalid;
  const train = trainOf(options);
  if (typeof train === 'string') {
    console.error(`Fault: --train: ${train}.`);
    return exitCodes.invalid;
  }
  const direction = readDirection(options.direction);
  if ('code' in direction) {
    printNotices([direction]);
    return exitCodes.invalid;
  }
  const session = new AnalysisSession();
  try {
    const results = session.update(model).now;
    if (!results.solution) {
      printNotices(results.notices);
      return exitCodes[results.status];
    }
    const { structure } = results.solution;
    const effect = readEffect(options[as]!, model, structure);
    if (!('code' in effect) && askedAs(effect) !== as) {
      console.error(`Fault: ${options[as]!} is a ${askedAs(effect)}. Ask for it with --${askedAs(effect)} ${options[as]!}.`);
      return exitCodes.invalid;
    }
    const found = influenceOf(model, session.system!, {
      effect: options[as]!,
      over: options.path === undefined ? undefined : listed(options.path),
      across: options.deck === undefined ? undefined : listed(options.deck),
      direction,
    });
    if (!isFound(found)) {
      printNotices(found);
      return found.some(({ code }) => code === 'mechanism') ? exitCodes.unstable : exitCodes.invalid;
    }
    const contents = influenceFile(structure, found, { stations: options.stations, ...(train && { train }) });
    console.log(JSON.stringify(contents, undefined, 1));
    return exitCodes.solved;
  } finally {
    session.close();
  }
}

const askable = ['reaction', 'force', 'movement'] as const;

/** By which option an effect is asked for. */
const askedAs = (effect: Effect): (typeof askable)[number] =>
  effect.kind === 'along' ? (isDisplacement(effect.quantity) ? 'movement' : 'force') : effect.kind;

function trainOf({ train: text, impact }: InfluenceOptions): Axles | string | undefined {
  if (text === undefined) return undefined;
  const read = readTrain(text, { force: 'kN', length: 'm' });
  if (!read.ok) return read.reason;
  return { ...read.train, ...(impact !== undefined && { impact }) };
}
