import { counted } from '@rigid-beam/core/counted';

export const taking = {
  stopped: 'what reads it has stopped',
  failed: (reason: string): string => `The file could not be read: ${reason}. Save it again, or take it apart.`,
  label: (file: string): string => `Take ${file}`,
};

export const fileDialog = {
  otherKind: (file: string): string =>
    `${file} brings neither tables nor a drawing: let fall CSV, XLSX or DXF. Pictures are laid behind the drawing in Geometry; model files are opened from the list of projects.`,
  title: (file: string): string => `From ${file}`,
  close: 'Close',
};

export const tablesDialog = {
  tables: 'Tables of the file',
  rows: (count: number): string => counted(count, 'row'),
  takenAs: 'Rows are',
  notTaken: '— not taken —',
  unitOf: (head: string): string => `Unit of ${head}`,
  columnOf: (head: string): string => `Column ${head}`,
  unnamed: (at: number): string => `number ${at + 1}`,
  reading: 'Reading …',
  line: 'Line',
  becomes: 'Becomes',
  states: { new: 'new', changed: 'changed', same: 'the same', faulty: 'not taken' },
  onlyFaulty: 'Only what cannot be taken',
  more: (count: number): string => `And ${counted(count, 'row')} more.`,
  summary: ({ new: added, changed, same, faulty }: Readonly<Record<'new' | 'changed' | 'same' | 'faulty', number>>): string =>
    [
      added > 0 && `${counted(added, 'row is', 'rows are')} new`,
      changed > 0 && `${counted(changed, 'row changes', 'rows change')} what is there`,
      same > 0 && `${counted(same, 'row says', 'rows say')} what the model has`,
      faulty > 0 && `${counted(faulty, 'row cannot', 'rows cannot')} be taken`,
    ]
      .filter(Boolean)
      .join('; ') || 'No table of the file is taken yet: say what its rows are',
  take: (count: number): string => `Take ${counted(count, 'row')}`,
  takeWithout: (count: number, faulty: number): string => `Take ${counted(count, 'row')}, leave out ${faulty}`,
  took: (count: number, file: string): string => `${counted(count, 'row')} of ${file} taken`,
};

export const drawingDialog = {
  reading: 'Reading …',
  layers: 'Layers',
  lines: (count: number): string => counted(count, 'line'),
  unit: 'One unit is',
  units: { m: 'metre', cm: 'centimetre', mm: 'millimetre', in: 'inch', ft: 'foot' },
  unitSaid: 'as the file says',
  unitUnsaid: 'The file says no unit: check the size below.',
  size: (width: string, height: string): string => `${width} across, ${height} high`,
  joins: 'Joins ends nearer than',
  arcs: 'Arcs in parts of at most',
  stands: 'Stands',
  upright: 'upright, as an elevation',
  'on the ground': 'on the ground, as a plan',
  section: 'Section',
  material: 'Material',
  preview: (file: string): string => `The lines of ${file}`,
  summary: (members: number, nodes: number): string => `${counted(members, 'member')} between ${counted(nodes, 'node')}`,
  joined: (count: number, farthest: string): string => `${counted(count, 'end')} joined, at most ${farthest} apart`,
  cut: (count: number): string => `${counted(count, 'line is', 'lines are')} cut where another ends on them`,
  short: (count: number): string => `${counted(count, 'line is', 'lines are')} shorter than that and left out`,
  beside: (count: number): string =>
    `${counted(count, 'line leaves', 'lines leave')} the plane of the model and ${count === 1 ? 'is' : 'are'} left out`,
  doubled: (count: number): string => `${counted(count, 'line stands', 'lines stand')} there twice`,
  leftOut: (kinds: string): string => `No lines, and left out: ${kinds}`,
  kind: (count: number, kind: string, layer: string, line: number): string =>
    `${count} ${kind} on ${layer} (the first in line ${line})`,
  nothing: 'There is no line on the layers that are ticked',
  noSection: 'The model has no section or no material yet: members need both.',
  take: (count: number): string => `Take ${counted(count, 'member')}`,
  behind: 'Lay behind the drawing',
  name: (file: string): string => `Take ${file}`,
};

/** Files that bring tables or a drawing. */
export const TAKEN_FILES = '.csv,.tsv,.txt,.xlsx,.dxf';
