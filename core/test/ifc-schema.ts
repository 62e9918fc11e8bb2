/** What ISO 16739-1:2024 says of the entities that are written: their attributes that must be there, and what may stand where they refer to something. */
interface Rule {
  readonly must: readonly string[];
  readonly to?: Readonly<Record<string, readonly string[]>>;
}

const ROOT = ['GlobalId'];
const LOADS = ['IfcStructuralLoadSingleForce', 'IfcStructuralLoadLinearForce', 'IfcStructuralLoadSingleDisplacement', 'IfcStructuralLoadTemperature', 'IfcStructuralLoadConfiguration']; // oxfmt-ignore
const ITEMS = ['IfcStructuralPointConnection', 'IfcStructuralCurveMember'];
const ACTIONS = ['IfcStructuralPointAction', 'IfcStructuralCurveAction'];
const REACTIONS = ['IfcStructuralPointReaction', 'IfcStructuralCurveReaction'];
const GROUPS = [
  'IfcStructuralLoadCase',
  'IfcStructuralLoadGroup',
  'IfcStructuralResultGroup',
  'IfcStructuralAnalysisModel',
  'IfcGroup',
];
const PROFILES = [
  ...[
    'IfcProfileDef',
    'IfcIShapeProfileDef',
    'IfcAsymmetricIShapeProfileDef',
    'IfcUShapeProfileDef',
    'IfcLShapeProfileDef',
    'IfcTShapeProfileDef',
  ],
  ...[
    'IfcRectangleHollowProfileDef',
    'IfcCircleHollowProfileDef',
    'IfcRectangleProfileDef',
    'IfcCircleProfileDef',
    'IfcCompositeProfileDef',
  ],
  ...['IfcArbitraryClosedProfileDef', 'IfcArbitraryProfileDefWithVoids'],
];
const UNITS = ['IfcSIUnit', 'IfcDerivedUnit'];
const shape = (...names: readonly string[]): Rule => ({
  must: ['ProfileType', ...names],
  to: { Position: ['IfcAxis2Placement2D'] },
});
const activity = (loads: string, ...more: readonly string[]): Rule => ({
  must: [...ROOT, 'AppliedLoad', 'GlobalOrLocal', ...more],
  to: { AppliedLoad: loads === 'any' ? LOADS : [loads] },
});

