import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { FONT_PATHS, TypeFamily } from '../paper/type-family';

const packages = createRequire(__filename);

/** The shipped type family. */
export function shippedFamily(): TypeFamily {
  const files = (weight: keyof typeof FONT_PATHS): Uint8Array[] =>
    FONT_PATHS[weight].map((path) => new Uint8Array(readFileSync(packages.resolve(path))));
  return new TypeFamily({ regular: files('regular'), strong: files('strong') });
}
