import type { Scope } from '../quantities/expression';
import { placeWords } from './place-words';
import { fault, type FaultDetail, type Notice } from './notice';

export type Entity = Record<string, unknown>;

/** Collects what a reader finds; a path is built only when something is reported. */
export class Findings {
  readonly notices: Notice[] = [];
  /** `root` is what all paths lead into: places are said by the names in it. */
  constructor(private readonly root?: unknown) {}
  /** True once something had to be read otherwise than it stood: a quantity in a text, a missing list. */
  converted = false;
  /** What names in texts stand for. */
  scope: Scope | undefined;
  /** Texts that mention names, and where they stand. */
  readonly expressions: { readonly path: string; readonly text: string }[] = [];
  fault(detail: FaultDetail): undefined {
    this.notices.push(fault(detail, this.root));
    return undefined;
  }
  unknownKey(path: string, key: string): void {
    const where = placeWords(path.slice(0, -key.length), this.root);
    this.notices.push({
      code: 'unknown-key',
      severity: 'note',
      message: `The key “${key}”${where ? ` (${where})` : ''} is not part of the format: it is kept, and has no effect.`,
      subjects: [],
      path,
    });
  }
}

export const isObject = (value: unknown): value is Entity => typeof value === 'object' && value !== null && !Array.isArray(value);
