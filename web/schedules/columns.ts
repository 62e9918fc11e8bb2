import { behaviours, type Member, type Model, type ModelNode } from '@rigid-beam/core/model/model';
import { lengthOf, placesOf } from '@rigid-beam/core/model/places';
import { lengthUnit } from '@rigid-beam/core/quantities/display';
import { parseQuantity } from '@rigid-beam/core/quantities/parse';
import { inUnit, showNumber } from '@rigid-beam/core/quantities/show';
import { kindOf, supportKindsOf } from '@rigid-beam/core/model/support-kinds';
import { columns as WORDS } from './words';

export type ScheduleList = 'nodes' | 'members';

/** A row as the schedule holds it: the entry, and for a node the kind of its support. */
export type Row = Record<string, unknown> & { readonly id: string };

export interface Column {
  readonly key: string;
  readonly title: string;
  readonly unit?: string;
  /** Not for typing. */
  readonly computed?: true;
  /** The words that may stand here. */
  readonly choices?: readonly string[];
  readonly show: (row: Row) => string;
  /** The row with the text taken in, or why it cannot be. */
  readonly take: (row: Row, text: string) => Row | string;
}

const text = (key: string, title: string, choices?: readonly string[]): Column => ({
  key,
  title,
  ...(choices && { choices }),
  show: (row) => (typeof row[key] === 'string' ? row[key] : ''),
  take: (row, typed) => {
    const word = typed.trim();
    if (word === '') return WORDS.mustNotBeEmpty(title);
    if (choices && !choices.includes(word)) return WORDS.isNoneOf(word, choices.slice(0, 12).join(', '));
    return { ...row, [key]: word };
  },
});

const length = (key: string, title: string, unit: string): Column => ({
  key,
  title,
  unit,
  show: (row) => plain(inUnit((row[key] as number | undefined) ?? 0, unit)),
  take: (row, typed) => {
    const parsed = parseQuantity(typed, 'length', unit);
    return parsed.ok ? { ...row, [key]: parsed.value } : WORDS.isNoLength(typed, parsed.reason);
  },
});

/** Numbers as a spreadsheet takes them. */
const plain = (value: number): string => showNumber(value, 9).replace('−', '-').replaceAll(' ', '').replaceAll(' ', '');

const NONE = 'none';

export function columnsOf(model: Model, list: ScheduleList): readonly Column[] {
  const unit = lengthUnit(model);
  if (list === 'nodes') {
    const kinds = [NONE, ...supportKindsOf(model.space).map(({ id }) => id)];
    return [
      text('id', WORDS.node),
      length('x', 'X', unit),
      length('y', 'Y', unit),
      ...(model.space === 'space' ? [length('z', 'Z', unit)] : []),
      text('support', WORDS.support, kinds),
    ];
  }
  const places = placesOf(model);
  const nodes = model.nodes.map(({ id }) => id);
  return [
    text('id', WORDS.member),
    text('start', WORDS.fromNode, nodes),
    text('end', WORDS.toNode, nodes),
    text(
      'section',
      WORDS.section,
      model.sections.map(({ id }) => id),
    ),
    text(
      'material',
      WORDS.material,
      model.materials.map(({ id }) => id),
    ),
    { ...text('behaviour', WORDS.behaviour, behaviours), show: (row) => (row.behaviour as string | undefined) ?? 'frame' },
    {
      key: 'roll',
      title: WORDS.roll,
      unit: '°',
      show: (row) => plain((row.roll as number | undefined) ?? 0),
      take: (row, typed) => {
        const parsed = parseQuantity(typed, 'number');
        return parsed.ok ? { ...row, roll: parsed.value } : WORDS.isNoAngle(typed, parsed.reason);
      },
    },
    {
      key: 'length',
      title: WORDS.length,
      unit,
      computed: true,
      show: (row) =>
        places.has(String(row.start)) && places.has(String(row.end))
          ? plain(inUnit(lengthOf(row as unknown as Member, places), unit))
          : '',
      take: () => WORDS.lengthFollows,
    },
  ];
}

export function rowsOf(model: Model, list: ScheduleList): Row[] {
  if (list === 'members') return model.members.map((member) => ({ ...member }) as unknown as Row);
  const supports = new Map(model.supports.map((support) => [support.node, support]));
  return model.nodes.map((node: ModelNode) => {
    const support = supports.get(node.id);
    return { ...node, support: support ? (kindOf(support, model.space) ?? 'other') : NONE };
  });
}

/** A new row under the others; what is not typed into it follows the last one. */
export function newRow(model: Model, list: ScheduleList, id: string): Row {
  if (list === 'nodes') return { id, x: 0, y: 0, support: NONE };
  const like = model.members.at(-1);
  return {
    id,
    start: '',
    end: '',
    section: like?.section ?? model.sections[0]?.id ?? '',
    material: like?.material ?? model.materials[0]?.id ?? '',
  };
}
