import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { FONT_PATHS, TypeFamily } from '@rigid-beam/drawing/paper/type-family';

export const packages = createRequire(import.meta.url);

/** The shipped type family, from the packages that bring it. */
export async function readFamily(): Promise<TypeFamily> {
  const fonts = (weight: keyof typeof FONT_PATHS): Promise<Uint8Array[]> =>
    Promise.all(FONT_PATHS[weight].map((path) => readFile(packages.resolve(path))));
  return new TypeFamily({ regular: await fonts('regular'), strong: await fonts('strong') });
}