export const ifcSchema: Readonly<Record<string, Rule>> = {
  IfcCartesianPoint: { must: ['Coordinates'] },
  IfcDirection: { must: ['DirectionRatios'] },
  IfcAxis2Placement3D: {
    must: ['Location'],
    to: { Location: ['IfcCartesianPoint'], Axis: ['IfcDirection'], RefDirection: ['IfcDirection'] },
  },
  IfcAxis2Placement2D: { must: ['Location'], to: { Location: ['IfcCartesianPoint'], RefDirection: ['IfcDirection'] } },
  IfcLocalPlacement: { must: ['RelativePlacement'], to: { RelativePlacement: ['IfcAxis2Placement3D'] } },
  IfcGeometricRepresentationContext: { must: ['CoordinateSpaceDimension', 'WorldCoordinateSystem'], to: { WorldCoordinateSystem: ['IfcAxis2Placement3D'] } }, // oxfmt-ignore
  IfcSIUnit: { must: ['UnitType', 'Name'] },
  IfcDerivedUnitElement: { must: ['Unit', 'Exponent'], to: { Unit: ['IfcSIUnit'] } },
  IfcDerivedUnit: { must: ['Elements', 'UnitType'], to: { Elements: ['IfcDerivedUnitElement'] } },
  IfcUnitAssignment: { must: ['Units'], to: { Units: UNITS } },
  IfcProject: { must: [...ROOT, 'Name'], to: { RepresentationContexts: ['IfcGeometricRepresentationContext'], UnitsInContext: ['IfcUnitAssignment'] } }, // oxfmt-ignore
  IfcVertexPoint: { must: ['VertexGeometry'], to: { VertexGeometry: ['IfcCartesianPoint'] } },
  IfcEdge: { must: ['EdgeStart', 'EdgeEnd'], to: { EdgeStart: ['IfcVertexPoint'], EdgeEnd: ['IfcVertexPoint'] } },
  IfcTopologyRepresentation: { must: ['ContextOfItems', 'Items'], to: { ContextOfItems: ['IfcGeometricRepresentationContext'], Items: ['IfcVertexPoint', 'IfcEdge'] } }, // oxfmt-ignore
  IfcProductDefinitionShape: { must: ['Representations'], to: { Representations: ['IfcTopologyRepresentation'] } },
  IfcBoundaryNodeCondition: { must: [] },
  IfcStructuralPointConnection: { must: ROOT, to: { Representation: ['IfcProductDefinitionShape'], AppliedCondition: ['IfcBoundaryNodeCondition'], ConditionCoordinateSystem: ['IfcAxis2Placement3D'] } }, // oxfmt-ignore
  IfcStructuralCurveMember: { must: [...ROOT, 'PredefinedType', 'Axis'], to: { Representation: ['IfcProductDefinitionShape'], Axis: ['IfcDirection'] } }, // oxfmt-ignore
  IfcRelConnectsStructuralMember: { must: [...ROOT, 'RelatingStructuralMember', 'RelatedStructuralConnection'], to: { RelatingStructuralMember: ['IfcStructuralCurveMember'], RelatedStructuralConnection: ['IfcStructuralPointConnection'], AppliedCondition: ['IfcBoundaryNodeCondition'] } }, // oxfmt-ignore
  IfcRelConnectsWithEccentricity: { must: [...ROOT, 'RelatingStructuralMember', 'RelatedStructuralConnection', 'ConnectionConstraint'], to: { ConnectionConstraint: ['IfcConnectionPointEccentricity'], AppliedCondition: ['IfcBoundaryNodeCondition'] } }, // oxfmt-ignore
  IfcConnectionPointEccentricity: { must: ['PointOnRelatingElement'], to: { PointOnRelatingElement: ['IfcVertexPoint'], PointOnRelatedElement: ['IfcVertexPoint'] } }, // oxfmt-ignore
  IfcPropertySingleValue: { must: ['Name'] },
  IfcProfileProperties: {
    must: ['Properties', 'ProfileDefinition'],
    to: { Properties: ['IfcPropertySingleValue'], ProfileDefinition: PROFILES },
  },
  IfcMaterial: { must: ['Name'] },
  IfcMaterialProperties: {
    must: ['Properties', 'Material'],
    to: { Properties: ['IfcPropertySingleValue'], Material: ['IfcMaterial'] },
  },
  IfcMaterialProfile: { must: ['Profile'], to: { Material: ['IfcMaterial'], Profile: PROFILES } },
  IfcMaterialProfileSet: { must: ['MaterialProfiles'], to: { MaterialProfiles: ['IfcMaterialProfile'] } },
  IfcMaterialProfileSetUsage: { must: ['ForProfileSet'], to: { ForProfileSet: ['IfcMaterialProfileSet'] } },
  IfcRelAssociatesMaterial: { must: [...ROOT, 'RelatedObjects', 'RelatingMaterial'], to: { RelatedObjects: ['IfcStructuralCurveMember'], RelatingMaterial: ['IfcMaterialProfileSetUsage'] } }, // oxfmt-ignore
  IfcProfileDef: shape(),
  IfcIShapeProfileDef: shape('OverallWidth', 'OverallDepth', 'WebThickness', 'FlangeThickness'),
  IfcAsymmetricIShapeProfileDef: shape(
    'BottomFlangeWidth',
    'OverallDepth',
    'WebThickness',
    'BottomFlangeThickness',
    'TopFlangeWidth',
  ),
  IfcUShapeProfileDef: shape('Depth', 'FlangeWidth', 'WebThickness', 'FlangeThickness'),
  IfcLShapeProfileDef: shape('Depth', 'Thickness'),
  IfcTShapeProfileDef: shape('Depth', 'FlangeWidth', 'WebThickness', 'FlangeThickness'),
  IfcRectangleHollowProfileDef: shape('XDim', 'YDim', 'WallThickness'),
  IfcCircleHollowProfileDef: shape('Radius', 'WallThickness'),
  IfcRectangleProfileDef: shape('XDim', 'YDim'),
  IfcCircleProfileDef: shape('Radius'),
  IfcPolyline: { must: ['Points'], to: { Points: ['IfcCartesianPoint'] } },
  IfcArbitraryClosedProfileDef: { must: ['ProfileType', 'OuterCurve'], to: { OuterCurve: ['IfcPolyline'] } },
  IfcArbitraryProfileDefWithVoids: { must: ['ProfileType', 'OuterCurve', 'InnerCurves'], to: { OuterCurve: ['IfcPolyline'], InnerCurves: ['IfcPolyline'] } }, // oxfmt-ignore
  IfcCompositeProfileDef: { must: ['ProfileType', 'Profiles'], to: { Profiles: PROFILES } },
  IfcStructuralLoadSingleForce: { must: [] },
  IfcStructuralLoadLinearForce: { must: [] },
  IfcStructuralLoadSingleDisplacement: { must: [] },
  IfcStructuralLoadTemperature: { must: [] },
  IfcStructuralLoadConfiguration: { must: ['Values'], to: { Values: LOADS } },
  IfcStructuralPointAction: activity('any'),
  IfcStructuralCurveAction: activity('any', 'PredefinedType'),
  IfcStructuralPointReaction: activity('any'),
  IfcStructuralCurveReaction: activity('IfcStructuralLoadConfiguration', 'PredefinedType'),
  IfcRelConnectsStructuralActivity: { must: [...ROOT, 'RelatingElement', 'RelatedStructuralActivity'], to: { RelatingElement: ITEMS, RelatedStructuralActivity: [...ACTIONS, ...REACTIONS] } }, // oxfmt-ignore
  IfcStructuralLoadCase: { must: [...ROOT, 'PredefinedType', 'ActionType', 'ActionSource'] },
  IfcStructuralLoadGroup: { must: [...ROOT, 'PredefinedType', 'ActionType', 'ActionSource'] },
  IfcRelAssignsToGroup: { must: [...ROOT, 'RelatedObjects', 'RelatingGroup'], to: { RelatedObjects: [...ITEMS, ...ACTIONS, ...REACTIONS], RelatingGroup: GROUPS } }, // oxfmt-ignore
  IfcRelAssignsToGroupByFactor: {
    must: [...ROOT, 'RelatedObjects', 'RelatingGroup', 'Factor'],
    to: { RelatedObjects: GROUPS, RelatingGroup: GROUPS },
  },
  IfcGroup: { must: ROOT },
  IfcStructuralResultGroup: { must: [...ROOT, 'TheoryType', 'IsLinear'], to: { ResultForLoadGroup: GROUPS } },
  IfcStructuralAnalysisModel: { must: [...ROOT, 'PredefinedType'], to: { OrientationOf2DPlane: ['IfcAxis2Placement3D'], LoadedBy: GROUPS, HasResults: GROUPS, SharedPlacement: ['IfcLocalPlacement'] } }, // oxfmt-ignore
  IfcRelDeclares: {
    must: [...ROOT, 'RelatingContext', 'RelatedDefinitions'],
    to: { RelatingContext: ['IfcProject'], RelatedDefinitions: GROUPS },
  },
};
