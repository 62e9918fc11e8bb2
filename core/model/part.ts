import type { Group, Load, Member, ModelNode, Support } from './model';

/** Nodes and members with what stands on them, under ids that hold among themselves only. */
export interface Part {
  readonly nodes: readonly ModelNode[];
  readonly members: readonly Member[];
  readonly supports?: readonly Support[];
  readonly loads?: readonly Load[];
  readonly groups?: readonly Group[];
}
