import type { Model } from '../model/model';
import type { Notice } from '../model/notice';
import { onceFor } from './once-for';
import { unjoinedNodes } from './unjoined-nodes';

/** Things worth saying about a model that can be solved. */
export const analysisNotes = (model: Model): readonly Notice[] => [
  ...loneNodes(model),
  ...unjoinedNodes(model),
  ...weightlessNotes(model),
  ...rigidInShearNotes(model),
];

const usedNodes = new WeakMap<Model['members'], ReadonlySet<string>>();

/** The nodes that members join, found once for a list of members. */
function nodesUsedBy(members: Model['members']): ReadonlySet<string> {
  let used = usedNodes.get(members);
  if (!used) usedNodes.set(members, (used = new Set(members.flatMap(({ start, end }) => [start, end]))));
  return used;
}

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

const rigidInShearNotes = onceFor(['analysis', 'materials'], (model) => {
  const notes: Notice[] = [];
  if (!model.analysis?.shearDeformation) return notes;
  const materials = new Map(model.materials.map((material) => [material.id, material]));
  const stiff = model.members.filter((member) => {
    const material = materials.get(member.material);
    return material?.G === undefined && material?.nu === undefined;
  });
  if (stiff.length > 0) {
    notes.push({
      code: 'no-shear-modulus',
      severity: 'warning',
      message: `Shear deformation is switched on, but the material of ${stiff.length} members has neither G nor nu: they are taken as rigid in shear.`,
      subjects: stiff.slice(0, 20).map((member) => `member ${member.id}`),
    });
  }
  return notes;
});

const weightlessNotes = onceFor(['cases', 'materials'], (model) => {
  if (!model.cases.some((loadCase) => (loadCase.selfWeight ?? 0) !== 0)) return [];
  const used = new Set(model.members.map((member) => member.material));
  return model.materials
    .filter((material) => used.has(material.id) && material.density === undefined)
    .map(({ id }) => ({
      code: 'no-density',
      severity: 'warning',
      message: `Self weight is switched on, but material ${id} has no density: its members weigh nothing.`,
      subjects: [`material ${id}`],
    }));
});
