import { canBeOf } from '@rigid-beam/core/materials/fitting';
import { counted } from '@rigid-beam/core/counted';
import { materialOf, standardMaterials } from '@rigid-beam/core/materials/standard';
import type { Intent } from '@rigid-beam/core/model/edits/intent';
import type { Model } from '@rigid-beam/core/model/model';
import { brought as WORDS } from './words';

/** Members that are of another material now, since their shape comes in it. */
export interface Brought {
  readonly material: string;
  readonly members: readonly string[];
  readonly words: string;
  /** Grades of its kind that could be meant instead; only asked for when the first of its kind comes into the model. */
  readonly grades: readonly string[];
}

/** What a shape of the catalogue has changed besides: steel to timber, or the other way. Cost: linear in the model. */
export function broughtBy(before: Model, after: Model, intent: Intent): Brought | undefined {
  if (intent.type !== 'batch') return undefined;
  const members = new Map(before.members.map((member) => [member.id, member]));
  const metals = new Map([...before.materials, ...after.materials].map((one) => [one.id, canBeOf('steel', one)]));
  const shapes = new Set(after.sections.flatMap(({ id, catalogue }) => (catalogue === undefined ? [] : [id])));
  const changed: string[] = [];
  let brought: string | undefined;
  for (const one of intent.intents) {
    if (one.type !== 'put' || one.list !== 'members' || typeof one.key !== 'string') continue;
    const { material, section } = one.entry as { readonly material?: unknown; readonly section?: unknown };
    const was = members.get(one.key);
    if (!was || typeof material !== 'string' || typeof section !== 'string' || !shapes.has(section)) continue;
    if (metals.get(was.material) === metals.get(material)) continue;
    brought = material;
    changed.push(one.key);
  }
  if (brought === undefined) return undefined;
  const isNew = before.materials.every(({ id }) => id !== brought);
  return {
    material: brought,
    members: changed,
    words: WORDS.material(counted(changed.length, 'member'), brought),
    grades: isNew ? gradesLike(brought) : [],
  };
}

function gradesLike(material: string): readonly string[] {
  const group = standardMaterials.find(({ id }) => id === material)?.group;
  return standardMaterials.filter((one) => one.group === group).map(({ id }) => id);
}

/** The edit that takes another grade for what was brought; the one that came is swept out where nobody else has it. */
export function otherGrade({ material, members }: Brought, grade: string, model: Model): Intent | undefined {
  const standard = standardMaterials.find(({ id }) => id === grade);
  if (!standard || grade === material) return undefined;
  const wanted = new Set(members);
  const changed = model.members.filter((member) => wanted.has(member.id) && member.material === material);
  const isLeft = model.members.some((member) => member.material === material && !wanted.has(member.id));
  const label = WORDS.grade(grade, counted(changed.length, 'member'));
  return {
    type: 'batch',
    intents: [
      ...(model.materials.some(({ id }) => id === grade)
        ? []
        : [{ type: 'put', list: 'materials', entry: { ...materialOf(standard) } } as const]),
      ...changed.map(
        (member) => ({ type: 'put', list: 'members', entry: { ...member, material: grade }, key: member.id }) as const,
      ),
      ...(isLeft ? [] : [{ type: 'remove', list: 'materials', keys: [material] } as const]),
    ],
    label,
  };
}
