import type { EndFreedom, Freedom, MemberEnd } from '../freedoms';

/** What every load says. Ids are given on reading where a file has none. */
interface AnyLoad {
  readonly id: string;
  readonly case: string;
}

/** Forces and couples, N and N·m. */
export interface ForceComponents {
  readonly fx?: number;
  readonly fy?: number;
  readonly fz?: number;
  readonly mx?: number;
  readonly my?: number;
  readonly mz?: number;
}

export interface NodeLoad extends AnyLoad, ForceComponents {
  readonly type: 'node';
  readonly node: string;
}

export type SettlementLoad = AnyLoad & { readonly type: 'settlement'; readonly node: string } & {
  readonly [freedom in Freedom]?: number;
};

export type Measure = 'ratio' | 'length';
export type LoadAxes = 'global' | 'local' | 'projected';

export interface PointLoad extends AnyLoad, ForceComponents {
  readonly type: 'point';
  readonly member: string;
  readonly at: number;
  readonly measure?: Measure;
  readonly axes?: 'global' | 'local';
}

/** Load per length at a position, N/m. */
export interface Intensity {
  readonly at?: number;
  readonly wx?: number;
  readonly wy?: number;
  readonly wz?: number;
}

export interface LineLoad extends AnyLoad {
  readonly type: 'line';
  readonly member: string;
  readonly axes?: LoadAxes;
  readonly measure?: Measure;
  readonly from: Intensity;
  readonly to: Intensity;
}

export interface ThermalLoad extends AnyLoad {
  readonly type: 'thermal';
  readonly member: string;
  readonly uniform?: number;
  readonly gradientY?: number;
  readonly gradientZ?: number;
}

export interface StrainLoad extends AnyLoad {
  readonly type: 'strain';
  readonly member: string;
  readonly elongation: number;
  /** Of a case that only the solution has: not the member becomes longer, but this joint gives by so much before its spring acts, metres or radians. */
  readonly joint?: { readonly end: MemberEnd; readonly freedom: EndFreedom };
}

export type MemberLoad = PointLoad | LineLoad | ThermalLoad | StrainLoad;

/** The loads that are compiled: on one node or one member each. All others are expanded into these. */
export type PrimitiveLoad = NodeLoad | SettlementLoad | MemberLoad;

export const isOnMember = (load: { readonly type: string }): load is MemberLoad => 'member' in load;
