import { denseMatrixMarket, symmetricMatrixMarket } from '@rigid-beam/core/formats/matrix-market';
import { isFault } from '@rigid-beam/core/model/notice';
import { analysisFaults } from '@rigid-beam/core/stiffness/analysis-checks';
import { reducedSystem } from '@rigid-beam/core/stiffness/reduced-system';
import { exitCodes } from './exit-codes';
import { printNotices, readInput } from './input';
import { print } from './output';

/** Prints the reduced stiffness matrix, or the load vectors of all cases, in Matrix Market form. */
export async function matrix(file: string, what: 'stiffness' | 'loads'): Promise<number> {
  const { model, notices } = await readInput(file);
  const all = [...notices, ...(model ? analysisFaults(model) : [])];
  printNotices(all);
  if (!model || all.some(isFault)) return exitCodes.invalid;
  const system = reducedSystem(model);
  const freedoms = system.freedoms.map((name, i) => `${i + 1} = node ${name}`);
  const text =
    what === 'stiffness'
      ? symmetricMatrixMarket(system.matrix, ['Reduced stiffness matrix, SI. Rows are the free freedoms:', ...freedoms])
      : denseMatrixMarket(
          system.loads.map(({ values }) => values),
          [
            `Load vectors, SI, one column a case: ${system.loads.map(({ id }) => id).join(', ')}. Rows are the free freedoms:`,
            ...freedoms,
          ],
        );
  await print([text]);
  return exitCodes.solved;
}
