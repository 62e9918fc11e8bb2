import { counted } from '@rigid-beam/core/counted';
import type { Intent } from '@rigid-beam/core/model/edits/intent';
import type { Model } from '@rigid-beam/core/model/model';
import { brought as WORDS } from './words';

/** What a shape has changed besides: members that are of another material now, said once with the way to another grade. */
export function broughtWords(before: Model, intent: Intent): readonly string[] {
  if (intent.type !== 'batch') return [];
  const members = new Map(before.members.map((member) => [member.id, member]));
  const found = new Map<string, number>();
  for (const one of intent.intents) {
    if (one.type !== 'put' || one.list !== 'members' || typeof one.key !== 'string') continue;
    const { material, section } = one.entry as { readonly material?: unknown; readonly section?: unknown };
    const was = members.get(one.key);
    if (was && typeof material === 'string' && was.material !== material && was.section !== section)
      found.set(material, (found.get(material) ?? 0) + 1);
  }
  return [...found].map(([material, count]) => WORDS.material(counted(count, 'member'), material));
}
