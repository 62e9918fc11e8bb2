import { isDisplacement } from '../results/quantities';
import { toLocal } from '../stiffness/compile-loads';
import { MemberRows } from '../stiffness/member-rows';
import { NodalRows } from '../stiffness/nodal-table';
import { FREEDOMS, LINE_WIDTH, memberCount, POINT_WIDTH, STRAIN_WIDTH, type Structure } from '../stiffness/structure';
import { toOwnAxesOf } from '../stiffness/transformation';
import type { Effect } from './effect';
import { openingOf, type Gap } from './gap';
import type { Path } from '../results/travelling/path';

/** A structure with a case for each effect, in which what belongs to it acts; by case the cut of a member that opens. */
export interface Driven {
  readonly structure: Structure;
  readonly gaps: readonly (Gap | undefined)[];
}

export function drivenBy(s: Structure, effects: readonly Effect[]): Driven {
  const loads = new UnitLoads(effects.map((_, c) => `of the effect ${c + 1}`));
  const gaps = effects.map((effect, c): Gap | undefined => {
    if (effect.kind === 'along') {
      const { member, at, quantity } = effect;
      if (!isDisplacement(quantity)) return { member, at, opening: openingOf(quantity) };
      loads.push(c, member, at, [0, 1, 2].map((k) => (k === ['u', 'v', 'w'].indexOf(quantity) ? 1 : 0))); // oxfmt-ignore
      return undefined;
    }
    const { kind, node, component } = effect;
    const unit = Float64Array.from({ length: FREEDOMS }, (_, k) => (k === component ? 1 : 0));
    if (kind === 'movement') loads.forces.add(c, node, [...unit]);
    else {
      // In the axes of the support, and only where it holds.
      toOwnAxesOf(s, node, unit);
      loads.settlements.add(
        c,
        node,
        Array.from(unit, (value, k) => (s.restraints[FREEDOMS * node + k]! > 0 ? value : 0)),
      );
    }
    return undefined;
  });
  return { structure: loads.on(s), gaps };
}

/** Places of a member, as parts of its length: what four forces there bring about tells that of a force anywhere on it, which is a cubic. */
const PLACES = [0.07, 0.36, 0.68, 0.93];

/** The structure under forces all along a path, which have nothing in common: what they do not drive, no load on the path does. */
export function loadedAlong(s: Structure, { spans, direction }: Path): Structure {
  const loads = new UnitLoads(['of a load on the path']);
  let turn = 0;
  /** Numbers between 1 and 2 that are nowhere alike. */
  const next = (): number => 1 + ((turn += 0.618_033_988_75) % 1);
  const sized = (vector: readonly number[]): number[] => {
    const size = next();
    return vector.map((part) => size * part);
  };
  for (const span of spans) {
    if (span.kind === 'nodes') for (const node of span.nodes) loads.forces.add(0, node, sized(direction));
    if (span.kind === 'member') {
      const own = toLocal(s, span.member, direction, 'global');
      for (const place of PLACES) loads.push(0, span.member, place * s.lengths[span.member]!, sized(own));
    }
  }
  return loads.on(s);
}

/** Loads in the place of those of a structure. */
class UnitLoads {
  readonly forces: NodalRows;
  readonly settlements: NodalRows;
  private readonly points = new MemberRows(POINT_WIDTH);

  constructor(private readonly cases: readonly string[]) {
    [this.forces, this.settlements] = [new NodalRows(cases.length), new NodalRows(cases.length)];
  }

  /** A force on a member, local, `at` metres from its start. */
  push(c: number, member: number, at: number, force: readonly number[]): void {
    this.points.add(member, c, [at, ...force, 0, 0, 0]);
  }

  on(s: Structure): Structure {
    const count = memberCount(s);
    return {
      ...s,
      names: { ...s.names, cases: this.cases },
      nodeLoads: this.forces.table(),
      settlements: this.settlements.table(),
      lineLoads: new MemberRows(LINE_WIDTH).table(count),
      pointLoads: this.points.table(count),
      strains: new MemberRows(STRAIN_WIDTH).table(count),
    };
  }
}
