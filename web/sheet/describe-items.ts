import { alongAxis, structureAxis } from '@rigid-beam/core/quantities/axis-names';
import { pressureOf } from '@rigid-beam/core/model/loads/compound';
import type { Load, Model } from '@rigid-beam/core/model/model';
import { defaultDisplay, type DisplayUnits } from '@rigid-beam/core/quantities/display';
import { lengthOf, placesOf } from '@rigid-beam/core/model/places';
import { showForce, showMoment } from '@rigid-beam/core/quantities/show-load';
import { showQuantity } from '@rigid-beam/core/quantities/show';
import { nameOf, quantitiesOf, quantityTable, unitOfQuantity } from '@rigid-beam/core/results/quantities';
import { quantityExtremes } from '@rigid-beam/core/results/read-quantity';
import { quietValue, quiet, sizesOf } from '@rigid-beam/core/results/noise';
import { sizeOf } from '@rigid-beam/core/model/loads/intensities';
import { isReady } from '@rigid-beam/core/results/readings';
import { responseOf } from '@rigid-beam/core/results/sums';
import type { Solution } from '@rigid-beam/core/results/results';
import { subjectKey, type Subject } from '@rigid-beam/drawing/display-list';
import { supportWords } from '@rigid-beam/core/model/support-words';
import { loadValue } from './load-values';
import { describeItems as WORDS } from './words';

/**
 * What a node, member, support, dimension or load of the model is, with its values: for those who do not see or point. Each is found when it
 * is first asked for, and kept.
 */
export function wordsOf(model: Model, solution: Solution | undefined, outcome: number): (subject: Subject) => string {
  const display = { ...defaultDisplay, ...model.display };
  const places = placesOf(model);
  const [nodes, members, supports, loads] = [
    indicesOf(model.nodes),
    indicesOf(model.members),
    new Map(model.supports.map((support) => [support.node, support])),
    new Map(model.loads.map((load) => [load.id, load])),
  ];
  const say = (subject: Subject): string => {
    switch (subject.kind) {
      case 'node': {
        const index = nodes.get(subject.id)!;
        return nodeWords(model.nodes[index]!, index, display, solution, outcome);
      }
      case 'member': {
        const index = members.get(subject.id)!;
        const member = model.members[index]!;
        const length = lengthOf(member, places);
        const forces = memberForces(index, display, solution, outcome);
        return WORDS.describeMember(member, showQuantity(length, display.length), forces);
      }
      case 'support': {
        const support = supports.get(subject.id)!;
        const index = nodes.get(subject.id)!;
        return WORDS.describeSupport(
          subject.id,
          supportWords(support, model.space, display),
          reactionWords(index, display, solution, outcome),
        );
      }
      case 'load':
        return WORDS.load(subject.id, loadWords(loads.get(subject.id)!, display));
      case 'dimension':
        return dimensionWords(subject, display);
      default:
        return '';
    }
  };
  const said = new Map<string, string>();
  return (subject) => {
    const key = subjectKey(subject);
    let words = said.get(key);
    if (words === undefined) said.set(key, (words = say(subject)));
    return words;
  };
}

function dimensionWords({ axis, from, to }: Extract<Subject, { kind: 'dimension' }>, display: DisplayUnits): string {
  const { length } = display;
  const name = structureAxis(display, axis);
  const [start, end] = [from, to].map((at) => showQuantity(alongAxis(name, at), length));
  return WORDS.describeBay(axis === 'y' ? WORDS.level : WORDS.bay, start, end, name.letter, showQuantity(to - from, length));
}

const indicesOf = (all: readonly { readonly id: string }[]): ReadonlyMap<string, number> =>
  new Map(all.map(({ id }, i) => [id, i]));

function nodeWords(
  node: Model['nodes'][number],
  index: number,
  display: DisplayUnits,
  solution: Solution | undefined,
  outcome: number,
): string {
  const place = WORDS.describeNode(
    node.id,
    showQuantity(node.x, display.length),
    showQuantity(node.y, display.length),
    node.z ? WORDS.towardsTheFront(showQuantity(node.z, display.length)) : '',
  );
  const linear = solution && responseOf(solution, outcome);
  if (!linear) return place;
  const [ux, uy] = [linear.displacements[6 * index]!, linear.displacements[6 * index + 1]!];
  return WORDS.moves(
    place,
    showQuantity(Math.abs(ux), display.deflection, 3),
    ux >= 0 ? 'right' : 'left',
    showQuantity(Math.abs(uy), display.deflection, 3),
    uy >= 0 ? 'up' : 'down',
  );
}

