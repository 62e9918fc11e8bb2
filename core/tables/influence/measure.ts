import type { DisplayUnits } from '../../quantities/display';
import { inUnit, showQuantity } from '../../quantities/show';
import { isPlane, type Structure } from '../../stiffness/structure';
import { nameOf, quantityWords, unitOfQuantity } from '../../results/quantities';
import type { InfluenceFound } from '../../influence/asked';
import type { Effect } from '../../influence/effect';
import { axisOfComponent, forceComponent, movementComponent } from '../results/components';
import { influence as WORDS } from '../words';

/** How values of a line that is told (`asTold`) are written: for a load of one unit of force, and areas for one unit of force a unit of length. */
export interface Measure {
  readonly unit: string;
  readonly per: string;
  readonly perLength: string;
  /** An ordinate, an area, and what loads bring about, from SI to the unit. */
  readonly ordinate: (value: number) => number;
  readonly area: (value: number) => number;
  readonly total: (value: number) => number;
}

const MILLI = 1e-3;

/** The line in the sense in which readers count its component: where that is the other way, greatest and least change places. */
export function asTold(found: InfluenceFound, s: Structure, display: DisplayUnits): InfluenceFound {
  const { effect, line } = found;
  if (effect.kind === 'along' || componentOf(effect, s, display).sign > 0) return found;
  const pieces = line.pieces.map((piece) => ({ ...piece, coefficients: piece.coefficients.map((c) => -c) }));
  return { ...found, line: { ...line, pieces } };
}

export function measureOf(effect: Effect, display: DisplayUnits): Measure {
  const unit = unitOfEffect(effect, display);
  const total = (value: number): number => (unit === 'mrad' ? value / MILLI : inUnit(value, unit));
  const force = 1 / inUnit(1, display.force);
  const length = 1 / inUnit(1, display.length);
  return {
    unit,
    per: display.force,
    perLength: `${display.force}/${display.length}`,
    ordinate: (value) => total(value * force),
    area: (value) => total((value * force) / length),
    total,
  };
}

function unitOfEffect(effect: Effect, display: DisplayUnits): string {
  if (effect.kind === 'along') return unitOfQuantity(effect.quantity, display);
  if (effect.kind === 'reaction') return effect.component < 3 ? display.force : display.moment;
  return effect.component < 3 ? display.deflection : 'mrad';
}

const componentOf = (effect: Exclude<Effect, { kind: 'along' }>, { active }: Structure, display: DisplayUnits) =>
  (effect.kind === 'reaction' ? forceComponent : movementComponent)(effect.component, active, display);

/** What an influence line is of: “bending moment M in b at 2.4 m”, “reaction along Z at node 3”. */
export function effectWords(effect: Effect, s: Structure, display: DisplayUnits): string {
  if (effect.kind === 'along') {
    const { symbol } = quantityWords(isPlane(s) ? 'plane' : 'space', effect.quantity, display);
    return WORDS.inMember(`${nameOf(s, effect.quantity, display)} ${symbol}`, s.names.members[effect.member]!, showQuantity(effect.at, display.length)); // oxfmt-ignore
  }
  const { letter } = axisOfComponent(effect.component, display);
  const what = WORDS[effect.kind][effect.component < 3 ? 'along' : 'about'];
  return WORDS.atNode(what(isPlane(s) && effect.component > 2 ? undefined : letter), s.names.nodes[effect.node]!);
}
