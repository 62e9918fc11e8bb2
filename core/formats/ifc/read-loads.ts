import {
  STANDARD_GRAVITY,
  type Combination,
  type LoadCase,
  type Model,
  type SumCombination,
  type Support,
} from '../../model/model';
import { distance, dot, minus, size, type Point } from '../../model/point';
import { inOwnAxes } from '../../model/support-axes';
import { uniqueNames } from '../../model/unique-names';
import { sectionProperties } from '../../sections/section-properties';
import { spelled } from '../step/engine';
import { Measure, type StepEntity } from '../step/values';
import { categoryFrom, PURPOSES } from './categories';
import { localOf } from './local';
import { edgeOf, itemsOf, pointAt } from './read-geometry';
import { idFrom } from './read-sections';
import type { ReadMember, ReadStructure } from './read-structure';
import type { Reading } from './reading';
import { ifcReading as WORDS } from './words';
import { reachOf } from './write-loads';

type RawLoad = Readonly<Record<string, unknown>>;

export interface ReadLoads {
  readonly cases: readonly LoadCase[];
  readonly loads: readonly RawLoad[];
  readonly combinations: readonly Combination[];
}

const FORCES = ['ForceX', 'ForceY', 'ForceZ'];
const MOMENTS = ['MomentX', 'MomentY', 'MomentZ'];
const LINE_FORCES = ['LinearForceX', 'LinearForceY', 'LinearForceZ'];
const LINE_MOMENTS = ['LinearMomentX', 'LinearMomentY', 'LinearMomentZ'];
const MOVED = ['DisplacementX', 'DisplacementY', 'DisplacementZ'];
const ROTATED = ['RotationalDisplacementRX', 'RotationalDisplacementRY', 'RotationalDisplacementRZ'];
/** What acts where nothing is a part of this of the largest is nothing. */
const NOTHING = 1e-12;

/** Cases and what acts in them, and the sums that are made of them. */
export function readLoads(reading: Reading, structure: ReadStructure, space: Model['space']): ReadLoads {
  return new LoadsReader(reading, structure, space).all();
}

class LoadsReader {
  private readonly cases: LoadCase[] = [];
  private readonly loads: RawLoad[] = [];
  /** By entity: cases, and groups of loads with their relations to what holds them. */
  private readonly byCase = new Map<number, string>();
  private readonly holders = new Map<number, { readonly relation: StepEntity; readonly group: number }[]>();
  private readonly groups = new Map<number, StepEntity>();
  private readonly checked = new Set<number>();
  private readonly named = uniqueNames([]);

  constructor(
    private readonly reading: Reading,
    private readonly structure: ReadStructure,
    private readonly space: Model['space'],
  ) {}

  all(): ReadLoads {
    const { reading } = this;
    const caseName = uniqueNames([]);
    const sums: StepEntity[] = [];
    const entities = reading.all('IfcStructuralLoadCase', 'IfcStructuralLoadGroup');
    for (const one of entities) {
      this.groups.set(one.id, one);
      const type = reading.choice(one, 'PredefinedType');
      if (type === 'LOAD_COMBINATION') sums.push(one);
      else if (one.type === 'IFCSTRUCTURALLOADCASE') this.byCase.set(one.id, caseName(idFrom(reading.text(one, 'Name'), 'L')));
    }
    for (const relation of reading.all('IfcRelAssignsToGroup', 'IfcRelAssignsToGroupByFactor')) {
      const [group] = reading.ids(relation, 'RelatingGroup');
      if (group === undefined) continue;
      for (const id of reading.ids(relation, 'RelatedObjects')) {
        const list = this.holders.get(id) ?? [];
        this.holders.set(id, list);
        list.push({ relation, group });
      }
    }
    const actsOn = new Map<number, number>();
    for (const relation of reading.all('IfcRelConnectsStructuralActivity')) {
      const [[element], [activity]] = [
        reading.ids(relation, 'RelatingElement'),
        reading.ids(relation, 'RelatedStructuralActivity'),
      ];
      if (element !== undefined && activity !== undefined) actsOn.set(activity, element);
    }
    for (const one of entities) if (this.byCase.has(one.id)) this.cases.push(this.caseOf(one, this.byCase.get(one.id)!));
    for (const action of reading.all('IfcStructuralPointAction', 'IfcStructuralCurveAction', 'IfcStructuralLinearAction')) this.action(action, actsOn.get(action.id)); // oxfmt-ignore
    return { cases: this.cases, loads: this.loads, combinations: this.sumsOf(sums, caseName) };
  }

