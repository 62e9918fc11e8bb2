import { outlineProperties } from '../built/properties';
import { linesOf } from '../lines-of';
import { catalogue } from './all';
import type { CatalogueShape } from './family';
import { isMeshedInCatalogue } from './meshed';

/** The line of a shape in the table of values: J in cm⁴, Ay and Az in cm², with five digits. */
export function meshedLine({ shape }: CatalogueShape): string {
  const { J, Ay = 0, Az = 0 } = outlineProperties(linesOf(shape));
  return [J * 1e8, Ay * 1e4, Az * 1e4].map((value) => Number(value.toPrecision(5))).join(' ');
}

/** The source of the table of values, made anew from the meshes of all shapes. */
export function meshedSource(): string {
  const lines = new Map<string, string[]>();
  for (const one of catalogue()) {
    if (!isMeshedInCatalogue(one.shape)) continue;
    const list = lines.get(one.family.id);
    if (list) list.push(meshedLine(one));
    else lines.set(one.family.id, [meshedLine(one)]);
  }
  const entries = [...lines].map(([id, rows]) => `  '${id}': \`\n${rows.join('\n')}\`,\n`);
  return `// Made by \`npm run meshed\`: J (cm⁴), Ay and Az (cm²) of the shapes of each family in its order, from their meshes.\nexport const meshedValues: { readonly [family: string]: string } = {\n${entries.join('')}};\n`;
}
