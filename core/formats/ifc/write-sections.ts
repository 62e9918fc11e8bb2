import type { Material, Model, Section, SectionProperties } from '../../model/model';
import { sectionProperties } from '../../sections/section-properties';
import { placeIn, type Ring } from '../../polygons/rings';
import { sense } from '../../sections/built/soundness';
import type { Loop } from '../../sections/path';
import { outlineLoops } from '../../sections/outline';
import { centroidOf } from '../../sections/centroid';
import type { Shape } from '../../shapes/shape';
import type { Reference } from '../step/values';
import type { Said } from '../step/write-step';
import { choice, count, measure, type Writing } from './writing';

type Attributes = Readonly<Record<string, Said>>;

/** What a shape is called in the standard, and its dimensions there, where it has one; `turned` quarters, anticlockwise. */
export function profileOf(
  shape: Shape,
): { readonly type: string; readonly turned?: number; readonly attributes: Attributes } | undefined {
  const { h = 0, b = 0, tw = 0, tf = 0, t = 0, d = 0, r = 0, ro = 0, rt = 0, slope = 0 } = shape;
  if (slope !== 0) return undefined;
  switch (shape.type) {
    case 'i':
      if (shape.bTop === undefined && shape.tfTop === undefined)
        return { type: 'IfcIShapeProfileDef', attributes: { OverallWidth: b, OverallDepth: h, WebThickness: tw, FlangeThickness: tf, ...radii({ FilletRadius: r, FlangeEdgeRadius: rt }) } }; // oxfmt-ignore
      return {
        type: 'IfcAsymmetricIShapeProfileDef',
        attributes: {
          ...{ BottomFlangeWidth: b, OverallDepth: h, WebThickness: tw, BottomFlangeThickness: tf },
          ...{ TopFlangeWidth: shape.bTop ?? b, TopFlangeThickness: shape.tfTop ?? tf },
          ...radii({
            BottomFlangeFilletRadius: r,
            TopFlangeFilletRadius: r,
            BottomFlangeEdgeRadius: rt,
            TopFlangeEdgeRadius: rt,
          }),
        },
      };
    case 'channel':
      // Its back is on the other side, since its axis to the right is the other way.
      return { type: 'IfcUShapeProfileDef', turned: 2, attributes: { Depth: h, FlangeWidth: b, WebThickness: tw, FlangeThickness: tf, ...radii({ FilletRadius: r, EdgeRadius: rt }) } }; // oxfmt-ignore
    case 'angle':
      return { type: 'IfcLShapeProfileDef', turned: 1, attributes: { Depth: b, Width: h, Thickness: t, ...radii({ FilletRadius: r, EdgeRadius: rt }) } }; // oxfmt-ignore
    case 'tee':
      return { type: 'IfcTShapeProfileDef', attributes: { Depth: h, FlangeWidth: b, WebThickness: tw, FlangeThickness: tf, ...radii({ FilletRadius: r }) } }; // oxfmt-ignore
    case 'rhs':
      return { type: 'IfcRectangleHollowProfileDef', attributes: { XDim: b, YDim: h, WallThickness: t, InnerFilletRadius: shape.ri ?? Math.max(0, ro - t), OuterFilletRadius: ro } }; // oxfmt-ignore
    case 'chs':
      return { type: 'IfcCircleHollowProfileDef', attributes: { Radius: d / 2, WallThickness: t } };
    case 'rectangle':
      return { type: 'IfcRectangleProfileDef', attributes: { XDim: b, YDim: h } };
    case 'round':
      return { type: 'IfcCircleProfileDef', attributes: { Radius: d / 2 } };
    default:
      return undefined;
  }
}

/** Radii that are there. */
const radii = (all: Readonly<Record<string, number>>): Attributes =>
  Object.fromEntries(Object.entries(all).filter(([, value]) => value > 0));

/** A profile: by its dimensions, by its outline about its centroid, or by name alone. */
function profile(writing: Writing, { id, shape, catalogue }: Section): Reference {
  const head = { ProfileType: choice('AREA'), ProfileName: catalogue ?? id };
  const known = shape && profileOf(shape);
  if (known) {
    const { type, turned = 0, attributes } = known;
    const Position =
      turned === 0
        ? undefined
        : writing.add('IfcAxis2Placement2D', {
            Location: writing.add('IfcCartesianPoint', { Coordinates: [0, 0] }),
            RefDirection: writing.add('IfcDirection', { DirectionRatios: turned === 1 ? [0, 1] : [-1, 0] }),
          });
    return writing.add(type, { ...head, Position, ...attributes });
  }
  const lines = shape ? outlineLoops(shape) : [];
  if (lines.length === 0) return writing.add('IfcProfileDef', head);
  const { y, z } = centroidOf(shape!);
  const areas = lines.map((line) => {
    const Coordinates: number[][] = [];
    // To the right there is to the left here.
    for (let i = 0; i < line.length; i += 2) Coordinates.push([z - line[i]!, line[i + 1]! - y]);
    const Points = [...Coordinates, Coordinates[0]!].map((one) => writing.add('IfcCartesianPoint', { Coordinates: one }));
    return { isHole: sense(line) < 0, line, curve: writing.add('IfcPolyline', { Points }) };
  });
  const holes = areas.filter(({ isHole }) => isHole);
  const solid = areas.filter(({ isHole }) => !isHole);
  const one = (head: Attributes, OuterCurve: Reference, inner: readonly Reference[]): Reference =>
    inner.length > 0
      ? writing.add('IfcArbitraryProfileDefWithVoids', { ...head, OuterCurve, InnerCurves: inner })
      : writing.add('IfcArbitraryClosedProfileDef', { ...head, OuterCurve });
  const inside = (outer: Loop) =>
    holes.filter(({ line }) => placeIn(ringOf(outer), [line[0]!, line[1]!], 0) > 0).map(({ curve }) => curve);
  if (solid.length === 1) return one(head, solid[0]!.curve, holes.map(({ curve }) => curve)); // oxfmt-ignore
  const parts = solid.map(({ curve, line }) => one({ ProfileType: choice('AREA') }, curve, inside(line)));
  return writing.add('IfcCompositeProfileDef', { ...head, Profiles: parts });
}