  private caseOf(one: StepEntity, id: string): LoadCase {
    const { reading } = this;
    const coefficient = reading.number(one, 'Coefficient');
    if (coefficient !== undefined && coefficient !== 1) reading.warn(one, WORDS.coefficient(coefficient));
    const category = categoryFrom(
      reading.choice(one, 'ActionType'),
      reading.choice(one, 'ActionSource'),
      reading.text(one, 'Purpose'),
    );
    const title = reading.text(one, 'Description');
    const weight = reading.numbers(one, 'SelfWeightCoefficients');
    const [x, y, z] = weight.length === 3 ? reading.turned(weight as unknown as Point) : [0, 0, 0];
    for (const [axis, part] of [['x', x], ['z', z]] as const) if (part !== 0) this.weightAside(one, id, axis, part); // oxfmt-ignore
    return { id, ...(title !== undefined && { title: title.slice(0, 200) }), category, ...(y !== 0 && { selfWeight: -y }) };
  }

  /** Own weight that acts sideways, as a load on each member. */
  private weightAside(one: StepEntity, id: string, axis: 'x' | 'z', part: number): void {
    const { members, sections, materials } = this.structure.model;
    const areas = new Map(sections.map((section) => [section.id, sectionProperties(section).A ?? 0]));
    const densities = new Map(materials.map(({ id, density = 0 }) => [id, density]));
    const perMetre = new Map(
      members.map((member) => [
        member.id,
        densities.get(member.material)! * areas.get(member.section)! * STANDARD_GRAVITY * part,
      ]),
    );
    this.reading.warn(one, WORDS.weightAside);
    for (const [member, w] of perMetre)
      if (w !== 0)
        this.put(
          { type: 'line', case: id, member, from: { [`w${axis}`]: w }, to: { [`w${axis}`]: w } },
          `${id}, own weight aside`,
        );
  }

  private put(load: RawLoad, name: string | undefined): void {
    this.loads.push({ ...load, id: this.named(idFrom(name, String(this.loads.length + 1))) });
  }

  /** The case that an action is in, through groups of loads that cases hold. */
  private casesOf(id: number, depth = 0): string[] {
    return (this.holders.get(id) ?? []).flatMap(({ relation, group }) => {
      const own = this.byCase.get(group);
      if (relation.type === 'IFCRELASSIGNSTOGROUPBYFACTOR') {
        const factor = this.reading.number(relation, 'Factor');
        if (factor !== 1 && depth + (own === undefined ? 0 : 1) > 0 && own !== undefined)
          this.reading.fault(relation, WORDS.factorInCase, WORDS.mend);
      }
      if (own !== undefined) return [own];
      this.checkGroup(group);
      return depth < 8 ? this.casesOf(group, depth + 1) : [];
    });
  }

  /** A group of loads in a case is taken as it stands: one with a factor of its own is not. */
  private checkGroup(id: number): void {
    if (this.checked.has(id)) return;
    this.checked.add(id);
    const group = this.groups.get(id);
    const coefficient = group && this.reading.number(group, 'Coefficient');
    if (coefficient !== undefined && coefficient !== 1)
      this.reading.fault(group, WORDS.groupCoefficient(coefficient), WORDS.leaveOut);
  }

