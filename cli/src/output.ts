import type { FilePart } from '@rigid-beam/core/formats/format';
import { joined } from '@rigid-beam/core/formats/json-parts';

/** Prints the parts of a file on standard output, no faster than they are taken. */
export async function print(parts: Iterable<FilePart>): Promise<void> {
  for (const part of joined(parts))
    await new Promise<void>((resolve, reject) => process.stdout.write(part, (error) => (error ? reject(error) : resolve())));
}
