import { axisKeys, structureAxis, type CalledAxis } from '../quantities/axis-names';
import type { DisplayUnits } from '../quantities/display';
import { showNumber } from '../quantities/show';
import type { WorkingsBlock } from './blocks';
import { FREEDOMS } from '../stiffness/structure';
import { threeMoments } from './three-moments';
import { workedTruss, type JointEquation, type Unknown, type WorkedCut } from './truss';
import { scaledIn, WORKINGS_DIGITS } from './units';
import { classic as WORDS, classicFormulas } from './words';
import type { Worked } from './worked';

const shown = (value: number): string => showNumber(Math.abs(value) < 1e-9 ? 0 : value, WORKINGS_DIGITS);

/** A sum as one writes it: `0.8 S(a) − 3 S(b)`; parts of 1 are not written. */
function sumOf(terms: readonly (readonly [factor: number, name: string])[]): string {
  const all = terms.filter(([factor]) => Math.abs(factor) > 1e-12);
  if (all.length === 0) return '0';
  return all
    .map(([factor, name], i) => {
      const size = Math.abs(factor);
      const times = name === '' ? shown(size) : Math.abs(size - 1) < 1e-12 ? name : `${shown(size)} ${name}`;
      const sign = factor < 0 ? '−' : '+';
      return i === 0 ? (sign === '−' ? `−${times}` : times) : ` ${sign} ${times}`;
    })
    .join('');
}

/** Joint by joint, and a section cut, of a truss that statics alone solves; nothing of other structures. */
export function trussBlocks(of: Worked, display: DisplayUnits): { readonly joints: readonly WorkingsBlock[]; readonly cut: readonly WorkingsBlock[] } {
  const truss = workedTruss(of);
  if (!truss) return { joints: [], cut: [] };
  const { structure: s, numbered } = of;
  const scaled = scaledIn(display);
  const force = (value: number): string => shown(scaled(value, 1, 0));
  const axisOf = (freedom: number): CalledAxis => structureAxis(display, axisKeys[freedom % 3]!);
  const senseOf = (freedom: number): 1 | -1 => axisOf(freedom).sign;
  const reaction = (freedom: number): string => {
    const number = numbered.all[numbered.places[freedom]!]?.number;
    return number === undefined ? `R(u${axisOf(freedom).letter} ${s.names.nodes[Math.floor(freedom / FREEDOMS)]!})` : `R${number}`;
  };
  const name = (one: Unknown): string => (one.is === 'member' ? `S(${s.names.members[one.index]!})` : reaction(one.freedom));
  const equation = ({ freedom, parts, load }: JointEquation): string => {
    const σ = axisOf(freedom).sign;
    const terms = parts.map(({ of: one, part }) => [σ * part * (one.is === 'reaction' ? senseOf(one.freedom) : 1), name(one)] as const);
    return `${sumOf([...terms, [σ * scaled(load, 1, 0), '']])} = 0`;
  };
  const value = (one: Unknown, found: number): string => {
    if (one.is === 'reaction') return `${name(one)} = ${force(senseOf(one.freedom) * found)}`;
    const size = force(found);
    return `${name(one)} = ${size}${size === '0' ? '' : ` (${found > 0 ? WORDS.tension : WORDS.compression})`}`;
  };
  const joints: WorkingsBlock[] = [
    { is: 'text', text: of.members.some(({ loads }) => loads.length > 0) ? `${WORDS.joints} ${WORDS.ownLoads}` : WORDS.joints },
    ...(truss.whole.length > 0
      ? ([
          { is: 'text', text: WORDS.whole },
          { is: 'table', columns: [WORDS.reaction, WORDS.value], rows: truss.whole.map(({ freedom, value: found }) => [reaction(freedom), force(senseOf(freedom) * found)]) },
        ] as const)
      : []),
    ...truss.joints.flatMap(({ node, equations, found }): readonly WorkingsBlock[] => [
      { is: 'text', text: WORDS.joint(s.names.nodes[node]!), node: s.names.nodes[node]! },
      {
        is: 'table',
        columns: [WORDS.along, WORDS.equation],
        rows: [
          ...equations.map((one) => [`Σ${axisOf(one.freedom).letter}`, equation(one)]),
          ...found.map(({ of: one, value: size }) => ['', value(one, size)]),
        ],
      },
    ]),
    compared(s.names.members, truss.tensions.map((one) => scaled(one, 1, 0)), truss.byStiffness.map((one) => scaled(one, 1, 0))),
  ];
  return { joints, cut: truss.cut ? cutBlocks(of, display, truss.cut, truss.byStiffness) : [] };
} // oxfmt-ignore

