import { Type } from 'class-transformer';
import { IsIn } from 'class-validator';

type Class = new () => object;

const names = new WeakMap<Class, string>();

/** A class under a name of its own, which no bundler shortens. */
export function called<C extends Class>(one: C, name: string): C {
  names.set(one, name);
  return Object.defineProperty(one, 'name', { value: name });
}

/** The name of a class that has one. */
export const calledOf = (one: Class): string | undefined => names.get(one);

/** A class, and the word by which it is chosen. */
export interface Named {
  readonly name: string;
  readonly value: Class;
}

/** What entries of a property are: of one class, or of that which a word of theirs chooses. */
export type Entries = { readonly of: () => Class } | { readonly by: string; readonly classes: readonly Named[] };

/** By prototype and property, for whoever describes the classes: the library that reads them keeps it to itself. */
const known = new Map<object, Map<string | symbol, Entries>>();

function remember(prototype: object, property: string | symbol, entries: Entries): void {
  const own = known.get(prototype) ?? new Map<string | symbol, Entries>();
  known.set(prototype, own.set(property, entries));
}

/** What the entries of a property of a class are. */
export const entriesOf = (target: Class, property: string): Entries | undefined =>
  known.get(target.prototype as object)?.get(property);

/** Entries of one class. */
export const Of =
  (of: () => Class): PropertyDecorator =>
  (prototype, property) => {
    remember(prototype, property, { of });
    Type(of)(prototype, property);
  };

/** An object whose property `type` (or another one) tells of which class it is. */
export const TypeByKind =
  (classes: readonly Named[], by = 'type'): PropertyDecorator =>
  (prototype, property) => {
    remember(prototype, property, { by, classes });
    // What is of no known kind is refused with the kinds that there are.
    const Unknown = class {};
    IsIn(classes.map(({ name }) => name))(Unknown.prototype, by);
    const discriminator = { property: by, subTypes: [...classes] };
    Type(() => Unknown, { keepDiscriminatorProperty: true, discriminator })(prototype, property);
  };
