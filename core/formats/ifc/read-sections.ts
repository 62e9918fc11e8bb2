import type { Material, Member, Section, SectionProperties } from '../../model/model';
import { rounded } from '../../model/point';
import { uniqueNames } from '../../model/unique-names';
import { contradiction } from '../../sections/catalogue/fill';
import { shapeCalled } from '../../sections/catalogue/search';
import { sectionProperties } from '../../sections/section-properties';
import { shapeFault } from '../../sections/shape-fault';
import type { SectionPart, Shape } from '../../shapes/shape';
import { spelled } from '../step/engine';
import { Measure, type StepEntity } from '../step/values';
import { axesOf } from './read-geometry';
import type { Reading } from './reading';
import { ifcReading as WORDS } from './words';
import { MATERIAL_PROPERTIES, PROFILE_PROPERTIES } from './write-sections';

/** By how much what a file says of a section may differ from what its shape has, and still be the same. */
const SAME = 1e-9;
const NEARLY = 1e-6;
/** Cardinal points that are the centroid: 10 always, 5 (the middle of the outline) where a section is the same on both sides. */
const CENTROID = 10;
const MIDDLE = 5;

/** Sections and materials of a file, by the entities that they come from. */
export class SectionsReader {
  readonly sections: Section[] = [];
  readonly materials: Material[] = [];
  private readonly bySection = new Map<number, string>();
  private readonly byMaterial = new Map<number, string>();
  private readonly sectionName = uniqueNames([]);
  private readonly materialName = uniqueNames([]);
  private readonly properties = new Map<number, Map<string, number>>();

  constructor(private readonly reading: Reading) {
    for (const set of reading.all('IfcProfileProperties', 'IfcMaterialProperties')) {
      const of = reading.ids(set, set.type === 'IFCPROFILEPROPERTIES' ? 'ProfileDefinition' : 'Material')[0];
      if (of === undefined) continue;
      const known = this.properties.get(of) ?? new Map<string, number>();
      this.properties.set(of, known);
      for (const property of reading.refs(set, 'Properties')) {
        const name = reading.text(property, 'Name');
        const value = property.type === 'IFCPROPERTYSINGLEVALUE' ? property.attributes['NominalValue'] : undefined;
        if (name !== undefined && value instanceof Measure && NAMES.has(name))
          known.set(name, reading.units.inSi(value, property, reading.ref(property, 'Unit')));
      }
    }
  }

  /** What a member is made of, by what its association says. */
  madeOf(member: StepEntity, association: StepEntity | undefined): Pick<Member, 'section' | 'material'> | undefined {
    const { reading } = this;
    const usage = association?.type === 'IFCMATERIALPROFILESETUSAGE' ? association : undefined;
    const set = usage ? reading.ref(usage, 'ForProfileSet') : association;
    const profiles = set?.type === 'IFCMATERIALPROFILESET' ? reading.refs(set, 'MaterialProfiles') : set?.type === 'IFCMATERIALPROFILE' ? [set] : []; // oxfmt-ignore
    const [one] = profiles;
    const profile = one && reading.ref(one, 'Profile');
    const stuff = one && reading.ref(one, 'Material');
    if (!one || !profile || !stuff || profiles.length > 1) {
      const what = !association
        ? WORDS.noSection
        : profiles.length > 1
          ? WORDS.composite
          : !profile
            ? WORDS.noProfile
            : WORDS.noMaterial;
      reading.fault(member, what, WORDS.giveSection);
      return undefined;
    }
    const section = this.section(one, profile);
    const cardinal = usage?.attributes['CardinalPoint'];
    const at = cardinal instanceof Measure ? cardinal.value : CENTROID;
    const shape = this.sections.find(({ id }) => id === section)?.shape;
    if (at !== CENTROID && !(at === MIDDLE && shape && isDoublySymmetric(shape)))
      reading.fault(member, WORDS.cardinal(at), WORDS.useCentroid);
    return { section, material: this.material(stuff) };
  }

