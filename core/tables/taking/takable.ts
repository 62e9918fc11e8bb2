import { axisKeys, sectionSymbol, structureAxis, withAxes, alongAxis, type AxisKey } from '../../quantities/axis-names';
import { displayOf } from '../../quantities/display';
import { parseQuantity } from '../../quantities/parse';
import { inUnit } from '../../quantities/show';
import type { IdStyle } from '../../model/edits/fresh-ids';
import type { LineLoad } from '../../model/loads/primitive';
import { freedoms, type Load, type Model } from '../../model/model';
import { textColumn, type Row, type TypedColumn } from '../column';
import type { ScheduleKind } from '../schedules/list';
import { schedules, type ScheduleList } from '../schedules/lists';
import { columns as COLUMNS, taking as WORDS } from '../words';

/** Heads by which a column is called besides its title: in small letters, without marks. */
type Heads = Readonly<Record<string, readonly string[]>>;

/** A kind of table that is taken from a file. */
export interface Takable extends Pick<ScheduleKind, 'columns' | 'rows' | 'put'> {
  /** What its rows are, as it is offered. */
  readonly words: string;
  /** The list of the model that its rows go into. */
  readonly list: ScheduleList;
  readonly names: IdStyle;
  /** A new row, with nothing in it that nobody said. */
  readonly fresh: (model: Model, id: string) => Row;
  /** Columns without which a new row means nothing: of each group one. */
  readonly needs: (model: Model) => readonly (readonly string[])[];
  readonly heads: (model: Model) => Heads;
}

const NAME = ['name', 'id', 'number', 'no', 'nr', 'label'];
const NODE = ['node', 'point', 'joint'];
const MEMBER = ['member', 'bar', 'beam', 'element'];

const of = (list: ScheduleList): Pick<Takable, 'words' | 'list' | 'names' | 'columns' | 'rows' | 'put'> => ({
  words: schedules[list].words,
  list,
  names: schedules[list].names,
  columns: schedules[list].columns,
  rows: schedules[list].rows,
  put: schedules[list].put,
});

/** Of a list with one entry nothing needs to be said; of one with none, or with several, it does. */
const unlessOne = (list: readonly unknown[], key: string): readonly (readonly string[])[] => (list.length === 1 ? [] : [[key]]);
const only = (list: readonly { readonly id: string }[]): string => (list.length === 1 ? list[0]!.id : '');

/** The axes of a model, by their names in the file. */
const axesOf = ({ space }: Model): readonly AxisKey[] => (space === 'space' ? axisKeys : ['x', 'y']);

/** A number about or along an axis of the structure: a force, a couple, a load per length. */
function componentColumn(
  model: Model,
  key: string,
  { title, axis, dimension, unit }: { title: string; axis: AxisKey; dimension: 'force' | 'moment' | 'intensity'; unit: string },
): TypedColumn {
  const called = structureAxis(displayOf(model), axis);
  return {
    ...{ key, title: withAxes(title, displayOf(model)), unit },
    value: (row) => (row[key] === undefined ? undefined : alongAxis(called, inUnit(row[key] as number, unit))),
    take: (row, text) => {
      const parsed = parseQuantity(text, dimension, unit);
      return parsed.ok ? { ...row, [key]: alongAxis(called, parsed.value) } : COLUMNS.isNoQuantity(text, parsed.reason);
    },
  };
}

