import { withConstantLike } from '../materials/constants-like';
import type { Intent } from '../model/edits/intent';
import type { Model } from '../model/model';
import type { Notice } from '../model/notice';
import { showNumber } from '../quantities/show';

/** An edit that would answer a warning, in the words of its button. */
export interface WarningRemedy {
  readonly words: string;
  readonly intent: Intent;
}

/** What can be done at once about a warning; undefined where somebody has to think. */
export function remedyOfWarning(model: Model, { code, subjects }: Notice): WarningRemedy | undefined {
  switch (code) {
    case 'no-density':
      return ofMaterials(model, namesOf(subjects, 'material'), 'density');
    case 'no-shear-modulus': {
      const members = new Set(namesOf(subjects, 'member'));
      const names = new Set(model.members.filter(({ id }) => members.has(id)).map(({ material }) => material));
      return ofMaterials(model, [...names], 'shear');
    }
    case 'unjoined-node': {
      const [member] = namesOf(subjects, 'member');
      return member === undefined ? undefined : { words: 'Join them', intent: { type: 'joints', members: [member] } };
    }
    default:
      return undefined;
  }
}

const namesOf = (subjects: readonly string[], kind: string): string[] =>
  subjects.flatMap((subject) => (subject.startsWith(`${kind} `) ? [subject.slice(kind.length + 1)] : []));

/** All materials get what they lack, or there is no remedy. */
function ofMaterials(model: Model, names: readonly string[], key: 'density' | 'shear'): WarningRemedy | undefined {
  const found = names.map((name) => {
    const material = model.materials.find(({ id }) => id === name);
    return material && withConstantLike(material, key);
  });
  const [first] = found;
  if (!first || found.some((one) => one === undefined)) return undefined;
  const value = key === 'density' ? `${showNumber(first.material.density!)} kg/m³` : shearWords(first.material);
  const intents = found.map((one): Intent => ({
    type: 'put',
    list: 'materials',
    entry: { ...one!.material },
    key: one!.material.id,
  }));
  const words = `Take ${value}, as for ${first.like.id}`;
  return { words, intent: intents.length === 1 ? intents[0]! : { type: 'batch', intents, label: words } };
}

const shearWords = ({ nu, G }: Model['materials'][number]): string =>
  nu === undefined ? `G = ${showNumber((G ?? 0) / 1e9)} GPa` : `Poisson’s ratio ${showNumber(nu)}`;
