import 'reflect-metadata';
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
  ValidateBy,
  ValidateNested,
} from 'class-validator';
import { MayBeLeftOut } from './may-be-left-out';
import { called, Of, TypeByKind, type Named } from './nested';
import { intentArguments, LONGEST, MANY, type Argument, type Arguments } from '@rigid-beam/core/model/edits/intent';

// The classes of an edit's frame, made from the table of its arguments. What the entries must hold is the model's own check.

type Class = new () => object;
const finite = { allowNaN: false, allowInfinity: false } as const;
const many = [IsArray(), ArrayMinSize(1), ArrayMaxSize(MANY)];

/** Null is something where it may stand. */
const IsObjectOrNull = (): PropertyDecorator =>
  ValidateBy({
    name: 'isObjectOrNull',
    validator: {
      validate: (value: unknown) => typeof value === 'object' && !Array.isArray(value),
      defaultMessage: () => '$property must be an object, or null',
    },
  });

const capital = (word: string): string => word.charAt(0).toUpperCase() + word.slice(1);

/** `name`: what a class of its entries is called. */
function decoratorsOf(argument: Argument, name: string): readonly PropertyDecorator[] {
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
      return [IsObjectOrNull()];
    case 'objects':
      return [IsArray(), ArrayMaxSize(MANY), IsObject({ each: true })];
    case 'lists':
      return [...many, IsArray({ each: true })];
    case 'choice':
      return [IsIn([...argument.of])];
    case 'row': {
      const Row = classOf(argument.of, name);
      return [IsObject(), ValidateNested(), Of(() => Row)];
    }
    case 'rows': {
      const Row = classOf(argument.of, name);
      return [...many, ValidateNested({ each: true }), Of(() => Row)];
    }
    case 'kinds': {
      const classes = Object.entries(argument.of).map(([kind, own]) =>
        named(kind, own, { property: 'kind', name: capital(kind) + name }),
      );
      return [IsObject(), ValidateNested(), TypeByKind(classes, 'kind')];
    }
    case 'edits':
      // A batch may hold a batch; the depth of the body is bounded.
      return [...many, ValidateNested({ each: true }), TypeByKind(editClasses('as sent'))];
  }
}

const made = new Map<Arguments, Class>();

/** The class of objects with these arguments, under a name that no other has. */
function classOf(all: Arguments, name: string): Class {
  const before = made.get(all);
  if (before) return before;
  const Row = called(class {}, name);
  made.set(all, Row);
  for (const [key, argument] of Object.entries(all))
    for (const decorate of [...(argument.optional ? [MayBeLeftOut()] : []), ...decoratorsOf(argument, name + capital(key))])
      decorate(Row.prototype, key);
  return Row;
}

function named(word: string, all: Arguments, { property, name }: { readonly property: string; readonly name: string }): Named {
  const Kind = called(class extends classOf(all, `${name}Arguments`) {}, name);
  IsIn([word])(Kind.prototype, property);
  return { name: word, value: Kind };
}

let edits: readonly Named[] | undefined;

/** The classes of all edits by their types. Patches are made by undo and redo only, and never lie in a batch. */
export function editClasses(which: 'as sent' | 'with patches'): readonly Named[] {
  edits ??= Object.entries(intentArguments).map(([type, all]) =>
    named(type, all, { property: 'type', name: `${capital(type)}Edit` }),
  );
  return which === 'as sent' ? edits.filter(({ name }) => name !== 'patch') : edits;
}