function memberForces(index: number, display: DisplayUnits, solution: Solution | undefined, outcome: number): string {
  if (!solution?.outcomes[outcome] || !isReady(solution, outcome)) return '';
  const all = quantitiesOf(solution.structure).flatMap((quantity) => {
    const found = quantityExtremes(solution, outcome, index, quantity);
    if (!found) return [];
    const [min, max] = [found.min.value, found.max.value].map((value) =>
      showQuantity(quietValue(solution, outcome, quantity, value), unitOfQuantity(quantity, display)),
    );
    const name = nameOf(solution.structure, quantity, display);
    return [quantityTable[quantity].derived?.isMagnitude ? WORDS.upTo(name, max) : WORDS.between(name, min, max)];
  });
  return `; ${all.join(', ')}`;
}

function reactionWords(index: number, display: DisplayUnits, solution: Solution | undefined, outcome: number): string {
  const linear = solution && responseOf(solution, outcome);
  if (!linear) return '';
  const { force, couple } = sizesOf(solution, outcome);
  const [fx, fy] = [0, 1].map((k) => quiet(linear.reactions[6 * index + k]!, force)) as [number, number];
  const mz = quiet(linear.reactions[6 * index + 5]!, couple);
  return WORDS.reaction(showForce(fx, display), showForce(fy, display), showMoment(mz, display));
}

/** A load in words, with its size and where it acts. */
export function loadWords(load: Load, display: DisplayUnits): string {
  return WORDS.describeLoad(sizeWords(load, display), directionWords(load), placeWords(load), load.case);
}

/** What a load acts on. */
export function placeWords(load: Load): string {
  if ('node' in load) return WORDS.node(load.node);
  if ('member' in load) return WORDS.member(load.member);
  if (load.type === 'notional') return WORDS.allOf(load.of);
  const corners = pressureOf(load)?.nodes;
  if (corners) return WORDS.panel(corners.join(', '));
  if ('nodes' in load && load.nodes) return WORDS.deck(load.nodes.length, load.nodes[0]!, load.nodes.at(-1)!);
  const members = load.members ?? [];
  return members.length === 1 ? WORDS.oneMember(members[0]!) : WORDS.run(members.length, members[0]!, members.at(-1));
}

function sizeWords(load: Load, display: DisplayUnits): string {
  const { label, value, unit } = loadValue(load, display);
  if (!('from' in load)) return `${label} ${showQuantity(value, unit)}`;
  const [from, to] = [load.from, load.to].map((end) => showQuantity(sizeOf(end), unit));
  return from === to ? `${label} ${from}` : WORDS.describeDimension(label, from, to);
}

function directionWords(load: Load): string {
  if (load.type === 'notional') return WORDS.sway[load.direction];
  const plan = 'axes' in load && load.axes === 'projected' ? WORDS.onPlan : '';
  const local = 'axes' in load && load.axes === 'local' ? WORDS.inOwnAxes : '';
  const parts = loadParts(load);
  const [axis, ...others] = (['x', 'y', 'z'] as const).filter((one) => parts[one] !== 0);
  const way = local || axis === undefined || others.length > 0 ? local : WAYS[axis][parts[axis] < 0 ? 0 : 1];
  return plan + way;
}

const WAYS = { x: [' left', ' right'], y: [' down', ' up'], z: [WORDS.toTheBack, WORDS.toTheFront] } as const;

function loadParts(load: Load): { readonly x: number; readonly y: number; readonly z: number } {
  if ('from' in load)
    return {
      x: load.from.wx || load.to.wx || 0,
      y: load.from.wy || load.to.wy || 0,
      z: load.from.wz || load.to.wz || 0,
    };
  if (load.type === 'node' || load.type === 'point') return { x: load.fx ?? 0, y: load.fy ?? 0, z: load.fz ?? 0 };
  return { x: 0, y: 0, z: 0 };
}