  /** Those that stand in sets that no member has. */
  unused(associated: ReadonlySet<number>): void {
    for (const set of this.reading.all('IfcMaterialProfileSet'))
      if (!associated.has(set.id))
        for (const one of this.reading.refs(set, 'MaterialProfiles')) {
          const profile = this.reading.ref(one, 'Profile');
          if (profile) this.section(one, profile);
        }
    for (const stuff of this.reading.all('IfcMaterial'))
      if (this.properties.get(stuff.id)?.has('YoungModulus')) this.material(stuff);
  }

  private material(stuff: StepEntity): string {
    const known = this.byMaterial.get(stuff.id);
    if (known !== undefined) return known;
    const id = this.materialName(idFrom(this.reading.text(stuff, 'Name'), 'Material'));
    this.byMaterial.set(stuff.id, id);
    const properties = this.properties.get(stuff.id);
    const said = Object.entries(MATERIAL_PROPERTIES).flatMap(([key, [, name]]) => {
      const value = properties?.get(name);
      return value === undefined ? [] : [[key, value] as const];
    });
    const made = { id, ...Object.fromEntries(said) } as unknown as Material;
    if (made.E === undefined) this.reading.fault(stuff, WORDS.lacks('YoungModulus'), WORDS.giveModulus);
    this.materials.push(made);
    return id;
  }

  private section(one: StepEntity, profile: StepEntity): string {
    const known = this.bySection.get(profile.id);
    if (known !== undefined) return known;
    const { reading } = this;
    const called = reading.text(profile, 'ProfileName');
    const id = this.sectionName(idFrom(reading.text(one, 'Name') ?? called, 'Section'));
    this.bySection.set(profile.id, id);
    const found = shapeOf(reading, profile);
    const given: { -readonly [key in keyof SectionProperties]: SectionProperties[key] } = {};
    for (const [key, [name]] of Object.entries(PROFILE_PROPERTIES)) {
      const value = this.properties.get(profile.id)?.get(name);
      if (value !== undefined) given[key as keyof SectionProperties] = value;
    }
    this.sections.push(this.whole(id, called, found, given, profile));
    return id;
  }

  private whole(
    id: string,
    called: string | undefined,
    found: Shape | string | undefined,
    given: SectionProperties,
    profile: StepEntity,
  ): Section {
    const shape = typeof found === 'object' && shapeFault(found) === undefined ? found : undefined;
    const named = called === undefined ? undefined : shapeCalled(called);
    // What is called by a designation is that very shape, unless something in the file says otherwise.
    if (named && called === named.designation) {
      const listed: Section = { id, catalogue: named.designation, shape: named.shape };
      const isSame =
        shape?.type === named.shape.type
          ? contradiction({ id, shape }, named) === undefined
          : given.A !== undefined && Object.keys(beside(listed, given, NEARLY)).length === 0;
      if (isSame) return { ...listed, ...beside(listed, given, SAME) };
    }
    if (shape) {
      const drawn: Section = { id, shape };
      return { ...drawn, ...beside(drawn, given, SAME) };
    }
    const why =
      typeof found === 'string'
        ? found
        : typeof found === 'object'
          ? (shapeFault(found) ?? '')
          : WORDS.unknownProfile(spelled(profile.type));
    if (given.A === undefined) this.reading.fault(profile, why, WORDS.giveProperties);
    else if (profile.type !== 'IFCPROFILEDEF') this.reading.warn(profile, `${why}: ${WORDS.byProperties}`);
    return { id, ...given };
  }
}

const NAMES: ReadonlySet<string> = new Set([
  ...Object.values(PROFILE_PROPERTIES).map(([name]) => name),
  ...Object.values(MATERIAL_PROPERTIES).map(([, name]) => name),
]);

/** Properties that differ from those of a section by more than a part. */
function beside(section: Section, given: SectionProperties, part: number): SectionProperties {
  const own = sectionProperties(section);
  const differs = Object.entries(given).filter(([key, value]) => {
    const mine = own[key as keyof SectionProperties];
    return mine === undefined || Math.abs(mine - (value as number)) > part * Math.abs(mine);
  });
  return Object.fromEntries(differs);
}

