import type { Point } from '../../model/point';
import { diagramOf } from '../../results/diagram';
import { nodalAt, valuesIn } from '../../results/read';
import type { Solution } from '../../results/results';
import type { Reference } from '../step/values';
import { toFile } from './axes';
import { localOf } from './local';
import type { Share } from './shares';
import { ifc as WORDS } from './words';
import { choice, type Writing } from './writing';

/** What a solution found of each case and sum that is in the file, as groups of results. */
export function writeResults(writing: Writing, solution: Solution, share: Exclude<Share, 'none'>, stations: number): Reference[] {
  const groups: Reference[] = [];
  for (const [outcome, { id, kind }] of solution.outcomes.entries()) {
    const of = writing.groups.get(id);
    if (!of || (kind !== 'solved' && kind !== 'superposed')) continue;
    const isDisplaced = solution.displaced?.[outcome] !== undefined;
    const group = writing.rooted('IfcStructuralResultGroup', ['results', id], {
      ...{ Name: id, Description: WORDS.signs, TheoryType: choice(isDisplaced ? 'SECOND_ORDER_THEORY' : 'FIRST_ORDER_THEORY') },
      ...{ ResultForLoadGroup: of, IsLinear: !isDisplaced },
    });
    groups.push(group);
    const RelatedObjects = [...ofNodes(writing, solution, outcome, id)];
    if (share === 'all') RelatedObjects.push(...ofMembers(writing, solution, outcome, id, stations));
    writing.related('IfcRelAssignsToGroup', ['of results', id], { RelatedObjects, RelatingGroup: group });
  }
  return groups;
}

function* ofNodes(writing: Writing, solution: Solution, outcome: number, id: string): Generator<Reference> {
  const vector = (key: 'displacements' | 'reactions', at: number): Point =>
    toFile([0, 1, 2].map((k) => nodalAt(solution, outcome, key, at + k)) as unknown as Point);
  for (const [i, node] of solution.structure.names.nodes.entries()) {
    const element = writing.nodes.get(node)!;
    const told = (what: string, AppliedLoad: Reference): Reference => {
      const reaction = writing.rooted('IfcStructuralPointReaction', [what, id, node], {
        ...{ Name: node, Description: what, AppliedLoad, GlobalOrLocal: choice('GLOBAL_COORDS') },
      });
      writing.related('IfcRelConnectsStructuralActivity', [what, id, node], {
        ...{ RelatingElement: element, RelatedStructuralActivity: reaction },
      });
      return reaction;
    };
    const [DisplacementX, DisplacementY, DisplacementZ] = vector('displacements', 6 * i);
    const [RotationalDisplacementRX, RotationalDisplacementRY, RotationalDisplacementRZ] = vector('displacements', 6 * i + 3);
    const moved = { DisplacementX, DisplacementY, DisplacementZ, RotationalDisplacementRX, RotationalDisplacementRY, RotationalDisplacementRZ }; // oxfmt-ignore
    yield told('Movement', writing.add('IfcStructuralLoadSingleDisplacement', moved));
    if (!solution.supported[i]) continue;
    const [ForceX, ForceY, ForceZ] = vector('reactions', 6 * i);
    const [MomentX, MomentY, MomentZ] = vector('reactions', 6 * i + 3);
    yield told('Reaction', writing.add('IfcStructuralLoadSingleForce', { ForceX, ForceY, ForceZ, MomentX, MomentY, MomentZ }));
  }
}

function* ofMembers(writing: Writing, solution: Solution, outcome: number, id: string, stations: number): Generator<Reference> {
  for (const [m, member] of solution.structure.names.members.entries()) {
    const diagram = diagramOf(solution, outcome, m);
    const { toFile: along } = localOf(writing.model.space, writing.model.members[m]!);
    const places = Array.from({ length: stations }, (_, i) => (diagram.length * i) / (stations - 1));
    const Values = places.map((x) => {
      const { N, Vy, Vz, T, My, Mz } = valuesIn(diagram, x);
      // What the part behind x does to the part before it.
      const [ForceX, ForceY, ForceZ] = along([N, -Vy, -Vz]);
      const [MomentX, MomentY, MomentZ] = along([T, -My, Mz]);
      return writing.add('IfcStructuralLoadSingleForce', { ForceX, ForceY, ForceZ, MomentX, MomentY, MomentZ });
    });
    const AppliedLoad = writing.add('IfcStructuralLoadConfiguration', { Values, Locations: places.map((x) => [x]) });
    const reaction = writing.rooted('IfcStructuralCurveReaction', ['forces', id, member], {
      ...{
        Name: member,
        Description: 'Forces',
        AppliedLoad,
        GlobalOrLocal: choice('LOCAL_COORDS'),
        PredefinedType: choice('DISCRETE'),
      },
    });
    writing.related('IfcRelConnectsStructuralActivity', ['forces', id, member], {
      ...{ RelatingElement: writing.members.get(member)!, RelatedStructuralActivity: reaction },
    });
    yield reaction;
  }
}
