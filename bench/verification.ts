import { closedForms } from '@rigid-beam/core/test/closed-forms/all';
import { sketch, solved } from '@rigid-beam/core/test/build';

/** The verification book as text: each closed form with its value, ours, and the difference relative to its size. */
const rows: string[] = [];
let worst = 0;
let count = 0;
for (const [name, model, checks] of closedForms) {
  const reading = solved(sketch(model));
  rows.push(
    `\n## ${name.replace(/^./, (c) => c.toUpperCase())}\n\n| quantity | theory | Rigid Beam | difference |\n|---|---|---|---|`,
  );
  for (const [what, ours, theory, size = Math.abs(theory)] of checks) {
    const difference = Math.abs(ours(reading) - theory) / size;
    worst = Math.max(worst, difference);
    count++;
    const show = (value: number): string => (Math.abs(value) < 1e-9 * size ? '0' : value.toPrecision(10));
    rows.push(`| ${what.replace(/\|/g, '\\|')} | ${show(theory)} | ${show(ours(reading))} | ${difference.toExponential(1)} |`);
  }
}
console.log(`# Verification

Written by \`npm run verification\` from the very cases that the tests hold to 1e-9 (\`core/test/closed-forms/\`): statics, slope
deflection, the force method and virtual work. SI units; signs as in [the model format](model-format.md). A difference is relative to
the value, or to the size of its neighbours where the value is zero.

${closedForms.length} structures, ${count} values; the largest difference is ${worst.toExponential(1)}.
${rows.join('\n')}`);
