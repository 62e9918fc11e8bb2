import path from 'node:path';
import { PART_OF_ARC } from '@rigid-beam/core/formats/dxf/arcs';
import { membersOfLines, type LinesAsked } from '@rigid-beam/core/formats/dxf/members-of-lines';
import { readDxf } from '@rigid-beam/core/formats/dxf/read-dxf';
import { writeModelFile } from '@rigid-beam/core/formats/model-file';
import { applyIntent } from '@rigid-beam/core/model/edits/apply-intent';
import type { Intent } from '@rigid-beam/core/model/edits/intent';
import type { Model } from '@rigid-beam/core/model/model';
import { parseQuantity } from '@rigid-beam/core/quantities/parse';
import { units } from '@rigid-beam/core/quantities/units';
import { listed } from '@rigid-beam/core/sections/catalogue/listed';
import { shapeCalled } from '@rigid-beam/core/sections/catalogue/search';
import { readCsv } from '@rigid-beam/core/tables/files/read-csv';
import { readXlsx } from '@rigid-beam/core/tables/files/read-xlsx';
import { understand } from '@rigid-beam/core/tables/taking/heads';
import { takeTables } from '@rigid-beam/core/tables/taking/take-tables';
import { exitCodes } from './exit-codes';
import { printNotices, readBytes, readInput } from './input';
import { print } from './output';

export interface TakeOptions {
  readonly leaveOut?: true;
  readonly layers?: string;
  readonly unit?: string;
  readonly tolerance: string;
  readonly stands: LinesAsked['stands'];
  readonly section?: string;
  readonly material?: string;
}

const catalogue = { listed, shapeCalled };

/** Takes tables or a drawing of another file into a model, and prints the model; what cannot be taken is told, line by line. */
export async function take(file: string, from: string, options: TakeOptions): Promise<number> {
  const { model, notices } = await readInput(file);
  printNotices(notices);
  if (!model) return exitCodes.invalid;
  const bytes = await readBytes(from);
  if (!(bytes instanceof Uint8Array)) {
    printNotices([bytes]);
    return exitCodes.invalid;
  }
  const isDrawing = from.toLowerCase().endsWith('.dxf');
  const intent = isDrawing ? lines(model, bytes.toString(), options) : await tables(model, from, bytes, options);
  if (typeof intent === 'string') {
    console.error(`Fault: ${intent}.`);
    return exitCodes.invalid;
  }
  const applied = applyIntent(model, intent);
  if (!applied.ok) {
    printNotices(applied.faults);
    return exitCodes.invalid;
  }
  await print([writeModelFile(applied.model)]);
  return 0;
}

async function tables(model: Model, from: string, bytes: Buffer, { leaveOut }: TakeOptions): Promise<Intent | string> {
  const { name, ext } = path.parse(from);
  const grids = ext.toLowerCase() === '.xlsx' ? await readXlsx(bytes) : readCsv(bytes.toString(), name);
  if (typeof grids === 'string') return grids;
  const understood = grids.map((grid) => understand(grid, model, catalogue));
  const { rows, counts, intent } = takeTables(model, understood, `Take ${name}${ext}`, catalogue);
  for (const [i, { grid, kind }] of understood.entries()) {
    if (kind === undefined) console.error(`Note: “${grid.title}” is no table of a structure, and is not taken.`);
    for (const { line, why } of rows[i]!) if (why !== undefined) console.error(`${grid.title}, line ${line}: ${why}`);
  }
  console.error(`New: ${counts.new}, changed: ${counts.changed}, the same: ${counts.same}, not taken: ${counts.faulty}`);
  if (counts.faulty > 0 && !leaveOut) return 'Some rows cannot be taken: mend them, or say --leave-out';
  return intent ?? 'There is nothing to take';
}

function lines(model: Model, text: string, options: TakeOptions): Intent | string {
  const drawing = readDxf(text, PART_OF_ARC);
  if (typeof drawing === 'string') return drawing;
  const there = [...new Set(drawing.lines.map(({ layer }) => layer))];
  const wanted = options.layers === undefined ? there : options.layers.split(',').map((layer) => layer.trim());
  const unknown = wanted.find((layer) => !there.includes(layer));
  if (unknown !== undefined) return `No line is on a layer “${unknown}”. There are: ${there.join(', ')}`;
  const unit = options.unit === undefined ? drawing.unit : units.get(options.unit)?.factor;
  if (unit === undefined)
    return options.unit === undefined
      ? 'The drawing says no unit: say it with --unit, such as --unit mm'
      : `“${options.unit}” is no unit of length`;
  const tolerance = parseQuantity(options.tolerance, 'length', 'mm');
  if (!tolerance.ok || tolerance.value <= 0) return `“${options.tolerance}” is no length within which ends are joined`;
  const section = oneOf(model.sections, 'section', options.section);
  const material = oneOf(model.materials, 'material', options.material);
  if ('fault' in section) return section.fault;
  if ('fault' in material) return material.fault;
  const isWanted = new Set(wanted);
  const { part, short, doubled, beside, joined, cut } = membersOfLines(
    drawing.lines.filter(({ layer }) => isWanted.has(layer)),
    model.space,
    { unit, tolerance: tolerance.value, stands: options.stands, section: section.id, material: material.id },
  );
  for (const { count, kind, layer, line } of drawing.leftOut)
    console.error(`Note: ${count} ${kind} on layer ${layer} left out (the first in line ${line})`);
  console.error(
    `Members: ${part.members.length}, nodes: ${part.nodes.length}, ends joined: ${joined.count}, lines cut: ${cut}, too short: ${short}, doubled: ${doubled}, out of the plane: ${beside}`,
  );
  return part.members.length === 0 ? 'There is nothing to take' : { type: 'insert', part, at: [0, 0, 0] };
}

/** The entry that is said, or the only one. */
function oneOf(
  list: readonly { readonly id: string }[],
  what: string,
  said: string | undefined,
): { readonly id: string } | { readonly fault: string } {
  const ids = list.map(({ id }) => id).join(', ') || 'none';
  const found = said === undefined ? (list.length === 1 ? list[0] : undefined) : list.find(({ id }) => id === said);
  return (
    found ?? { fault: `Say which ${what} the members get, with --${what}: there ${list.length === 1 ? 'is' : 'are'} ${ids}` }
  );
}
