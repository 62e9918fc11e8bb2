import { checkModel, type Checked } from '../../model/check';
import { fault, isFault } from '../../model/notice';
import { cross, type Point } from '../../model/point';
import type { Model } from '../../model/model';
import { spelled } from '../step/engine';
import { openStep } from '../step/read-step';
import type { StepEntity } from '../step/values';
import { fromFile } from './axes';
import { axesOf } from './read-geometry';
import { readLoads } from './read-loads';
import { readStructure } from './read-structure';
import { Reading } from './reading';
import { Units } from './units';
import { ifcReading as WORDS } from './words';

/** Types that are spoken of in one sentence each when they are left out. */
const MOST_TOLD = 40;

/**
 * The structural analysis model of a file of IFC 4 or 4.3. What cannot be taken as it is meant is a fault, and then nothing is taken; what has
 * no place in a model is told, by its type, with the line of the first. `readyStep` comes before it.
 */
export function readIfc(bytes: Uint8Array): Checked {
  const file = openStep(bytes);
  const refused = (what: string, line?: number): Checked => {
    const text = line === undefined ? what : WORDS.inLine(line, what);
    const path = line === undefined ? '' : `line ${line}`;
    return {
      notices: [fault({ code: 'ifc', path, value: undefined, what: text, expected: WORDS.expected, remedy: WORDS.mend })],
    };
  };
  if ('what' in file) return refused(file.what, file.line);
  try {
    if (!file.schema.startsWith('IFC4')) return refused(WORDS.schema(file.schema));
    const reading = new Reading(file);
    const model = modelOf(reading);
    if (!model || reading.notices.some(isFault)) return { notices: reading.notices };
    const unseen = reading.unseen();
    for (const { type, count, line } of unseen.slice(0, MOST_TOLD)) reading.note(WORDS.unseen(spelled(type), count, line));
    if (unseen.length > MOST_TOLD) reading.note(WORDS.moreUnseen(unseen.length - MOST_TOLD));
    const checked = checkModel(model);
    return { ...checked, notices: [...reading.notices, ...checked.notices] };
  } finally {
    file.close();
  }
}

function modelOf(reading: Reading): unknown {
  const [project] = reading.all('IfcProject');
  reading.units = new Units(reading, project && reading.ref(project, 'UnitsInContext'));
  const [analysis, ...others] = reading.all('IfcStructuralAnalysisModel');
  if (!analysis) {
    reading.fault(undefined, WORDS.noAnalysis, WORDS.exportAnalysis);
    return undefined;
  }
  // What several have is one structure in parts, or several: that is not for us to say.
  if (others.length > 0) reading.fault(others[0], WORDS.several(others.length + 1), WORDS.exportOne);
  const type = reading.choice(analysis, 'PredefinedType');
  const space: Model['space'] = type === 'IN_PLANE_LOADING_2D' ? 'plane' : 'space';
  if (type === 'OUT_PLANE_LOADING_2D') reading.note(WORDS.grillage);
  if (space === 'plane') reading.turned = planeOf(reading, analysis);
  if (reading.count('IfcStructuralCurveMember') === 0) reading.warn(analysis, WORDS.noMembers);
  for (const [kind, words] of LEFT_OUT)
    if (reading.count(kind) > 0) reading.leftOut(reading.all(kind), words(reading.count(kind)));
  const structure = readStructure(reading, space);
  const loads = readLoads(reading, structure, space);
  const results = reading.all('IfcStructuralResultGroup');
  if (results.length > 0) reading.note(WORDS.results(results.length));
  for (const kind of ['IfcStructuralPointReaction', 'IfcStructuralCurveReaction']) ignore(reading, kind);
  for (const kind of AROUND) reading.passOver(kind);
  const title = (reading.text(analysis, 'Name') ?? (project && reading.text(project, 'Name')) ?? WORDS.untitled).slice(0, 200);
  const { groups, ...lists } = structure.model;
  return { format: 'rigid-beam/model', version: 1, title, space, ...lists, ...loads, ...(groups && { groups }) };
}

/** Structural things that a frame has no place for. */
const LEFT_OUT: readonly (readonly [kind: string, words: (count: number) => string])[] = [
  ['IfcStructuralSurfaceMember', WORDS.surfaces],
  ['IfcStructuralSurfaceMemberVarying', WORDS.surfaces],
  ['IfcStructuralCurveConnection', WORDS.lineSupports],
  ['IfcStructuralSurfaceConnection', WORDS.lineSupports],
  ['IfcStructuralSurfaceAction', WORDS.surfaceLoads],
  ['IfcStructuralPlanarAction', WORDS.surfaceLoads],
];

/** What stands around a model and says nothing of the structure. */
const AROUND = [
  ...['IfcOwnerHistory', 'IfcPerson', 'IfcOrganization', 'IfcPersonAndOrganization', 'IfcApplication', 'IfcRelDeclares'],
  ...[
    'IfcGeometricRepresentationContext',
    'IfcGeometricRepresentationSubContext',
    'IfcDimensionalExponents',
    'IfcRelServicesBuildings',
  ],
  ...['IfcDirection', 'IfcCartesianPoint', 'IfcAxis2Placement3D', 'IfcAxis2Placement2D', 'IfcLocalPlacement', 'IfcSIUnit'],
];

/** Results that were found by others, with all that they hold. */
function ignore(reading: Reading, kind: string): void {
  for (const one of reading.all(kind)) {
    const load = reading.ref(one, 'AppliedLoad');
    if (load?.type === 'IFCSTRUCTURALLOADCONFIGURATION') reading.mark(reading.ids(load, 'Values'));
  }
}

/** How vectors lie in a plane model: in the plane that the file names; upright through x where it names none. */
function planeOf(reading: Reading, analysis: StepEntity): (vector: Point) => Point {
  const placement = reading.ref(analysis, 'OrientationOf2DPlane');
  const axes = placement && axesOf(reading, placement);
  if (!axes) return fromFile;
  const [x, , z] = axes;
  const y = cross(z, x);
  const along = (v: Point, w: Point): number => v[0] * w[0] + v[1] * w[1] + v[2] * w[2] + 0;
  return (v) => [along(v, x), along(v, y), along(v, z)];
}
