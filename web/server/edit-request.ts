import 'reflect-metadata';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsIn,
  IsInt,
  IsNumber,
  IsObject,
  IsString,
  Length,
  MaxLength,
  Min,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import { MayBeLeftOut } from './may-be-left-out';
import { intentArguments, LONGEST, MANY, type Argument, type Arguments } from '@rigid-beam/core/model/edits/intent';

// The classes of an edit's frame, made from the table of its arguments. What the entries must hold is the model's own check.

type Class = new () => object;
/** A class, and the word by which it is chosen. */
interface Named {
  readonly name: string;
  readonly value: Class;
}

const finite = { allowNaN: false, allowInfinity: false } as const;
const many = [IsArray(), ArrayMinSize(1), ArrayMaxSize(MANY)];

/** An object whose property `type` (or another one) tells of which class it is. */
export function TypeByKind(classes: readonly Named[], property = 'type'): PropertyDecorator {
  // What is of no known kind is refused with the kinds that there are.
  const Unknown = class {};
  IsIn(classes.map(({ name }) => name))(Unknown.prototype, property);
  return Type(() => Unknown, { keepDiscriminatorProperty: true, discriminator: { property, subTypes: [...classes] } });
}

function decoratorsOf(argument: Argument): readonly PropertyDecorator[] {
  switch (argument.is) {
    case 'name':
      return [IsString(), Length(1, 64)];
    case 'names':
      return [IsArray(), ArrayMaxSize(MANY), IsString({ each: true }), Length(1, 64, { each: true })];
    case 'keys':
      return [...many, IsString({ each: true })];
    case 'words':
      return [IsString(), MaxLength(LONGEST)];
    case 'number':
      return [IsNumber(finite)];
    case 'numbers':
      return [IsArray(), ArrayMinSize(1), ArrayMaxSize(1000), IsNumber(finite, { each: true })];
    case 'count':
      return [IsInt(), Min(1)];
    case 'point':
      return [IsArray(), ArrayMinSize(3), ArrayMaxSize(3), IsNumber(finite, { each: true })];
    case 'object':
      return [IsObject()];
    case 'objectOrNull':
      return [ValidateIf((_, value) => value !== null), IsObject()];
    case 'objects':
      return [IsArray(), ArrayMaxSize(MANY), IsObject({ each: true })];
    case 'lists':
      return [...many, IsArray({ each: true })];
    case 'choice':
      return [IsIn([...argument.of])];
    case 'row':
      return [IsObject(), ValidateNested(), Type(() => classOf(argument.of))];
    case 'rows':
      return [...many, ValidateNested({ each: true }), Type(() => classOf(argument.of))];
    case 'kinds': {
      const classes = Object.entries(argument.of).map(([kind, own]) => named(kind, own, 'kind'));
      return [IsObject(), ValidateNested(), TypeByKind(classes, 'kind')];
    }
    case 'edits':
      // A batch may hold a batch; the depth of the body is bounded.
      return [...many, ValidateNested({ each: true }), TypeByKind(editClasses('as sent'))];
  }
}

const made = new Map<Arguments, Class>();

/** The class of objects with these arguments. */
function classOf(all: Arguments): Class {
  const before = made.get(all);
  if (before) return before;
  const Row = class {};
  made.set(all, Row);
  for (const [name, argument] of Object.entries(all))
    for (const decorate of [...(argument.optional ? [MayBeLeftOut()] : []), ...decoratorsOf(argument)])
      decorate(Row.prototype, name);
  return Row;
}

function named(word: string, all: Arguments, property: string): Named {
  class Kind extends classOf(all) {}
  IsIn([word])(Kind.prototype, property);
  return { name: word, value: Kind };
}

let edits: readonly Named[] | undefined;

/** The classes of all edits by their types. Patches are made by undo and redo only, and never lie in a batch. */
export function editClasses(which: 'as sent' | 'with patches'): readonly Named[] {
  edits ??= Object.entries(intentArguments).map(([type, all]) => named(type, all, 'type'));
  return which === 'as sent' ? edits.filter(({ name }) => name !== 'patch') : edits;
}
