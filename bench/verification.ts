import { closedForms } from '@rigid-beam/core/test/closed-forms/all';
import { influenceForms } from '@rigid-beam/core/test/closed-forms/influence';
import { linesOf } from '@rigid-beam/core/test/influence';
import { ordinateAt } from '@rigid-beam/core/results/travelling/line';
import { halfUnit, published } from '@rigid-beam/core/test/closed-forms/published';
import { publishedSections } from '@rigid-beam/core/test/published-sections';
import { printedScale, printedUnit, type PrintedKey } from '@rigid-beam/core/test/published-table';
import { listed, plasticOf } from '@rigid-beam/core/sections/catalogue/listed';
import { shapeCalled } from '@rigid-beam/core/sections/catalogue/search';
import { sketch, solved } from '@rigid-beam/core/test/build';

/** The verification book as text: each closed form with its value, ours, and the difference relative to its size. */
const capital = (name: string): string => name.replace(/^./, (c) => c.toUpperCase());
const rows: string[] = [];
let worst = 0;
let count = 0;
let worstLine = 0;
for (const [name, model, checks] of closedForms) {
  const reading = solved(sketch(model));
  rows.push(`\n## ${capital(name)}\n\n| quantity | theory | Rigid Beam | difference |\n|---|---|---|---|`);
  for (const [what, ours, theory, size = Math.abs(theory)] of checks) {
    const difference = Math.abs(ours(reading) - theory) / size;
    worst = Math.max(worst, difference);
    count++;
    const show = (value: number): string => (Math.abs(value) < 1e-9 * size ? '0' : value.toPrecision(10));
    rows.push(`| ${what.replace(/\|/g, '\\|')} | ${show(theory)} | ${show(ours(reading))} | ${difference.toExponential(1)} |`);
  }
}
const lines = influenceForms.map(([name, model, way, effect, theory]) => {
  const [line] = linesOf(model, way, [effect]);
  const size = Math.max(...theory.map(([, value]) => Math.abs(value)));
  const values = theory.map(([s, value]) => {
    const ours = ordinateAt(line!, s);
    const difference = Math.abs(ours - value) / size;
    worstLine = Math.max(worstLine, difference);
    const show = (one: number): string => (Math.abs(one) < 1e-9 * size ? '0' : one.toPrecision(10));
    return `| ${Number(s.toPrecision(6))} | ${show(value)} | ${show(ours)} | ${difference.toExponential(1)} |`;
  });
  return `\n### ${capital(name)}\n\n| load at, m | theory | Rigid Beam | difference |\n|---|---|---|---|\n${values.join('\n')}`;
});
const books = published.map(([name, model, checks]) => {
  const reading = solved(sketch(model));
  const lines = checks.map(([what, ours, printed]) => {
    const value = ours(reading);
    const digits = printed.split('.')[1]?.length ?? 0;
    const difference = Math.abs(value - Number(printed)) / (2 * halfUnit(printed));
    return `| ${what} | ${printed} | ${value.toFixed(digits + 3)} | ${difference.toFixed(2)} |`;
  });
  return `\n### ${capital(name)}\n\n| quantity | printed | Rigid Beam | difference, units of the last digit |\n|---|---|---|---|\n${lines.join('\n')}`;
});
const tables = publishedSections.map(({ family, names, printed, unit }) => {
  const keys = Object.keys(printed) as PrintedKey[];
  const lines = names.map((name, i) => {
    const one = shapeCalled(name)!;
    const ours = { ...listed(one), ...plasticOf(one) };
    const pair = (key: PrintedKey): string => `${printed[key]![i]} | ${(ours[key]! * printedScale(key, unit)).toPrecision(6)}`;
    return `| ${name} | ${keys.map(pair).join(' | ')} |`;
  });
  const head = keys.map((key) => `${key} printed (${printedUnit(key, unit)}) | Rigid Beam`).join(' | ');
  return `\n### ${family}\n\n| shape | ${head} |\n|---|${keys.map(() => '---|---|').join('')}\n${lines.join('\n')}`;
});
console.log(`# Verification

Written by \`npm run verification\` from the very cases that the tests hold to 1e-9 (\`core/test/closed-forms/\`): statics, slope
deflection, the force method and virtual work. SI units; signs as in [the model format](model-format.md). A difference is relative to
the value, or to the size of its neighbours where the value is zero.

${closedForms.length} structures, ${count} values; the largest difference is ${worst.toExponential(1)}. After them stand
${published.length} from books.
${rows.join('\n')}

## Influence lines

A load of 1 N stands at some places of its path; ordinates are the reaction, force, moment (per newton) or displacement that it brings about. The largest
difference is ${worstLine.toExponential(1)} of the largest ordinate.
${lines.join('\n')}

## Published values

Books print a few digits, so that a difference of 1e-9 cannot be shown: ours must agree to half a unit of the last printed digit.
${books.join('\n')}

## Sections of standards

Tables print three or four digits, from the same dimensions that the catalogue holds; ours are computed from these dimensions with all
radii, and agree to half a unit of the last printed digit. A dash stands where a table prints what follows from other rounded numbers, or
from dimensions before they were rounded (Australian beams and columns: up to 0.5 %). Not compared, since tables and dimensions do not belong
together: shapes with tapered flanges about the weak axis, which tables print up to 0.5 % larger (IPN, UPN) or up to 5 % larger (ISMC, of
which A, Iz and the centroid agree), UPE about the weak axis, American W and HSS, whose printed values follow from finer dimensions and
thicknesses. Flats, squares and rounds are closed forms.
${tables.join('\n')}`);