/** A closed line as its corners. */
const ringOf = (line: Loop): Ring => Array.from({ length: line.length / 2 }, (_, i) => [line[2 * i]!, line[2 * i + 1]!]);

/** What the standard calls the properties of a section: its y lies as our z does, its z as our y. */
export const PROFILE_PROPERTIES = {
  A: ['CrossSectionArea', 'IfcAreaMeasure'],
  Iz: ['MomentOfInertiaY', 'IfcMomentOfInertiaMeasure'],
  Iy: ['MomentOfInertiaZ', 'IfcMomentOfInertiaMeasure'],
  J: ['TorsionalConstantX', 'IfcMomentOfInertiaMeasure'],
  Ay: ['ShearDeformationAreaZ', 'IfcAreaMeasure'],
  Az: ['ShearDeformationAreaY', 'IfcAreaMeasure'],
  Wz: ['MinimumSectionModulusY', 'IfcSectionModulusMeasure'],
  Wy: ['MinimumSectionModulusZ', 'IfcSectionModulusMeasure'],
} as const satisfies Readonly<Partial<Record<keyof SectionProperties, readonly [string, string]>>>;

/** What it calls those of a material, by the set that they stand in. */
export const MATERIAL_PROPERTIES = {
  E: ['Pset_MaterialMechanical', 'YoungModulus', 'IfcModulusOfElasticityMeasure'],
  G: ['Pset_MaterialMechanical', 'ShearModulus', 'IfcModulusOfElasticityMeasure'],
  nu: ['Pset_MaterialMechanical', 'PoissonRatio', 'IfcPositiveRatioMeasure'],
  alpha: ['Pset_MaterialMechanical', 'ThermalExpansionCoefficient', 'IfcThermalExpansionCoefficientMeasure'],
  density: ['Pset_MaterialCommon', 'MassDensity', 'IfcMassDensityMeasure'],
  fy: ['Pset_MaterialSteel', 'YieldStress', 'IfcPressureMeasure'],
} as const satisfies Readonly<Record<Exclude<keyof Material, 'id'>, readonly [string, string, string]>>;

const property = (writing: Writing, Name: string, kind: string, value: number): Reference =>
  writing.add('IfcPropertySingleValue', { Name, NominalValue: measure(kind, value) });

/** What members of one section and one material are made of, once for each pair that a member has. */
export function profileSetsOf(writing: Writing, { sections, materials, members }: Model): void {
  const profiles = new Map<string, Reference>();
  const stuff = new Map<string, Reference>();
  for (const section of sections) {
    const made = profile(writing, section);
    profiles.set(section.id, made);
    const found = sectionProperties(section);
    const Properties = Object.entries(PROFILE_PROPERTIES).flatMap(([key, [name, kind]]) => {
      const value = found[key as keyof typeof PROFILE_PROPERTIES];
      return value === undefined ? [] : [property(writing, name, kind, value)];
    });
    if (Properties.length > 0)
      writing.add('IfcProfileProperties', { Name: 'Pset_ProfileMechanical', Properties, ProfileDefinition: made });
  }
  for (const material of materials) {
    const made = writing.add('IfcMaterial', { Name: material.id });
    stuff.set(material.id, made);
    const sets = new Map<string, Reference[]>();
    for (const [key, [set, name, kind]] of Object.entries(MATERIAL_PROPERTIES)) {
      const value = material[key as keyof typeof MATERIAL_PROPERTIES];
      if (value === undefined) continue;
      sets.set(set, [...(sets.get(set) ?? []), property(writing, name, kind, value)]);
    }
    for (const [Name, Properties] of sets) writing.add('IfcMaterialProperties', { Name, Properties, Material: made });
  }
  const used = new Set(members.map(({ section }) => section));
  for (const { id } of sections.filter((one) => !used.has(one.id)))
    writing.add('IfcMaterialProfileSet', {
      Name: id,
      MaterialProfiles: [writing.add('IfcMaterialProfile', { Name: id, Profile: profiles.get(id)! })],
    });
  const pairs = new Map<string, { section: string; material: string; of: string[] }>();
  for (const { id, section, material } of members) {
    const key = JSON.stringify([section, material]);
    const found = pairs.get(key);
    if (found) found.of.push(id);
    else pairs.set(key, { section, material, of: [id] });
  }
  for (const [key, { section, material, of }] of pairs) {
    const one = writing.add('IfcMaterialProfile', {
      Name: section,
      Material: stuff.get(material)!,
      Profile: profiles.get(section)!,
    });
    const set = writing.add('IfcMaterialProfileSet', { Name: `${section}, ${material}`, MaterialProfiles: [one] });
    // 10: the axis of a member goes through the centroid.
    const RelatingMaterial = writing.add('IfcMaterialProfileSetUsage', { ForProfileSet: set, CardinalPoint: count(10) });
    const RelatedObjects = of.map((id) => writing.members.get(id)!);
    writing.related('IfcRelAssociatesMaterial', ['made of', key], { RelatedObjects, RelatingMaterial });
  }
}
