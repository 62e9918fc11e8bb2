import { fault, type Notice } from '../../model/notice';
import type { Point } from '../../model/point';
import type { StepFile } from '../step/read-step';
import { spelled } from '../step/engine';
import { Choice, Measure, Reference, type StepEntity } from '../step/values';
import { fromFile } from './axes';
import { Units } from './units';
import { ifcReading as WORDS } from './words';

/** A file of IFC while it is read: what has been looked at, and what is wrong. */
export class Reading {
  readonly notices: Notice[] = [];
  /** How a vector along the axes of the file lies along ours. */
  turned: (vector: Point) => Point = fromFile;
  units = new Units(this, undefined);
  private readonly seen = new Set<number>();
  private readonly byType = new Map<string, number[]>();
  private readonly told = new Set<number>();

  constructor(readonly file: StepFile) {
    for (const { id, type } of file.places) {
      const list = this.byType.get(type);
      if (list) list.push(id);
      else this.byType.set(type, [id]);
    }
  }

  /** All entities of some types that are understood. */
  all(...types: readonly string[]): StepEntity[] {
    return types.flatMap((type) => (this.byType.get(type.toUpperCase()) ?? []).flatMap((id) => this.entity(id) ?? []));
  }

  /** How many entities of a type there are, and in which line the first of them. */
  count(type: string): number {
    return this.byType.get(type.toUpperCase())?.length ?? 0;
  }

  private entity(id: number, from?: StepEntity): StepEntity | undefined {
    const found = this.file.entity(id);
    if (typeof found !== 'string') {
      this.seen.add(id);
      return found;
    }
    if (!this.told.has(id)) {
      const line = this.file.places.find((one) => one.id === id)?.line ?? from?.line;
      this.say('error', line, WORDS.broken(found), WORDS.mend);
    }
    this.told.add(id);
    return undefined;
  }

  /** What an attribute refers to. */
  ref(entity: StepEntity, name: string): StepEntity | undefined {
    const value = entity.attributes[name];
    return value instanceof Reference ? this.entity(value.id, entity) : undefined;
  }

  refs(entity: StepEntity, name: string): StepEntity[] {
    const value = entity.attributes[name];
    if (!Array.isArray(value)) return [];
    return value.flatMap((one) => (one instanceof Reference ? (this.entity(one.id, entity) ?? []) : []));
  }

  /** The numbers of what an attribute refers to, without a look at it. */
  ids(entity: StepEntity, name: string): number[] {
    const value = entity.attributes[name];
    const list = Array.isArray(value) ? value : [value];
    return list.flatMap((one) => (one instanceof Reference ? [one.id] : []));
  }

  text(entity: StepEntity, name: string): string | undefined {
    const value = entity.attributes[name];
    return typeof value === 'string' && value !== '' ? value : undefined;
  }

  choice(entity: StepEntity, name: string): string | undefined {
    const value = entity.attributes[name];
    return value instanceof Choice ? value.name : undefined;
  }

  /** A number in SI. */
  number(entity: StepEntity, name: string): number | undefined {
    const value = entity.attributes[name];
    return value instanceof Measure ? this.units.inSi(value, entity) : undefined;
  }

  /** A number in SI that must be there. */
  needed(entity: StepEntity, name: string): number {
    const value = this.number(entity, name);
    if (value === undefined) this.fault(entity, WORDS.lacks(name), WORDS.mend);
    return value ?? Number.NaN;
  }

  /** Three numbers in SI by the names of their attributes; nothing where none is said. */
  vector(entity: StepEntity, names: readonly string[]): Point | undefined {
    const parts = names.map((name) => this.number(entity, name));
    return parts.every((part) => part === undefined) ? undefined : (parts.map((part) => part ?? 0) as unknown as Point);
  }

  /** The numbers of a list, in SI. */
  numbers(entity: StepEntity, name: string): number[] {
    const value = entity.attributes[name];
    if (!Array.isArray(value)) return [];
    return value.flat().flatMap((one) => (one instanceof Measure ? [this.units.inSi(one, entity)] : []));
  }

  /** What cannot be taken as it is: nothing of the file is. */
  fault(entity: StepEntity | undefined, what: string, remedy: string): void {
    this.say('error', entity?.line, entity ? WORDS.of(spelled(entity.type), nameOf(entity), what) : what, remedy);
  }

  /** What is left out, or taken otherwise than it may have been meant. */
  warn(entity: StepEntity | undefined, what: string): void {
    this.say('warning', entity?.line, entity ? WORDS.of(spelled(entity.type), nameOf(entity), what) : what);
  }

  /** Things of one kind that are left out. */
  leftOut([first]: readonly StepEntity[], what: string): void {
    this.say('warning', first?.line, first ? WORDS.firstOf(what, nameOf(first)) : what);
  }

  note(what: string): void {
    this.say('note', undefined, what);
  }

  private say(severity: Notice['severity'], line: number | undefined, what: string, remedy?: string): void {
    const text = line === undefined ? what : WORDS.inLine(line, what);
    const path = line === undefined ? '' : `line ${line}`;
    if (severity === 'error')
      this.notices.push(fault({ code: 'ifc', path, value: undefined, what: text, expected: WORDS.expected, remedy: remedy! }));
    else this.notices.push({ code: 'ifc', severity, message: `${text}.`, subjects: [], ...(path && { path }) });
  }

  /** What nobody looked at, by type: how many there are, and the line of the first. */
  unseen(): readonly { readonly type: string; readonly count: number; readonly line: number }[] {
    const found = new Map<string, { type: string; count: number; line: number }>();
    for (const { id, type, line } of this.file.places) {
      if (this.seen.has(id)) continue;
      const one = found.get(type);
      if (one) one.count++;
      else found.set(type, { type, count: 1, line });
    }
    return [...found.values()];
  }

  /** What stands around a structure needs no look. */
  passOver(type: string): void {
    this.mark(this.byType.get(type.toUpperCase()) ?? []);
  }

  mark(ids: Iterable<number>): void {
    for (const id of ids) this.seen.add(id);
  }
}

const nameOf = ({ attributes, id }: StepEntity): string => {
  const name = attributes['Name'] ?? attributes['ProfileName'];
  return typeof name === 'string' && name !== '' ? `“${name}”` : `#${id}`;
};
