import { namesIn } from '../../quantities/expression';

/** An expression in which parameters have other names. */
export function renamedIn(text: string, names: Readonly<Record<string, string>>): string {
  let result = '';
  let from = 0;
  for (const { text: name, at } of namesIn(text, (word) => Object.hasOwn(names, word))) {
    result += text.slice(from, at) + names[name]!;
    from = at + name.length;
  }
  return result + text.slice(from);
}
