import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { familyFrom, type TypeFamily } from '@rigid-beam/drawing/paper/type-family';

const packages = createRequire(import.meta.url);
export const readPackaged = (file: string): Promise<Buffer> => readFile(packages.resolve(file));

/** The shipped type family, from the packages that bring it. */
export const readFamily = (): Promise<TypeFamily> => familyFrom(readPackaged);