const compared = (names: readonly string[], ours: readonly number[], theirs: readonly number[]): WorkingsBlock => ({
  is: 'matrix',
  name: classicFormulas.S,
  rows: names,
  columns: [WORDS.byStatics, WORDS.byStiffness],
  values: ours.map((one, i) => [one, theirs[i]!]),
});

function cutBlocks(
  { structure: s }: Worked,
  display: DisplayUnits,
  cut: WorkedCut,
  byStiffness: readonly number[],
): readonly WorkingsBlock[] {
  const scaled = scaledIn(display);
  const name = (m: number): string => s.names.members[m]!;
  const rows = cut.about.map(({ member, point, arm, moment, value }) => {
    const others = cut.members.filter((one) => one !== member).map(name).join(WORDS.and); // oxfmt-ignore
    const where = point ? WORDS.meet(others, point.map((one) => shown(scaled(one, 0, 1))).join(', ')) : WORDS.across(others); // oxfmt-ignore
    const lengths = point ? 1 : 0;
    const written = `${sumOf([[scaled(arm, 0, lengths), `S(${name(member)})`], [scaled(moment, 1, lengths), '']])} = 0`; // oxfmt-ignore
    return [name(member), where, written, shown(scaled(value, 1, 0))];
  });
  return [
    { is: 'text', text: WORDS.cut(cut.members.map(name).join(', '), cut.nodes.map((node) => s.names.nodes[node]!).join(', ')) },
    { is: 'table', columns: [WORDS.member, WORDS.about, WORDS.equation, WORDS.tensionOf], rows },
    compared(
      cut.members.map(name),
      cut.about.map(({ value }) => scaled(value, 1, 0)),
      cut.members.map((m) => scaled(byStiffness[m]!, 1, 0)),
    ),
  ]; // oxfmt-ignore
}

/** The three-moment equations of a continuous beam; nothing of other structures. */
export function momentBlocks(of: Worked, display: DisplayUnits): readonly WorkingsBlock[] {
  const beam = threeMoments(of);
  if (!beam) return [];
  const scaled = scaledIn(display);
  const names = beam.nodes.map((node) => of.structure.names.nodes[node]!);
  // Times EI of the first span, so that factors are lengths where all are alike.
  const { EI } = beam.spans[0]!;
  const rows = beam.equations.map(({ about, parts, side }) => {
    const isTold = parts.length === 1 && parts[0]!.factor === 1;
    const terms = parts.map(({ support, factor }) => [isTold ? 1 : scaled(factor * EI, 0, 1), `M(${names[support]!})`] as const);
    return [names[about]!, `${sumOf(terms)} = ${shown(scaled(isTold ? side : side * EI, 1, isTold ? 1 : 2))}`];
  });
  return [
    { is: 'formula', ...classicFormulas.threeMoments },
    { is: 'text', text: WORDS.timesEI(of.structure.names.members[beam.spans[0]!.member]!) },
    { is: 'table', columns: [WORDS.support, WORDS.equation], rows },
    {
      ...(compared(
        names,
        beam.moments.map((one) => scaled(one, 1, 1)),
        beam.byStiffness.map((one) => scaled(one, 1, 1)),
      ) as Extract<WorkingsBlock, { is: 'matrix' }>),
      name: classicFormulas.M,
      columns: [WORDS.byEquations, WORDS.byStiffness],
    },
  ];
}
