import { categoryOf } from '../../model/categories';
import { expandLoads } from '../../model/loads/expand';
import { isNotional, swayOf } from '../../model/loads/notional';
import { shapeOf } from '../../model/loads/member-shape';
import type {
  ForceComponents,
  Intensity,
  LineLoad,
  PointLoad,
  PrimitiveLoad,
  SettlementLoad,
  ThermalLoad,
} from '../../model/loads/primitive';
import type { LoadCase, Section, Support } from '../../model/model';
import type { Point } from '../../model/point';
import { inGlobalAxes } from '../../model/support-axes';
import { extentOfShape } from '../../sections/outline';
import { uniqueNames } from '../../model/unique-names';
import type { Reference } from '../step/values';
import { toFile } from './axes';
import { PURPOSES } from './categories';
import { localOf } from './local';
import { isPlainSum } from './sums';
import { choice, type Writing } from './writing';

const forceOf = ({ fx = 0, fy = 0, fz = 0, mx = 0, my = 0, mz = 0 }: ForceComponents, along = toFile) => {
  const [ForceX, ForceY, ForceZ] = along([fx, fy, fz]);
  const [MomentX, MomentY, MomentZ] = along([mx, my, mz]);
  return { ForceX, ForceY, ForceZ, MomentX, MomentY, MomentZ };
};

/** How much warmer a section may be on one side: its depth and width between the extreme fibres. */
export function reachOf({ shape }: Section): { readonly depth: number; readonly width: number } | undefined {
  const extent = shape && extentOfShape(shape);
  return extent && { depth: extent.y[1] - extent.y[0], width: extent.z[1] - extent.z[0] };
}

/** On its projection each component of a load counts by itself: they are loads of their own in the file. */
function byParts(load: PrimitiveLoad): PrimitiveLoad[] {
  if (load.type !== 'line' || load.axes !== 'projected') return [load];
  const keys = (['wx', 'wy', 'wz'] as const).filter((key) => (load.from[key] ?? 0) !== 0 || (load.to[key] ?? 0) !== 0);
  const only = ({ at, ...parts }: Intensity, key: 'wx' | 'wy' | 'wz'): Intensity => ({
    ...(at !== undefined && { at }),
    [key]: parts[key] ?? 0,
  });
  return keys.length < 2 ? [load] : keys.map((key) => ({ ...load, from: only(load.from, key), to: only(load.to, key) }));
}

/** Cases with what acts in them, and sums of them. */
export function writeLoads(writing: Writing): readonly Reference[] {
  const { model } = writing;
  const cases = new Map<string, Reference>();
  const named = uniqueNames([]);
  const acting = new Map<string, Reference[]>(model.cases.map(({ id }) => [id, []]));
  for (const load of expandLoads(model).loads.flatMap(byParts)) {
    // Parts of patterns and places of trains are cases that nobody wrote.
    const list = acting.get(load.case);
    if (!list) continue;
    const name = named(load.id);
    const made = actionOf(writing, load, name);
    if (!made) continue;
    const [action, element] = made;
    writing.related('IfcRelConnectsStructuralActivity', ['acts', name], {
      RelatingElement: element,
      RelatedStructuralActivity: action,
    });
    list.push(action);
  }
  for (const one of model.cases) {
    const [type, source] = categoryOf(one.category).action;
    const made = writing.rooted('IfcStructuralLoadCase', ['case', one.id], {
      ...{ Name: one.id, Description: one.title, PredefinedType: choice('LOAD_CASE') },
      ...{ ActionType: choice(type), ActionSource: choice(source), Purpose: one.category },
      SelfWeightCoefficients: selfWeightOf(writing, one),
    });
    cases.set(one.id, made);
    const RelatedObjects = acting.get(one.id)!;
    if (RelatedObjects.length > 0)
      writing.related('IfcRelAssignsToGroup', ['of case', one.id], { RelatedObjects, RelatingGroup: made });
  }
  return [...cases.values(), ...writeSums(writing, cases)];
}

