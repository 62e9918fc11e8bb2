import { open } from 'node:fs/promises';
import type { Checked } from '@rigid-beam/core/model/check';
import { tooLarge } from '@rigid-beam/core/formats/model-file';
import { FILE_BYTES } from '@rigid-beam/core/limits';
import { formatOfName } from '@rigid-beam/core/formats/registry';
import { fault, type Notice } from '@rigid-beam/core/model/notice';
import { withSettings } from '@rigid-beam/core/model/parameters/set-parameters';
import { filled } from '@rigid-beam/core/sections/catalogue/fill';

/** What parameters of the models that are read are set to, as `--set` says it. */
let settings: readonly (readonly [name: string, text: string])[] = [];
export const setParameters = (typed: readonly string[]): void => {
  settings = typed.map((one) => [one.split('=')[0]!.trim(), one.slice(one.indexOf('=') + 1)]);
};

/** Reads a model from a file, or from standard input when the name is `-`, with its parameters as they were set. */
export async function readInput(file: string): Promise<Checked> {
  const bytes = await readBytes(file);
  if (!(bytes instanceof Uint8Array)) return { notices: [bytes] };
  const format = formatOfName(file);
  await format.ready?.();
  const read = filled(format.reader.read(bytes));
  if (!read.model || settings.length === 0) return read;
  const { model, notices } = withSettings(read.model, settings);
  return { ...(model && { model }), notices: [...read.notices, ...notices] };
}

/** The text of a file, or of standard input when the name is `-`; or why it cannot be read. */
export async function readText(file: string): Promise<string | Notice> {
  const bytes = await readBytes(file);
  return bytes instanceof Uint8Array ? bytes.toString() : bytes;
}

/** The bytes of a file, or of standard input when the name is `-`; or why it cannot be read. */
export async function readBytes(file: string): Promise<Buffer | Notice> {
  const chunks: Buffer[] = [];
  let size = 0;
  try {
    const stream = file === '-' ? process.stdin : (await open(file)).createReadStream();
    for await (const chunk of stream) {
      size += (chunk as Buffer).length;
      if (size > FILE_BYTES) return tooLarge(size);
      chunks.push(chunk as Buffer);
    }
  } catch (error) {
    const reason = (error as NodeJS.ErrnoException).code === 'ENOENT' ? 'there is no such file' : (error as Error).message;
    return fault({
      code: 'unreadable',
      path: '',
      value: file,
      what: `The file cannot be read: ${reason}`,
      expected: 'a readable file',
      remedy: 'Check the name',
    });
  }
  return Buffer.concat(chunks);
}

/** Notices as readable lines on standard error, with their places in the file. */
export function printNotices(notices: readonly Notice[]): void {
  const words = { error: 'Fault', warning: 'Warning', note: 'Note' } as const;
  for (const { severity, message, path } of notices) console.error(`${words[severity]}: ${message}${path ? ` [${path}]` : ''}`);
}
