import { defaultDisplay, type DisplayUnits } from '@rigid-beam/core/quantities/display';
import type { Model } from '@rigid-beam/core/model/model';
import { quantityTable, unitOfQuantity } from '@rigid-beam/core/results/quantities';
import { drawnSide, extremesOn, inkOf, standsOn, tipOf, type DrawnQuantity } from './diagram-items';
import type { Governing } from './diagram-scale';
import type { Label } from './display-list';
import type { DrawnMember } from './geometry';
import { isSignless, valueOnSheet } from './show-quantity-value';
import type { View } from './view';
import { SKETCHED } from './level-of-detail';

/** Part of the largest value under which a value waits until its member is pointed at. */
export const SMALL = 0.05;
/** Pixels around a value in which nothing smaller of its kind is written: it comes when one zooms in. */
const QUIET = 84;

interface Found {
  readonly member: DrawnMember;
  readonly x: number;
  readonly value: number;
  readonly isGoverning: boolean;
  readonly isPointed: boolean;
}

/**
 * The exact extremes of members at the tips of their ordinates: those of the whole structure first and with their unit, then those of
 * members; of what stands close together the largest. A member that is pointed at says all of its own.
 */
export function valueLabels(
  model: Model,
  drawn: DrawnQuantity,
  members: readonly DrawnMember[],
  governing: Governing,
  view: View,
): Label[] {
  const size = Math.max(Math.abs(governing.max.value), Math.abs(governing.min.value));
  if (size === 0) return [];
  const found = members.flatMap((member) => extremesOf(drawn, member, governing, size, view));
  // The larger one first: what is near it and says no more is left out.
  found.sort((a, b) => rankOf(b, size) - rankOf(a, size));
  const near = new Nearby(view.scale);
  const atNodes = new Set<string>();
  return found.flatMap((one) => {
    const label = labelOf(model, drawn, one, size);
    // Without a sign, what two members have at their node is one value.
    const node = isSignless(drawn.quantity) ? nodeAt(model, one) : undefined;
    const key = `${node} ${label.text}`;
    if (!one.isPointed && (near.has(label, one) || (node !== undefined && atNodes.has(key)))) return [];
    near.add(label, one);
    atNodes.add(key);
    return [label];
  });
}

/** The node at which an extreme stands, where it stands at an end. */
function nodeAt({ members }: Model, { member, x }: Found): string | undefined {
  const { start, end } = members[member.index]!;
  return x === 0 ? start : x === member.length ? end : undefined;
}

const rankOf = ({ value, isGoverning, isPointed }: Found, size: number): number =>
  (isGoverning ? 1000 : isPointed ? 500 : 70) + (20 * Math.abs(value)) / size;

function extremesOf(drawn: DrawnQuantity, member: DrawnMember, governing: Governing, size: number, view: View): Found[] {
  const { quantity } = drawn;
  const isPointed = view.pointed === member.id;
  const governs = [governing.max, governing.min].some((one) => one.member === member.index);
  // From far away only what governs is said.
  if (!governs && !isPointed && view.weight < SKETCHED) return [];
  const own = extremesOn(drawn)(member.index);
  if (!own) return [];
  const { max, min } = own;
  // A constant value stands in the middle of its member.
  const isConstant = max.value - min.value < 1e-6 * size;
  const isOne = isConstant || quantityTable[quantity].derived?.isMagnitude === true;
  return (isOne ? [max] : [max, min]).flatMap(({ x, value }) => {
    const isGoverning = [governing.max, governing.min].some(
      (one) => one.member === member.index && one.x === x && one.value === value && Math.abs(value) >= SMALL * size,
    );
    if (!isGoverning && !isPointed && view.weight < SKETCHED) return [];
    if (Math.abs(value) < SMALL * size && !(isPointed && Math.abs(value) > 1e-9 * size)) return [];
    return [{ member, x: isConstant ? member.length / 2 : x, value, isGoverning, isPointed }];
  });
}

function labelOf(model: Model, drawn: DrawnQuantity, found: Found, size: number): Label {
  const { quantity } = drawn;
  const display: DisplayUnits = { ...defaultDisplay, ...model.display };
  const { member, x, value, isGoverning } = found;
  const normal = standsOn(member, quantity);
  const side = drawnSide(drawn) * Math.sign(value);
  const [tx, ty] = tipOf(drawn, member, x, value);
  const text = valueOnSheet(quantity, value, size, display);
  return {
    kind: 'label',
    text: isGoverning ? `${text} ${unitOfQuantity(quantity, display)}` : text,
    x: tx,
    y: ty,
    dx: 3 * side * normal[0],
    dy: 3 * side * normal[1],
    away: [side * normal[0], side * normal[1]],
    ink: inkOf(quantity, value),
    role: isGoverning ? 'extreme' : 'value',
    rank: rankOf(found, size),
    subject: { kind: 'extreme', member: member.id, x },
  };
}

/** What is written already, by the cells of a coarse grid over the paper. */
class Nearby {
  private readonly cells = new Map<string, { readonly x: number; readonly y: number; readonly value: number }[]>();

  constructor(private readonly scale: number) {}

  /** Whether something of the same sign, and no smaller, is written close by. */
  has(label: Label, { value, isGoverning }: Found): boolean {
    const [x, y] = this.place(label);
    for (let i = -1; i <= 1; i++)
      for (let j = -1; j <= 1; j++)
        for (const other of this.cells.get(this.key(x + i * QUIET, y + j * QUIET)) ?? [])
          if (other.value * value > 0 && Math.hypot(other.x - x, other.y - y) < (isGoverning ? QUIET / 2 : QUIET)) return true;
    return false;
  }

  add(label: Label, { value }: Found): void {
    const [x, y] = this.place(label);
    const key = this.key(x, y);
    const cell = this.cells.get(key);
    if (cell) cell.push({ x, y, value });
    else this.cells.set(key, [{ x, y, value }]);
  }

  private place({ x, y }: Label): [number, number] {
    return [x * this.scale, y * this.scale];
  }

  private key(x: number, y: number): string {
    return `${Math.floor(x / QUIET)} ${Math.floor(y / QUIET)}`;
  }
}