/** Forces and couples on nodes, and loads all along members, by their components. */
const componentLoads = (
  words: string,
  place: 'node' | 'member',
  components: (model: Model) => readonly TypedColumn[],
  { rowOf, entry }: { rowOf: (load: Load) => Row | undefined; entry: (row: Row) => Readonly<Record<string, unknown>> },
): Takable => ({
  ...of('loads'),
  words,
  columns: (model) => [
    textColumn('id', COLUMNS.load),
    textColumn(
      'case',
      COLUMNS.caseTitle,
      model.cases.map(({ id }) => id),
    ),
    textColumn(
      place,
      place === 'node' ? COLUMNS.node : COLUMNS.member,
      (place === 'node' ? model.nodes : model.members).map(({ id }) => id),
    ),
    ...components(model),
  ],
  rows: ({ loads }) => loads.flatMap((load) => rowOf(load) ?? []),
  put: (_, row) => [{ type: 'put', list: 'loads', entry: entry(row) }],
  fresh: (model, id) => ({ id, case: only(model.cases) }),
  needs: (model) => [[place], ...unlessOne(model.cases, 'case'), components(model).map(({ key }) => key)],
  heads: (model) => ({
    id: ['load', 'no', 'nr', 'id'],
    case: ['case', 'load case'],
    [place]: place === 'node' ? NODE : MEMBER,
    ...Object.fromEntries(
      components(model).flatMap(({ key, title }) =>
        // A load per length is called w, q or p.
        key.startsWith('w') ? [[key, ['w', 'q', 'p'].map((one) => `${one}${title.slice(1).toLowerCase()}`)]] : [],
      ),
    ),
  }),
});

/** The same all along its member. */
const isUniform = ({ from, to }: LineLoad): boolean =>
  from.at === undefined && to.at === undefined && axisKeys.every((axis) => from[`w${axis}`] === to[`w${axis}`]);

const nodeComponents = (model: Model): readonly TypedColumn[] => {
  const { force, moment } = displayOf(model);
  const about: readonly AxisKey[] = model.space === 'space' ? axisKeys : ['z'];
  return [
    ...axesOf(model).map((axis) =>
      componentColumn(model, `f${axis}`, { title: `F{${axis.toUpperCase()}}`, axis, dimension: 'force', unit: force }),
    ),
    ...about.map((axis) =>
      componentColumn(model, `m${axis}`, { title: `M{${axis.toUpperCase()}}`, axis, dimension: 'moment', unit: moment }),
    ),
  ];
};

const lineComponents = (model: Model): readonly TypedColumn[] => {
  const { force, length } = displayOf(model);
  return axesOf(model).map((axis) =>
    componentColumn(model, `w${axis}`, {
      ...{ title: `w{${axis.toUpperCase()}}`, axis, dimension: 'intensity', unit: `${force}/${length}` },
    }),
  );
};

/** A freedom by the words of other tables; what could be a mark as well as a stiffness is refused. */
const marked = (column: TypedColumn): TypedColumn =>
  freedoms.some((freedom) => freedom === column.key)
    ? {
        ...column,
        take: (row, text) => {
          const word = text.trim().toLowerCase();
          if (word === '1') return WORDS.heldOrStiffness;
          if (['yes', 'true', 'x', 'fixed'].includes(word)) return column.take(row, COLUMNS.held);
          return column.take(row, ['no', 'false', '0', '-', '–'].includes(word) ? COLUMNS.free : text);
        },
      }
    : column;