function writeSums(writing: Writing, cases: ReadonlyMap<string, Reference>): Reference[] {
  const made = new Map<string, Reference>();
  const { combinations } = writing.model;
  for (const one of combinations) {
    if (!isPlainSum(writing.model, one.id)) continue;
    const sum = writing.rooted('IfcStructuralLoadGroup', ['combination', one.id], {
      ...{ Name: one.id, Description: one.title, PredefinedType: choice('LOAD_COMBINATION') },
      ...{ ActionType: choice('NOTDEFINED'), ActionSource: choice('NOTDEFINED') },
      Purpose: one.limitState && PURPOSES[one.limitState],
    });
    made.set(one.id, sum);
  }
  for (const one of combinations) {
    const sum = made.get(one.id);
    if (one.type !== 'sum' || !sum) continue;
    for (const [key, Factor] of Object.entries(one.factors))
      writing.related('IfcRelAssignsToGroupByFactor', ['in sum', one.id, key], {
        ...{ RelatedObjects: [cases.get(key) ?? made.get(key)!], RelatingGroup: sum, Factor },
      });
  }
  for (const [id, reference] of made) writing.groups.set(id, reference);
  for (const [id, reference] of cases) writing.groups.set(id, reference);
  return [...made.values()];
}

/** Its own weight down, and what notional loads put of others' own weight aside. */
function selfWeightOf({ model }: Writing, { id, selfWeight = 0 }: LoadCase): readonly number[] | undefined {
  const parts: [number, number, number] = [0, -selfWeight, 0];
  for (const load of model.loads) {
    if (!isNotional(load) || load.case !== id) continue;
    const { axis, sense } = swayOf(load.direction);
    const of = model.cases.find((one) => one.id === load.of)?.selfWeight ?? 0;
    parts[axis === 'x' ? 0 : 2] += load.share * sense * of;
  }
  return parts.some((part) => part !== 0) ? toFile(parts) : undefined;
}

/** What a load is in the file, and what it acts on; nothing where the standard has no word for it. */
function actionOf(
  writing: Writing,
  load: PrimitiveLoad,
  name: string,
): readonly [action: Reference, element: Reference] | undefined {
  const onNode = (node: string, AppliedLoad: Reference) =>
    [
      writing.rooted('IfcStructuralPointAction', ['load', name], {
        Name: name,
        AppliedLoad,
        GlobalOrLocal: choice('GLOBAL_COORDS'),
      }),
      writing.nodes.get(node)!,
    ] as const;
  const onMember = (member: string, axes: string, type: string, AppliedLoad: Reference) =>
    [
      writing.rooted('IfcStructuralCurveAction', ['load', name], {
        ...{ Name: name, AppliedLoad, GlobalOrLocal: choice(axes === 'local' ? 'LOCAL_COORDS' : 'GLOBAL_COORDS') },
        ProjectedOrTrue: choice(axes === 'projected' ? 'PROJECTED_LENGTH' : 'TRUE_LENGTH'),
        PredefinedType: choice(type),
      }),
      writing.members.get(member)!,
    ] as const;
  const placed = (Values: readonly Reference[], Locations: readonly number[]): Reference =>
    writing.add('IfcStructuralLoadConfiguration', { Values, Locations: Locations.map((at) => [at]) });
  switch (load.type) {
    case 'node':
      return onNode(load.node, writing.add('IfcStructuralLoadSingleForce', forceOf(load)));
    case 'settlement':
      return onNode(load.node, writing.add('IfcStructuralLoadSingleDisplacement', movementOf(writing, load)));
    case 'point': {
      const at = load.measure === 'length' ? load.at : load.at * shapeOf(writing.model, load.member)!.length;
      const force = writing.add('IfcStructuralLoadSingleForce', forceOf(load, alongOf(writing, load)));
      return onMember(load.member, load.axes ?? 'global', 'DISCRETE', placed([force], [at]));
    }
    case 'line':
      return onMember(load.member, load.axes ?? 'global', ...lineOf(writing, load, placed));
    case 'thermal': {
      const made = temperatureOf(writing, load);
      return made && onMember(load.member, 'local', 'CONST', made);
    }
    case 'strain':
      return undefined;
  }
}

