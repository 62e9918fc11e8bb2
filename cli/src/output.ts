import { joined } from '@rigid-beam/core/formats/json-parts';

/** Prints the parts of a text on standard output, no faster than they are taken. */
export async function print(parts: Iterable<string>): Promise<void> {
  for (const text of joined(parts))
    await new Promise<void>((resolve, reject) => process.stdout.write(text, (error) => (error ? reject(error) : resolve())));
}
