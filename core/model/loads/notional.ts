import type { Fields } from '../fields';
import { isObject, type Entity } from '../findings';
import { checkReference, type RuleContext } from '../rules/context';
import type { LineLoad, NodeLoad, PointLoad, PrimitiveLoad } from './primitive';

export const swayDirections = ['right', 'left', 'forward', 'back'] as const;
export type SwayDirection = (typeof swayDirections)[number];

/**
 * A share of everything vertical in another case, put sideways where it acts: what an imperfection of the structure asks for at each level. It
 * follows that case, its self weight included.
 */
export interface NotionalLoad {
  readonly id: string;
  readonly case: string;
  readonly type: 'notional';
  /** The case whose vertical loads are taken. */
  readonly of: string;
  /** Such as 1/200; a negative one acts the other way. */
  readonly share: number;
  readonly direction: SwayDirection;
}

export const notionalFields: Fields = {
  of: { kind: 'id', required: true },
  share: { kind: 'quantity', dimension: 'number', required: true },
  direction: { kind: 'choice', of: swayDirections, required: true },
};

/** The global direction: its axis, and its sense. */
export const swayOf = (direction: SwayDirection): { readonly axis: 'x' | 'z'; readonly sense: 1 | -1 } => ({
  axis: direction === 'right' || direction === 'left' ? 'x' : 'z',
  sense: direction === 'right' || direction === 'forward' ? 1 : -1,
});

export function checkNotional(
  { findings, model }: RuleContext,
  cases: ReadonlyMap<unknown, Entity>,
  load: Entity,
  path: string,
): void {
  checkReference(findings, cases, load.of, `${path}.of`, 'case');
  const subjects = [`load ${String(load.id)}`];
  if (load.of === load.case)
    findings.fault({
      code: 'own-case',
      path: `${path}.of`,
      value: load.of,
      what: 'A notional load takes its share from another case than its own',
      expected: 'another case',
      remedy: 'Put it into a case of its own',
      subjects,
    });
  if (model.space === 'plane' && (load.direction === 'forward' || load.direction === 'back'))
    findings.fault({
      code: 'out-of-plane',
      path: `${path}.direction`,
      value: load.direction,
      what: 'In a plane model nothing acts forward or back',
      expected: 'right or left',
      remedy: 'Choose right or left',
      subjects,
    });
}

/** What is needed of a member to know which part of its loads is vertical: its local axes, by rows. */
export type AxesOf = (member: string) => ArrayLike<number> | undefined;

/** The loads that a notional load stands for, those from self weight left out: `vertical` are all loads of the case that it takes from. */
export function notionalParts(
  { id, case: own, share, direction }: NotionalLoad,
  vertical: readonly PrimitiveLoad[],
  axesOf: AxesOf,
): PrimitiveLoad[] {
  const { axis, sense } = swayOf(direction);
  // Downward is what counts.
  const aside = (down: number): number => -share * sense * down + 0;
  return vertical.flatMap((load): PrimitiveLoad[] => {
    switch (load.type) {
      case 'node': {
        if (!load.fy) return [];
        const made: NodeLoad = { id, case: own, type: 'node', node: load.node, [`f${axis}`]: aside(load.fy) };
        return [made];
      }
      case 'point': {
        const down = verticalOf([load.fx, load.fy, load.fz], load.axes ?? 'global', axesOf(load.member));
        const { member, at, measure } = load;
        const made: PointLoad = {
          id,
          case: own,
          type: 'point',
          member,
          at,
          ...(measure && { measure }),
          [`f${axis}`]: aside(down),
        };
        return down === 0 ? [] : [made];
      }
      case 'line': {
        const axes = axesOf(load.member);
        const [from, to] = [load.from, load.to].map((end) =>
          verticalOf([end.wx, end.wy, end.wz], load.axes ?? 'global', axes),
        ) as [number, number];
        if (from === 0 && to === 0) return [];
        const { member, measure } = load;
        const end = (at: number | undefined, down: number) => ({ ...(at !== undefined && { at }), [`w${axis}`]: aside(down) });
        const made: LineLoad = {
          id,
          case: own,
          type: 'line',
          member,
          ...(measure && { measure }),
          from: end(load.from.at, from),
          to: end(load.to.at, to),
        };
        return [made];
      }
      default:
        return [];
    }
  });
}

/** The global vertical component of a load on a member, per metre of the member where it is an intensity. */
function verticalOf(
  parts: readonly (number | undefined)[],
  axes: 'global' | 'local' | 'projected',
  own: ArrayLike<number> | undefined,
): number {
  if (axes === 'global') return parts[1] ?? 0;
  if (!own) return 0;
  // On plan a downward intensity counts on the projection of the member on the level.
  if (axes === 'projected') return (parts[1] ?? 0) * Math.hypot(own[0]!, own[2]!);
  return parts.reduce<number>((sum, part = 0, row) => sum + part * own[3 * row + 1]!, 0);
}

export const isNotional = (load: unknown): load is NotionalLoad => isObject(load) && load.type === 'notional';
