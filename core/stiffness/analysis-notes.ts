import { counted } from '../counted';
import { once } from '../once';
import type { Model } from '../model/model';
import type { Notice } from '../model/notice';
import { unjoinedNodes } from './unjoined-nodes';

/** Things worth saying about a model that can be solved. */
export const analysisNotes = (model: Model): readonly Notice[] => [
  ...loneNodes(model),
  ...unjoinedNodes(model),
  ...weightlessNotes(model.members, model.materials, model.cases),
  ...(model.analysis?.shearDeformation ? rigidInShearNotes(model.members, model.materials) : []),
];

/** The nodes that members join. */
const nodesUsedBy = once(
  (members: Model['members']): ReadonlySet<string> => new Set(members.flatMap(({ start, end }) => [start, end])),
);

function loneNodes({ nodes, members }: Model): Notice[] {
  const used = nodesUsedBy(members);
  return nodes
    .filter(({ id }) => !used.has(id))
    .map(({ id }) => ({
      code: 'node-without-member',
      severity: 'note',
      message: `Node ${id} belongs to no member.`,
      subjects: [`node ${id}`],
    }));
}

const rigidInShearNotes = once((members: Model['members'], materials: Model['materials']) => {
  const notes: Notice[] = [];
  const named = new Map(materials.map((material) => [material.id, material]));
  const stiff = members.filter((member) => {
    const material = named.get(member.material);
    return material?.G === undefined && material?.nu === undefined;
  });
  if (stiff.length > 0) {
    notes.push({
      code: 'no-shear-modulus',
      severity: 'warning',
      message: `Shear deformation is switched on, but the material of ${counted(stiff.length, 'member')} has neither G nor nu: they are taken as rigid in shear.`,
      subjects: stiff.slice(0, 20).map((member) => `member ${member.id}`),
    });
  }
  return notes;
});

const weightlessNotes = once((members: Model['members'], materials: Model['materials'], cases: Model['cases']): Notice[] => {
  if (!cases.some((loadCase) => (loadCase.selfWeight ?? 0) !== 0)) return [];
  const used = new Set(members.map((member) => member.material));
  return materials
    .filter((material) => used.has(material.id) && material.density === undefined)
    .map(({ id }) => ({
      code: 'no-density',
      severity: 'warning',
      message: `Self weight is switched on, but material ${id} has no density: its members weigh nothing.`,
      subjects: [`material ${id}`],
    }));
});
