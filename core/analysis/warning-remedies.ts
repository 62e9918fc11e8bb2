import { withConstantLike } from '../materials/constants-like';
import type { Intent } from '../model/edits/intent';
import type { Material, Model } from '../model/model';
import type { Notice } from '../model/notice';
import { displayOf, unitOf, type DisplayUnits } from '../quantities/display';
import { showNumber, showQuantity } from '../quantities/show';

/** An edit that would answer a warning, in the words of its button. */
export interface WarningRemedy {
  readonly words: string;
  readonly intent: Intent;
}

/** What can be done at once about a warning; undefined where somebody has to think. */
export function remedyOfWarning(model: Model, { code, subjects }: Notice): WarningRemedy | undefined {
  switch (code) {
    case 'no-density': {
      const named = new Set(namesOf(subjects, 'material'));
      return ofMaterials(
        model,
        model.materials.filter(({ id }) => named.has(id)),
        'density',
      );
    }
    case 'no-shear-modulus': {
      const used = new Set(model.members.map(({ material }) => material));
      const lacking = model.materials.filter(({ id, G, nu }) => used.has(id) && G === undefined && nu === undefined);
      return ofMaterials(model, lacking, 'shear');
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

/** All materials get what they lack, each that of the standard one like it, or there is no remedy. */
function ofMaterials(model: Model, materials: readonly Material[], key: 'density' | 'shear'): WarningRemedy | undefined {
  const found = materials.flatMap((material) => withConstantLike(material, key) ?? []);
  if (found.length === 0 || found.length < materials.length) return undefined;
  const value = key === 'density' ? densityWords(displayOf(model)) : shearWords;
  const words = `Take ${[...new Set(found.map(({ material, like }) => `${value(material)}, as for ${like.id}`))].join(', and ')}`;
  const intents = found.map(({ material }): Intent => ({
    type: 'put',
    list: 'materials',
    entry: { ...material },
    key: material.id,
  }));
  return { words, intent: intents.length === 1 ? intents[0]! : { type: 'batch', intents, label: words } };
}

const densityWords =
  (display: DisplayUnits) =>
  ({ density }: Material): string =>
    showQuantity(density!, unitOf('density', display));
const shearWords = ({ nu, G }: Material): string =>
  nu === undefined ? `G = ${showNumber((G ?? 0) / 1e9)} GPa` : `Poisson’s ratio ${showNumber(nu)}`;