  private action(action: StepEntity, element: number | undefined): void {
    const { reading, structure } = this;
    const cases = [...new Set(this.casesOf(action.id))];
    const node = structure.nodes.get(element ?? -1);
    const member = structure.members.get(element ?? -1);
    if (cases.length === 0) return reading.warn(action, WORDS.inNoCase);
    if (node === undefined && !member) return reading.warn(action, WORDS.onNothing);
    const load = reading.ref(action, 'AppliedLoad');
    if (!load) return reading.fault(action, WORDS.noLoad, WORDS.mend);
    const name = reading.text(action, 'Name');
    const made = member ? this.onMember(action, load, member) : this.onNode(action, load, node!);
    if (made) for (const one of cases) for (const each of made) this.put({ ...each, case: one }, name);
  }

  private refused(action: StepEntity, what: string): undefined {
    this.reading.fault(action, what, WORDS.leaveOut);
    return undefined;
  }

  private onNode(action: StepEntity, load: StepEntity, node: string): RawLoad[] | undefined {
    const { reading, structure } = this;
    if (reading.choice(action, 'GlobalOrLocal') === 'LOCAL_COORDS' && structure.turned.has(node))
      return this.refused(action, WORDS.turnedNode);
    switch (load.type) {
      case 'IFCSTRUCTURALLOADSINGLEFORCE':
        return [{ type: 'node', node, ...this.forces(load, reading.turned) }];
      case 'IFCSTRUCTURALLOADSINGLEDISPLACEMENT': {
        const own = (names: readonly string[], keys: readonly string[]): RawLoad => this.movement(load, node, names, keys);
        return [{ type: 'settlement', node, ...own(MOVED, ['ux', 'uy', 'uz']), ...own(ROTATED, ['rx', 'ry', 'rz']) }];
      }
      default:
        return this.refused(action, WORDS.loadType(spelled(load.type)));
    }
  }

  /** What is said of movements; along the own axes of a support that is turned. */
  private movement(load: StepEntity, node: string, names: readonly string[], keys: readonly string[]): RawLoad {
    const { reading, structure, space } = this;
    const vector = reading.vector(load, names);
    if (!vector) return {};
    const turned = structure.turned.get(node);
    const support: Support | undefined = structure.model.supports.find((one) => one.node === node);
    const along = inOwnAxes(turned, reading.turned(vector));
    const largest = Math.max(...along.map(Math.abs));
    const parts = along.flatMap((part, i) => {
      const key = keys[i]!;
      const isInPlane = key === 'ux' || key === 'uy' || key === 'rz';
      if (space === 'plane' && !isInPlane) return [];
      // What the file says nothing of, and nothing holds, is not moved.
      const isHeld = support !== undefined && (support as unknown as Record<string, unknown>)[key] !== undefined;
      const isSaid = turned ? isHeld : this.isSaid(load, names, i);
      const isNothing = Math.abs(part) <= NOTHING * largest;
      return isNothing && !(isSaid && isHeld) ? [] : [[key, isNothing ? 0 : part] as const];
    });
    return Object.fromEntries(parts);
  }

  /** Whether the file says something of one of our axes. */
  private isSaid(load: StepEntity, names: readonly string[], ours: number): boolean {
    return names.some((name, i) => {
      const unit = [0, 1, 2].map((k) => (k === i ? 1 : 0)) as unknown as Point;
      return load.attributes[name] instanceof Measure && Math.abs(this.reading.turned(unit)[ours]!) > 0.5;
    });
  }

  private forces(load: StepEntity, turned: (vector: Point) => Point): RawLoad {
    const { reading } = this;
    const of = (names: readonly string[], keys: readonly string[]): RawLoad => {
      const vector = reading.vector(load, names);
      return vector ? pick(turned(vector), keys) : {};
    };
    return { ...of(FORCES, ['fx', 'fy', 'fz']), ...of(MOMENTS, ['mx', 'my', 'mz']) };
  }

