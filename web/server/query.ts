import type { ClassConstructor } from 'class-transformer';
import { fault } from '@rigid-beam/core/model/notice';
import { badRequest } from './respond';
import { validated, type Read } from './read-request';

/** What stands behind the ? of an address, as a class of texts. What is said twice is refused: one of both would be lost. */
export async function readQuery<T extends object>(request: Request, type: ClassConstructor<T>): Promise<Read<T>> {
  const said = [...new URL(request.url).searchParams];
  const names = said.map(([name]) => name);
  const twice = names.find((name, i) => names.indexOf(name) < i);
  if (twice === undefined) return validated(Object.fromEntries(said), type);
  const one = { code: 'said-twice', path: twice, value: undefined, what: `“${twice}” is said twice in the address` };
  return { ok: false, response: badRequest([fault({ ...one, expected: 'each once', remedy: 'Say it once, with commas between several' })]) }; // oxfmt-ignore
}
