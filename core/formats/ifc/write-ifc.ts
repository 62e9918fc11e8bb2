import type { Model } from '../../model/model';
import type { Results } from '../../results/results';
import type { FilePart } from '../format';
import { StepWriter } from '../step/write-step';
import { writeLoads } from './write-loads';
import type { Share } from './shares';
import { writeResults } from './write-results';
import { profileSetsOf } from './write-sections';
import { writeGroups, writeStructure } from './write-structure';
import { unitsOf } from './write-units';
import { choice, count, Writing } from './writing';

export interface IfcOptions {
  readonly share: Share;
  /** Places along each member where its forces are told. */
  readonly stations: number;
}

/**
 * A sound model as a file of IFC 4.3 (ISO 16739-1:2024), its domain of structural analysis, in SI: what `leftOutOf` names is not in it. `results` is
 * asked for where the file is to have some; what cannot be solved has none.
 */
export function writeIfc(model: Model, results: () => Results, { share, stations }: IfcOptions): readonly FilePart[] {
  const out = new StepWriter();
  const writing = new Writing(out, model);
  const ORIGIN = writing.point([0, 0, 0]);
  const context = writing.add('IfcGeometricRepresentationContext', {
    ...{ ContextType: 'Model', CoordinateSpaceDimension: count(3), Precision: 1e-6 },
    WorldCoordinateSystem: writing.add('IfcAxis2Placement3D', { Location: ORIGIN }),
  });
  const project = writing.rooted('IfcProject', ['project', model.title], {
    ...{ Name: model.title, RepresentationContexts: [context], UnitsInContext: unitsOf(writing) },
  });
  writeStructure(writing, context);
  profileSetsOf(writing, model);
  const loads = writeLoads(writing);
  writeGroups(writing, model);
  const solution = share === 'none' ? undefined : results().solution;
  const found = solution && share !== 'none' ? writeResults(writing, solution, share, stations) : [];
  const isPlane = model.space === 'plane';
  const analysis = writing.rooted('IfcStructuralAnalysisModel', ['analysis', model.title], {
    Name: model.title,
    PredefinedType: choice(isPlane ? 'IN_PLANE_LOADING_2D' : 'LOADING_3D'),
    OrientationOf2DPlane: isPlane
      ? writing.add('IfcAxis2Placement3D', {
          ...{ Location: ORIGIN, Axis: writing.direction([0, 0, 1]), RefDirection: writing.direction([1, 0, 0]) },
        })
      : undefined,
    LoadedBy: loads.length > 0 ? loads : undefined,
    HasResults: found.length > 0 ? found : undefined,
    SharedPlacement: writing.add('IfcLocalPlacement', {
      RelativePlacement: writing.add('IfcAxis2Placement3D', { Location: ORIGIN }),
    }),
  });
  const parts = [...writing.nodes.values(), ...writing.members.values()];
  if (parts.length > 0)
    writing.related('IfcRelAssignsToGroup', ['of analysis'], { RelatedObjects: parts, RelatingGroup: analysis });
  writing.related('IfcRelDeclares', ['of project'], { RelatingContext: project, RelatedDefinitions: [analysis] });
  return out.parts(model.title);
}
