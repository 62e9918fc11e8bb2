import { fault, type FaultDetail, type Notice } from './notice';

export type Entity = Record<string, unknown>;

/** Collects what a reader finds; a path is built only when something is reported. */
export class Findings {
  readonly notices: Notice[] = [];
  /** True once something had to be read otherwise than it stood: a quantity in a text, a missing list. */
  converted = false;
  fault(detail: FaultDetail): undefined {
    this.notices.push(fault(detail));
    return undefined;
  }
  unknownKey(path: string, key: string): void {
    this.notices.push({
      code: 'unknown-key',
      severity: 'note',
      message: `The key “${key}” at ${path} is not part of the format: it is kept, and has no effect.`,
      subjects: [],
      path,
    });
  }
}

export const isObject = (value: unknown): value is Entity => typeof value === 'object' && value !== null && !Array.isArray(value);