const isDoublySymmetric = ({ type, bTop, tfTop }: Shape): boolean =>
  ['rhs', 'chs', 'rectangle', 'round'].includes(type) || (type === 'i' && bTop === undefined && tfTop === undefined);

/** A name as an id may be. */
export const idFrom = (name: string | undefined, instead: string): string => (name ?? instead).slice(0, 60) || instead;

/** The shape of a profile, in our way of looking at it; why there is none. */
function shapeOf(reading: Reading, profile: StepEntity): Shape | string | undefined {
  const made = dimensioned(reading, profile) ?? outlined(reading, profile);
  if (made === undefined || typeof made === 'string') return made;
  const position = reading.ref(profile, 'Position');
  const turn = position ? turnOf(reading, position) : 0;
  if (turn === undefined) return WORDS.turnedProfile;
  // What is to the right there is to the left here: shapes that are not symmetric are mirrored, and turn the other way round.
  const { type } = made;
  if (type === 'channel' && turn === 180) return made;
  if (type === 'angle' && turn === 90) return { ...made, h: made.b!, b: made.h! };
  if (type === 'built') return turn === 0 ? made : WORDS.turnedProfile;
  const isMirrored = type === 'channel' || type === 'angle';
  const isRound = type === 'round' || type === 'chs';
  if (isRound || (!isMirrored && turn === 0) || (turn === 180 && isDoublySymmetric(made))) return made;
  const part: SectionPart = { shape: made, ...(isMirrored && { mirrored: true }), ...(turn !== 0 && { angle: -turn }) };
  return { type: 'built', parts: [part] };
}

/** Degrees, anticlockwise, of a placement in its middle. */
function turnOf(reading: Reading, position: StepEntity): number | undefined {
  const location = reading.ref(position, 'Location');
  if (location && reading.numbers(location, 'Coordinates').some((value) => Math.abs(value) > 1e-9)) return undefined;
  const axes = axesOf(reading, position);
  if (!axes) return undefined;
  const degrees = rounded((Math.atan2(axes[0][1], axes[0][0]) * 180) / Math.PI);
  return degrees < 0 ? degrees + 360 : degrees;
}

/** A profile by its dimensions. */
function dimensioned(reading: Reading, profile: StepEntity): Shape | string | undefined {
  const of = (name: string): number => reading.needed(profile, name);
  const may = (name: string): number => reading.number(profile, name) ?? 0;
  const slopes = ['FlangeSlope', 'WebSlope', 'LegSlope', 'BottomFlangeSlope', 'TopFlangeSlope'];
  if (slopes.some((name) => may(name) !== 0)) return WORDS.sloped;
  const radii = (r: number, rt = 0): Partial<Shape> => ({ ...(r > 0 && { r }), ...(rt > 0 && { rt }) });
  switch (profile.type) {
    case 'IFCISHAPEPROFILEDEF':
      return { type: 'i', h: of('OverallDepth'), b: of('OverallWidth'), tw: of('WebThickness'), tf: of('FlangeThickness'), ...radii(may('FilletRadius'), may('FlangeEdgeRadius')) }; // oxfmt-ignore
    case 'IFCASYMMETRICISHAPEPROFILEDEF': {
      const r = may('BottomFlangeFilletRadius');
      const rt = may('BottomFlangeEdgeRadius');
      if (r !== may('TopFlangeFilletRadius') || rt !== may('TopFlangeEdgeRadius')) return WORDS.unequalRadii;
      const tf = of('BottomFlangeThickness');
      const head = { type: 'i', h: of('OverallDepth'), b: of('BottomFlangeWidth'), tw: of('WebThickness'), tf } as const;
      return { ...head, bTop: of('TopFlangeWidth'), tfTop: reading.number(profile, 'TopFlangeThickness') ?? tf, ...radii(r, rt) };
    }
    case 'IFCUSHAPEPROFILEDEF':
      return { type: 'channel', h: of('Depth'), b: of('FlangeWidth'), tw: of('WebThickness'), tf: of('FlangeThickness'), ...radii(may('FilletRadius'), may('EdgeRadius')) }; // oxfmt-ignore
    case 'IFCLSHAPEPROFILEDEF': {
      const h = of('Depth');
      return { type: 'angle', h, b: reading.number(profile, 'Width') ?? h, t: of('Thickness'), ...radii(may('FilletRadius'), may('EdgeRadius')) }; // oxfmt-ignore
    }
    case 'IFCTSHAPEPROFILEDEF':
      if (may('FlangeEdgeRadius') > 0 || may('WebEdgeRadius') > 0) return WORDS.roundedToes;
      return { type: 'tee', h: of('Depth'), b: of('FlangeWidth'), tw: of('WebThickness'), tf: of('FlangeThickness'), ...radii(may('FilletRadius')) }; // oxfmt-ignore
    case 'IFCRECTANGLEHOLLOWPROFILEDEF': {
      const [t, ro] = [of('WallThickness'), may('OuterFilletRadius')];
      const ri = reading.number(profile, 'InnerFilletRadius') ?? 0;
      const isUsual = Math.abs(ri - Math.max(0, ro - t)) < 1e-12;
      return { type: 'rhs', h: of('YDim'), b: of('XDim'), t, ...(ro > 0 && { ro }), ...(!isUsual && { ri }) };
    }
    case 'IFCCIRCLEHOLLOWPROFILEDEF':
      return { type: 'chs', d: 2 * of('Radius'), t: of('WallThickness') };
    case 'IFCRECTANGLEPROFILEDEF':
      return { type: 'rectangle', h: of('YDim'), b: of('XDim') };
    case 'IFCCIRCLEPROFILEDEF':
      return { type: 'round', d: 2 * of('Radius') };
    default:
      return undefined;
  }
}