  private onMember(action: StepEntity, load: StepEntity, member: ReadMember): RawLoad[] | undefined {
    const { reading, space } = this;
    const isLocal = reading.choice(action, 'GlobalOrLocal') === 'LOCAL_COORDS';
    const isProjected = reading.choice(action, 'ProjectedOrTrue') === 'PROJECTED_LENGTH';
    const turned = isLocal ? localOf(space, member).fromFile : reading.turned;
    const axes = isLocal ? { axes: 'local' } : isProjected ? { axes: 'projected' } : {};
    const type = action.type === 'IFCSTRUCTURALPOINTACTION' ? 'POINT' : (reading.choice(action, 'PredefinedType') ?? 'CONST');
    if (isLocal && isProjected) return this.refused(action, WORDS.localProjected);
    const length = distance(member.start, member.end);
    const extent = this.extentOf(action, member);
    if (typeof extent === 'string') return this.refused(action, extent);
    if (load.type === 'IFCSTRUCTURALLOADTEMPERATURE')
      return extent ? this.refused(action, WORDS.partialHeat) : this.heat(action, load, member);
    const point = (one: StepEntity, at: number): RawLoad[] | undefined => {
      if (one.type !== 'IFCSTRUCTURALLOADSINGLEFORCE') return this.refused(action, WORDS.loadType(spelled(one.type)));
      const { axes: _, ...rest } = isLocal ? { axes: 'local' } : { axes: undefined };
      return [
        { type: 'point', member: member.id, ...rest, ...(isLocal && axes), at, measure: 'length', ...this.forces(one, turned) },
      ];
    };
    if (type === 'POINT') return extent ? point(load, extent[0]) : this.refused(action, WORDS.noPlace);
    if (load.type !== 'IFCSTRUCTURALLOADCONFIGURATION') {
      if (type !== 'CONST') return this.refused(action, WORDS.loadShape(type));
      const w = this.intensity(action, load, turned);
      if (!w) return undefined;
      const [from, to] = extent ?? [];
      const measure = extent ? { measure: 'length' } : {};
      return [{ type: 'line', member: member.id, ...axes, ...measure, from: { ...(extent && { at: from }), ...w }, to: { ...(extent && { at: to }), ...w } }]; // oxfmt-ignore
    }
    const values = reading.refs(load, 'Values');
    const said = reading.numbers(load, 'Locations');
    const begin = extent?.[0] ?? 0;
    const reach = extent ? extent[1] - extent[0] : length;
    const evenly = values.map((_, i) => (reach * i) / Math.max(1, values.length - 1));
    const places = (said.length === values.length ? said : evenly).map((place) => begin + place);
    if (said.length > 0 && said.length !== values.length) return this.refused(action, WORDS.places);
    if (type === 'DISCRETE') return values.flatMap((one, i) => point(one, places[i]!) ?? []);
    if (!['CONST', 'LINEAR', 'POLYGONAL', 'EQUIDISTANT'].includes(type) || values.length < 2)
      return this.refused(action, WORDS.loadShape(type));
    const all = values.map((one) => this.intensity(action, one, turned));
    return all.slice(1).flatMap((to, i) => {
      const from = all[i];
      if (!from || !to || places[i] === places[i + 1]) return [];
      const at = (k: number): RawLoad =>
        places[k] === 0 || Math.abs(places[k]! - length) > 1e-9 * length ? { at: places[k]! } : { at: length };
      return [
        { type: 'line', member: member.id, ...axes, measure: 'length', from: { ...at(i), ...from }, to: { ...at(i + 1), ...to } },
      ];
    });
  }

  /** From where to where an action reaches that has a place of its own, metres from the start. */
  private extentOf(action: StepEntity, member: ReadMember): readonly [number, number] | string | undefined {
    const { reading } = this;
    if (!reading.ref(action, 'Representation')) return undefined;
    const { items, moved } = itemsOf(reading, action);
    const [item] = items;
    const point = pointAt(reading, item);
    const edge = point ? ([point, point] as const) : item ? edgeOf(reading, item) : WORDS.noPlace;
    if (typeof edge === 'string') return edge;
    const way = minus(member.end, member.start);
    const length = size(way);
    const places = edge.map((one) => {
      const from = minus([one[0] + moved[0], one[1] + moved[1], one[2] + moved[2]], member.start);
      const along = dot(from, way) / length;
      const beside = size(minus(from, [(way[0] * along) / length, (way[1] * along) / length, (way[2] * along) / length]));
      return beside > 1e-4 || along < -1e-6 || along > length + 1e-6 ? Number.NaN : Math.min(length, Math.max(0, along));
    });
    if (places.some(Number.isNaN)) return WORDS.besideMember;
    return [Math.min(places[0]!, places[1]!), Math.max(places[0]!, places[1]!)];
  }

