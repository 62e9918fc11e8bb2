import type { Restraint, Support } from '@rigid-beam/core/model/model';

/** The common plane supports by name; what is none of them is changed freedom by freedom on the node's card. */
export const supportKinds = [
  { id: 'pinned', text: 'Pinned', held: { ux: 'fixed', uy: 'fixed' } },
  { id: 'fixed', text: 'Fixed', held: { ux: 'fixed', uy: 'fixed', rz: 'fixed' } },
  { id: 'rollsX', text: 'Rolls along X', held: { uy: 'fixed' } },
  { id: 'rollsY', text: 'Rolls along Y', held: { ux: 'fixed' } },
  { id: 'guided', text: 'Slides along X, cannot turn', held: { uy: 'fixed', rz: 'fixed' } },
] as const satisfies readonly { id: string; text: string; held: { [freedom in 'ux' | 'uy' | 'rz']?: Restraint } }[];

export type SupportKind = (typeof supportKinds)[number]['id'];

/** Which of the kinds a support is; undefined for one with springs or another set of freedoms. */
export function kindOf(support: Support): SupportKind | undefined {
  const same = (held: { readonly [freedom in 'ux' | 'uy' | 'rz']?: Restraint }): boolean =>
    (['ux', 'uy', 'rz'] as const).every((freedom) => (support[freedom] ?? 'free') === (held[freedom] ?? 'free'));
  return supportKinds.find(({ held }) => same(held))?.id;
}

/** A support of a kind; it keeps the angle of the one before it. */
export function supportOf(kind: SupportKind, node: string, before?: Support): Support {
  const { held } = supportKinds.find(({ id }) => id === kind)!;
  return { node, ...held, ...(before?.angle !== undefined && { angle: before.angle }) };
}
