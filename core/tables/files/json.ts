import { isSpan, type Table } from '../column';

/** Rows of one part. */
const TOGETHER = 500;

/** A table as JSON, part by part: columns with their units, and rows of words, numbers in these units, or from the least to the greatest. */
export function* jsonParts<R>({ title, columns, rows }: Table<R>): Generator<string> {
  const heads = columns.map(({ key, title: name, unit }) => ({ key, title: name, ...(unit !== undefined && { unit }) }));
  yield `{"format":"rigid-beam/table","version":1,"title":${JSON.stringify(title)},"columns":${JSON.stringify(heads)},"rows":[`;
  for (let first = 0; first < rows.length; first += TOGETHER) {
    const cells = rows.slice(first, first + TOGETHER).map((row) =>
      JSON.stringify(
        columns.map(({ value }) => {
          const found = value(row);
          return isSpan(found) ? [found.min, found.max] : (found ?? null);
        }),
      ),
    );
    yield (first === 0 ? '\n' : ',\n') + cells.join(',\n');
  }
  yield '\n]}\n';
}