  private intensity(action: StepEntity, load: StepEntity, turned: (vector: Point) => Point): RawLoad | undefined {
    const { reading } = this;
    if (load.type !== 'IFCSTRUCTURALLOADLINEARFORCE') return this.refused(action, WORDS.loadType(spelled(load.type)));
    if (reading.vector(load, LINE_MOMENTS)?.some((part) => part !== 0)) return this.refused(action, WORDS.lineMoments);
    const vector = reading.vector(load, LINE_FORCES);
    const isProjected = reading.choice(action, 'ProjectedOrTrue') === 'PROJECTED_LENGTH';
    // Across what several parts together are projected, and across what each of them is, are different lengths.
    if (isProjected && vector && vector.filter((part) => part !== 0).length > 1)
      return this.refused(action, WORDS.projectedParts);
    return vector ? pick(turned(vector), ['wx', 'wy', 'wz']) : {};
  }

  private heat(action: StepEntity, load: StepEntity, member: ReadMember): RawLoad[] | undefined {
    const { reading, structure, space } = this;
    const [uniform, across = 0, up = 0] = ['DeltaTConstant', 'DeltaTY', 'DeltaTZ'].map((name) => reading.number(load, name));
    const { members, sections } = structure.model;
    const section = sections.find((one) => one.id === members.find(({ id }) => id === member.id)?.section);
    const reach = section && reachOf(section);
    const heated = { type: 'thermal', member: member.id, ...(uniform !== undefined && { uniform }) };
    if (across === 0 && up === 0) return [heated];
    if (!reach) return this.refused(action, WORDS.noDepth);
    const [, gradientY, gradientZ] = localOf(space, member).fromFile([0, across / reach.width, up / reach.depth]);
    return [{ ...heated, ...(gradientY !== 0 && { gradientY }), ...(gradientZ !== 0 && { gradientZ }) }];
  }

  private sumsOf(entities: readonly StepEntity[], named: (name: string) => string): SumCombination[] {
    const { reading } = this;
    const ids = new Map(entities.map((one) => [one.id, named(idFrom(reading.text(one, 'Name'), 'C'))]));
    const factors = new Map<number, Record<string, number>>(entities.map(({ id }) => [id, {}]));
    for (const [id, held] of this.holders)
      for (const { relation, group } of held) {
        const own = factors.get(group);
        if (!own) continue;
        const name = this.byCase.get(id) ?? ids.get(id);
        if (name === undefined) {
          reading.warn(relation, WORDS.notInSum);
          continue;
        }
        own[name] =
          (own[name] ?? 0) + (relation.type === 'IFCRELASSIGNSTOGROUPBYFACTOR' ? reading.needed(relation, 'Factor') : 1);
      }
    return entities.flatMap((one) => {
      const purpose = reading.text(one, 'Purpose');
      const limitState = (['strength', 'service'] as const).find((key) => PURPOSES[key] === purpose);
      const title = reading.text(one, 'Description');
      const coefficient = reading.number(one, 'Coefficient');
      if (coefficient !== undefined && coefficient !== 1) reading.warn(one, WORDS.coefficient(coefficient));
      const own = factors.get(one.id)!;
      if (Object.keys(own).length === 0) {
        reading.warn(one, WORDS.emptySum);
        return [];
      }
      const id = ids.get(one.id)!;
      return [
        {
          id,
          ...(title !== undefined && { title: title.slice(0, 200) }),
          type: 'sum' as const,
          factors: own,
          ...(limitState && { limitState }),
        },
      ];
    });
  }
}

/** Parts of a vector that are not zero, under their names. */
function pick(vector: Point, keys: readonly string[]): RawLoad {
  return Object.fromEntries(vector.flatMap((part, i) => (part === 0 ? [] : [[keys[i]!, part] as const])));
}