/** Kinds of table that are taken from files, in the order in which they build on each other. A new kind is entered here. */
export const takables = {
  materials: {
    ...of('materials'),
    fresh: (_: Model, id: string) => ({ id }),
    needs: () => [['E']],
    heads: () => ({
      id: ['material', 'grade', ...NAME],
      E: ['e', 'modulus', 'young s modulus', 'elastic modulus', 'modulus elasticity'],
      G: ['g', 'shear modulus'],
      density: ['density', 'mass density', 'rho'],
      alpha: ['alpha', 'thermal expansion'],
      fy: ['fy', 'yield strength'],
    }),
  },
  sections: {
    ...of('sections'),
    fresh: (_: Model, id: string) => ({ id }),
    needs: () => [['catalogue', 'A']],
    heads: (model: Model) => ({
      id: ['section', ...NAME],
      catalogue: ['designation', 'profile', 'shape', 'size'],
      A: ['area'],
      ...Object.fromEntries(['Iz', 'Iy'].map((key) => [key, [`inertia ${sectionSymbol(key, displayOf(model)).slice(1)}`]])),
      J: ['it', 'torsion constant'],
    }),
  },
  nodes: {
    ...of('nodes'),
    fresh: (_: Model, id: string) => ({ id, x: 0, y: 0, support: 'none' }),
    needs: (model: Model) => axesOf(model).map((axis) => [axis]),
    heads: () => ({ id: [...NODE, ...NAME], support: ['restraint', 'bearing'] }),
  },
  supports: {
    ...of('supports'),
    columns: (model: Model) => schedules.supports.columns(model).map(marked),
    fresh: (_: Model, id: string) => ({ id }),
    needs: () => [freedoms],
    heads: (model: Model) => ({
      id: [...NODE, ...NAME],
      ...Object.fromEntries(
        freedoms.map((freedom) => {
          const letter = structureAxis(displayOf(model), freedom.slice(1) as AxisKey).letter.toLowerCase();
          return [freedom, (freedom.startsWith('u') ? ['u', 't', 'd'] : ['r']).map((one) => `${one}${letter}`)];
        }),
      ),
      angle: ['angle'],
    }),
  },
  members: {
    ...of('members'),
    fresh: ({ sections, materials }: Model, id: string) => ({
      ...{ id, start: '', end: '' },
      ...{ section: only(sections), material: only(materials) },
    }),
    needs: ({ sections, materials }: Model) => [
      ...[['start'], ['end']],
      ...unlessOne(sections, 'section'),
      ...unlessOne(materials, 'material'),
    ],
    heads: () => ({
      id: [...MEMBER, ...NAME],
      start: ['from', 'start', 'start node', 'first node', 'node 1', 'node i', 'i'],
      end: ['to', 'end', 'end node', 'second node', 'node 2', 'node j', 'j'],
      section: ['profile', 'cross section'],
      material: ['grade'],
      behaviour: ['type', 'behavior'],
      roll: ['rotation', 'beta'],
    }),
  },
  loads: {
    ...of('loads'),
    fresh: (model: Model, id: string) => ({ ...schedules.loads.newRow(model, id), case: only(model.cases) }),
    needs: (model: Model) => [['on'], ['say'], ...unlessOne(model.cases, 'case')],
    heads: () => ({ id: ['load', ...NAME], case: ['load case'], on: ['where', 'place'], say: ['value', 'words', 'load'] }),
  },
  nodeLoads: componentLoads(WORDS.nodeLoads, 'node', nodeComponents, {
    rowOf: (load) => (load.type === 'node' ? ({ ...load } as Row) : undefined),
    entry: (row) => ({ ...row, type: 'node' }),
  }),
  memberLoads: componentLoads(WORDS.memberLoads, 'member', lineComponents, {
    rowOf: (load) => {
      if (load.type !== 'line' || (load.axes ?? 'global') !== 'global' || !isUniform(load)) return undefined;
      const { id, case: of, member, from } = load;
      return { id, case: of, member, ...from };
    },
    entry: ({ wx, wy, wz, ...row }) => {
      const all = { ...(wx !== undefined && { wx }), ...(wy !== undefined && { wy }), ...(wz !== undefined && { wz }) };
      return { ...row, type: 'line', from: all, to: all };
    },
  }),
  combinations: {
    ...of('combinations'),
    fresh: (_: Model, id: string) => ({ id, type: 'sum', factors: {}, limitState: 'other' }),
    needs: ({ cases }: Model) => [['sum', ...cases.map(({ id }) => `of ${id}`)]],
    heads: () => ({ id: NAME, sum: ['factors'] }),
  },
} as const satisfies Readonly<Record<string, Takable>>;

export type TakableKind = keyof typeof takables;
export const takableKinds = Object.keys(takables) as readonly TakableKind[];
