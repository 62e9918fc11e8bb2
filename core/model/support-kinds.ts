import { withAxes } from '../quantities/axis-names';
import type { DisplayUnits } from '../quantities/display';
import { freedoms, translations, type Freedom, type Model, type Restraint, type Support, type Translation } from './model';

interface Kind {
  readonly id: string;
  readonly text: string;
  readonly held: { readonly [freedom in Freedom]?: Restraint };
}

const FIXED = 'fixed';

/** The common plane supports by name; what is none of them is changed freedom by freedom on the node's card. */
export const supportKinds = [
  { id: 'pinned', text: 'Pinned', held: { ux: FIXED, uy: FIXED } },
  { id: 'fixed', text: 'Fixed', held: { ux: FIXED, uy: FIXED, rz: FIXED } },
  { id: 'rollsX', text: 'Roller, free along {X}', held: { uy: FIXED } },
  { id: 'rollsY', text: 'Roller, free along {Y}', held: { ux: FIXED } },
  { id: 'guided', text: 'Slides along {X}, cannot turn', held: { uy: FIXED, rz: FIXED } },
] as const satisfies readonly Kind[];

/** Those of a space model. */
export const supportKindsInSpace = [
  { id: 'pinned', text: 'Pinned', held: { ux: FIXED, uy: FIXED, uz: FIXED } },
  { id: 'fixed', text: 'Fixed', held: Object.fromEntries(freedoms.map((freedom) => [freedom, FIXED])) },
  { id: 'bears', text: 'Vertical support, free to slide', held: { uy: FIXED } },
  { id: 'rollsX', text: 'Roller, free along {X}', held: { uy: FIXED, uz: FIXED } },
  { id: 'rollsZ', text: 'Roller, free along {Z}', held: { ux: FIXED, uy: FIXED } },
  { id: 'upright', text: 'Pinned, held upright', held: { ux: FIXED, uy: FIXED, uz: FIXED, rx: FIXED, ry: FIXED } },
] as const satisfies readonly Kind[];

export const supportKindsOf = (space: Model['space']): readonly Kind[] =>
  space === 'plane' ? supportKinds : supportKindsInSpace;

/** What a kind of support is called, with axes as the reader calls them. */
export const supportKindWords = ({ text }: Pick<Kind, 'text'>, display: DisplayUnits): string => withAxes(text, display);

/** Which of the kinds a support is; undefined for one with springs or another set of freedoms. */
export function kindOf(support: Support, space: Model['space'] = 'plane'): string | undefined {
  const same = ({ held }: Kind): boolean =>
    freedoms.every((freedom) => (support[freedom] ?? 'free') === (held[freedom] ?? 'free'));
  return supportKindsOf(space).find(same)?.id;
}

/** A support of a kind; it keeps the axes of the one before it. */
export function supportOf(kind: string, node: string, before?: Support, space: Model['space'] = 'plane'): Support {
  const { held } = supportKindsOf(space).find(({ id }) => id === kind)!;
  const stays = <T>(of: { readonly [along in Translation]?: T } | undefined): { readonly [along in Translation]?: T } =>
    Object.fromEntries(translations.filter((along) => held[along] === 'fixed' && of?.[along]).map((along) => [along, of![along]!])) as never; // oxfmt-ignore
  const [oneWay, gaps] = [stays(before?.oneWay), stays(before?.gaps)];
  return {
    node,
    ...held,
    ...(Object.keys(oneWay).length > 0 && { oneWay }),
    ...(Object.keys(gaps).length > 0 && { gaps }),
    ...(before?.angle !== undefined && { angle: before.angle }),
    ...(before?.axes !== undefined && { axes: before.axes }),
  };
}