/** How the components of a load on a member stand in the file. */
const alongOf = (writing: Writing, { member, axes }: PointLoad | LineLoad): ((vector: Point) => Point) =>
  axes === 'local' ? localOf(writing.model.space, writing.member(member)).toFile : toFile;

function lineOf(
  writing: Writing,
  load: LineLoad,
  placed: (values: readonly Reference[], locations: readonly number[]) => Reference,
): readonly [type: string, load: Reference] {
  const { member, measure, from, to } = load;
  const along = alongOf(writing, load);
  const force = ({ wx = 0, wy = 0, wz = 0 }: Intensity): Reference => {
    const [LinearForceX, LinearForceY, LinearForceZ] = along([wx, wy, wz]);
    return writing.add('IfcStructuralLoadLinearForce', { LinearForceX, LinearForceY, LinearForceZ });
  };
  const { length } = shapeOf(writing.model, member)!;
  const at = ({ at }: Intensity, usual: 0 | 1): number =>
    at === undefined ? usual * length : measure === 'length' ? at : at * length;
  const [begin, end] = [at(from, 0), at(to, 1)];
  const isEven = (['wx', 'wy', 'wz'] as const).every((key) => (from[key] ?? 0) === (to[key] ?? 0));
  const isWhole = begin === 0 && end === length;
  if (isWhole && isEven) return ['CONST', force(from)];
  return [isWhole ? 'LINEAR' : 'POLYGONAL', placed([force(from), force(to)], [begin, end])];
}

/** The difference between both sides, as the standard has it; nothing where the size of the section is not known. */
export function temperatureOf(writing: Writing, { member, uniform, gradientY, gradientZ }: ThermalLoad): Reference | undefined {
  const one = writing.member(member);
  const reach = reachOf(writing.model.sections.find(({ id }) => id === one.section)!);
  const hasGradient = gradientY !== undefined || gradientZ !== undefined;
  if (!reach && hasGradient) return undefined;
  const [, across, up] = localOf(writing.model.space, one).toFile([0, gradientY ?? 0, gradientZ ?? 0]);
  return writing.add('IfcStructuralLoadTemperature', {
    DeltaTConstant: uniform,
    ...(hasGradient && { DeltaTY: across * reach!.width, DeltaTZ: up * reach!.depth }),
  });
}

/** A movement along the global axes; what is not said of an axis is not said in the file either. */
function movementOf(writing: Writing, load: SettlementLoad) {
  const support = writing.model.supports.find(({ node }) => node === load.node);
  const vector = (keys: readonly ('ux' | 'uy' | 'uz' | 'rx' | 'ry' | 'rz')[]): readonly (number | undefined)[] => {
    if (keys.every((key) => load[key] === undefined)) return [];
    const isTurned = support?.angle !== undefined || support?.axes !== undefined;
    const [x, y, z] = keys.map((key) => load[key]);
    const own: Point = [x ?? 0, y ?? 0, z ?? 0];
    if (isTurned) return toFile(inGlobalAxes(support as Support, own));
    return [x, z === undefined ? undefined : -z + 0, y];
  };
  const [DisplacementX, DisplacementY, DisplacementZ] = vector(['ux', 'uy', 'uz']);
  const [RotationalDisplacementRX, RotationalDisplacementRY, RotationalDisplacementRZ] = vector(['rx', 'ry', 'rz']);
  return {
    DisplacementX,
    DisplacementY,
    DisplacementZ,
    RotationalDisplacementRX,
    RotationalDisplacementRY,
    RotationalDisplacementRZ,
  };
}