/** A profile by its outline: straight sides only. */
function outlined(reading: Reading, profile: StepEntity): Shape | string | undefined {
  const parts = partsOf(reading, profile, 0);
  return parts === undefined || typeof parts === 'string' ? parts : { type: 'built', parts };
}

function partsOf(reading: Reading, profile: StepEntity, depth: number): SectionPart[] | string | undefined {
  switch (profile.type) {
    case 'IFCARBITRARYCLOSEDPROFILEDEF':
    case 'IFCARBITRARYPROFILEDEFWITHVOIDS': {
      const outline = cornersOf(reading, reading.ref(profile, 'OuterCurve'));
      if (typeof outline === 'string') return outline;
      const holes: (readonly number[][])[] = [];
      for (const curve of reading.refs(profile, 'InnerCurves')) {
        const hole = cornersOf(reading, curve);
        if (typeof hole === 'string') return hole;
        holes.push(hole);
      }
      return [{ outline, ...(holes.length > 0 && { holes }) }];
    }
    case 'IFCCOMPOSITEPROFILEDEF': {
      const all: SectionPart[] = [];
      for (const one of depth > 4 ? [] : reading.refs(profile, 'Profiles')) {
        const parts = partsOf(reading, one, depth + 1);
        if (parts === undefined) return WORDS.unknownProfile(spelled(one.type));
        if (typeof parts === 'string') return parts;
        all.push(...parts);
      }
      return all;
    }
    default:
      return undefined;
  }
}

/** Corners of a closed line, as our outlines have them: to the right there is to the left here. */
function cornersOf(reading: Reading, curve: StepEntity | undefined): number[][] | string {
  let points: number[][];
  if (curve?.type === 'IFCPOLYLINE') points = reading.refs(curve, 'Points').map((point) => reading.numbers(point, 'Coordinates'));
  else if (curve?.type === 'IFCINDEXEDPOLYCURVE' && curve.attributes['Segments'] === null) {
    const list = reading.ref(curve, 'Points');
    const flat = list ? reading.numbers(list, 'CoordList') : [];
    points = Array.from({ length: flat.length / 2 }, (_, i) => [flat[2 * i]!, flat[2 * i + 1]!]);
  } else return WORDS.curvedOutline;
  const corners = points.map(([x = 0, y = 0]) => [-x + 0, y]);
  const [first, last] = [corners[0], corners.at(-1)];
  return first && last && first[0] === last[0] && first[1] === last[1] ? corners.slice(0, -1) : corners;
}
