import type { Stage } from '@rigid-beam/core/formats/made-file';
import type { TypeFamily } from '../paper/type-family';

/** What a file of drawings is made with, which is another thing in a browser, a command and a server. */
export interface Tools {
  readonly family: () => Promise<TypeFamily>;
  /** Makes ready what draws pictures (`initWasm`). */
  readonly ready: () => Promise<unknown>;
  /** Hears what begins. */
  readonly told?: (stage: Stage) => void;
}

/** Ids or names with commas between them. */
export const listed = (text: string): string[] => text.split(',').map((one) => one.trim());
