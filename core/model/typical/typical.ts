import type { Part } from '../part';
import type { TypicalValues } from '../structures/measures';
import { isImperial } from '../../quantities/display';
import type { Member, ModelNode, Support } from '../model';
import { nodeAt, type Point } from '../point';

/** What one asks for when a typical structure is placed. Lengths in metres. */
export type TypicalField =
  | { readonly key: string; readonly label: string; readonly kind: 'length'; readonly initial: number }
  | { readonly key: string; readonly label: string; readonly kind: 'count'; readonly initial: number; readonly most: number }
  | { readonly key: string; readonly label: string; readonly kind: 'spacings'; readonly initial: readonly number[] }
  | {
      readonly key: string;
      readonly label: string;
      readonly kind: 'choice';
      readonly of: readonly { readonly id: string; readonly text: string }[];
    };

export type { TypicalValues } from '../structures/measures';

/** A shape of structure that is built again and again, described by a few measures. */
export interface Typical {
  readonly id: string;
  readonly title: string;
  readonly space: 'plane' | 'space';
  readonly fields: readonly TypicalField[];
  /** Sound values only; see `valueFault`. */
  readonly build: (values: TypicalValues, of: Stuff) => Part;
}

/** The section and material that its members get. */
export interface Stuff {
  readonly section: string;
  readonly material: string;
}

/** What its fields hold at first; where lengths are shown in feet or inches they are round there (`unit`, as lengths are shown). */
export const initialValues = ({ fields }: Typical, unit = 'm'): TypicalValues => {
  const round = isImperial({ length: unit }) ? inFeet : (metres: number): number => metres;
  return Object.fromEntries(
    fields.map((field) => {
      if (field.kind === 'choice') return [field.key, field.of[0]!.id];
      if (field.kind === 'length') return [field.key, round(field.initial)];
      return [field.key, field.kind === 'spacings' ? field.initial.map(round) : field.initial];
    }),
  );
};

/** A length in whole feet, below ten feet in halves. */
function inFeet(metres: number): number {
  const feet = metres / FOOT;
  return (feet < 10 ? Math.max(0.5, Math.round(2 * feet) / 2) : Math.round(feet)) * FOOT;
}
const FOOT = 0.3048;

/** Why a value cannot be built, or undefined. */
export function valueFault(field: TypicalField, value: TypicalValues[string] | undefined): string | undefined {
  switch (field.kind) {
    case 'length':
      return typeof value === 'number' && value > 1e-3 && value < 1e5 ? undefined : `${field.label} must be a length above 1 mm`;
    case 'count':
      return Number.isInteger(value) && (value as number) >= 1 && (value as number) <= field.most
        ? undefined
        : `${field.label} must be a whole number from 1 to ${field.most}`;
    case 'spacings':
      return Array.isArray(value) && value.length > 0 && value.length <= 200
        ? undefined
        : `${field.label} must be 1 to 200 lengths`;
    case 'choice':
      return field.of.some(({ id }) => id === value) ? undefined : `${field.label} must be one of the choices`;
  }
}

export const lengthIn = (values: TypicalValues, key: string): number => values[key] as number;
export const countIn = (values: TypicalValues, key: string): number => values[key] as number;
export const choiceIn = (values: TypicalValues, key: string): string => values[key] as string;
/** Places of the lines that lie a spacing apart, beginning with 0. */
export const linesIn = (values: TypicalValues, key: string): number[] => {
  let at = 0;
  return [0, ...(values[key] as readonly number[])].map((step) => (at += step));
};

/** Collects nodes, members, supports and groups; nodes are named by what they are. */
export class Sketch {
  private readonly nodes = new Map<string, ModelNode>();
  private readonly members: Member[] = [];
  private readonly supports: Support[] = [];
  private readonly groups = new Map<string, string[]>();

  constructor(private readonly of: Stuff) {}

  node(id: string, ...at: readonly [number, number, number?]): string {
    this.nodes.set(id, nodeAt(id, [at[0], at[1], at[2] ?? 0] as Point));
    return id;
  }

  member(start: string, end: string, group: string, more: Partial<Member> = {}): void {
    const id = String(this.members.length);
    this.members.push({ id, start, end, ...this.of, ...more });
    const there = this.groups.get(group);
    if (there) there.push(id);
    else this.groups.set(group, [id]);
  }

  /** Members from each node to the next. */
  chain(nodes: readonly string[], group: string, more: Partial<Member> = {}): void {
    nodes.slice(1).forEach((end, i) => this.member(nodes[i]!, end, group, more));
  }

  support(node: string, held: readonly (keyof Support)[]): void {
    this.supports.push({ node, ...Object.fromEntries(held.map((freedom) => [freedom, 'fixed'])) } as Support);
  }

  part(): Part {
    return {
      nodes: [...this.nodes.values()],
      members: this.members,
      supports: this.supports,
      groups: [...this.groups].map(([id, members]) => ({ id, members })),
    };
  }
}

export const PLANE_PIN = ['ux', 'uy'] as const;
export const PLANE_ROLL = ['uy'] as const;
export const PLANE_FIXED = ['ux', 'uy', 'rz'] as const;
export const SPACE_PIN = ['ux', 'uy', 'uz'] as const;
export const SPACE_FIXED = ['ux', 'uy', 'uz', 'rx', 'ry', 'rz'] as const;

const FEET = [
  { id: 'pinned', text: 'pinned' },
  { id: 'fixed', text: 'fixed' },
];
export const PINNED_BASES: TypicalField = { key: 'base', label: 'Column feet', kind: 'choice', of: FEET };
export const FIXED_BASES: TypicalField = { key: 'base', label: 'Column feet', kind: 'choice', of: [...FEET].reverse() };

/** A plane structure that stands in a space model: its supports hold it upright as the plane did. */
export const uprightInSpace = (part: Part): Part => ({
  ...part,
  supports: (part.supports ?? []).map((support) => ({ ...support, uz: 'fixed', rx: 'fixed', ry: 'fixed' })),
});
