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
  IsOptional,
  IsString,
  Length,
  MaxLength,
  Min,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import type { Patch } from 'immer';
import { keyedLists, type KeyedList } from '@rigid-beam/core/model/edits/keyed-lists';
import type { MergePair } from '@rigid-beam/core/model/edits/merge';
import type { Motion } from '@rigid-beam/core/model/edits/motion';
import type { Part } from '@rigid-beam/core/model/edits/insert';
import type { Taken } from '@rigid-beam/core/model/edits/repeat';
import type { Member, Model, ModelNode } from '@rigid-beam/core/model/model';
import type { AxisName } from '@rigid-beam/core/model/point';
import { revisionKinds, type RevisionKind } from '@rigid-beam/core/model/edits/revision';

// What the entries of an intent must hold is the model's own check; these classes see to the frame around them.
const listNames = Object.keys(keyedLists);
const intentTypes = [
  'put draw moveNodes stretch transform repeat split join joints removeDoubled merge insert rename underlay',
  'remove set batch patch',
].flatMap((words) => words.split(' '));
const MANY = 100_000;
/** What a batch may hold; filled below, once every class is known. */
const batchable: { name: string; value: new () => object }[] = [];

/** X, Y, Z. */
const IsPoint = (): PropertyDecorator =>
  applied(IsArray(), ArrayMinSize(3), ArrayMaxSize(3), IsNumber({ allowNaN: false, allowInfinity: false }, { each: true }));
const IsNames = (): PropertyDecorator =>
  applied(IsArray(), ArrayMaxSize(MANY), IsString({ each: true }), Length(1, 64, { each: true }));
const applied =
  (...decorators: PropertyDecorator[]): PropertyDecorator =>
  (target, key) =>
    decorators.forEach((decorate) => decorate(target, key));

class IntentRequest {
  @IsIn(intentTypes) type: string;
}

class PutRequest extends IntentRequest {
  @IsIn(listNames) list: KeyedList;
  @IsObject() entry: Record<string, unknown>;
  @IsOptional() @IsString() @Length(1, 64) key?: string;
}

class DrawRequest extends IntentRequest {
  @IsArray() @ArrayMaxSize(MANY) @IsObject({ each: true }) nodes: ModelNode[];
  @IsArray() @ArrayMaxSize(MANY) @IsObject({ each: true }) members: Member[];
}

class NodeMoveRequest {
  @IsString() @Length(1, 64) id: string;
  @IsNumber({ allowNaN: false, allowInfinity: false }) x: number;
  @IsNumber({ allowNaN: false, allowInfinity: false }) y: number;
  @IsOptional() @IsNumber({ allowNaN: false, allowInfinity: false }) z?: number;
}

class MoveNodesRequest extends IntentRequest {
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(MANY)
  @ValidateNested({ each: true })
  @Type(() => NodeMoveRequest)
  moves: NodeMoveRequest[];
}

class StretchRequest extends IntentRequest {
  @IsIn(['x', 'y', 'z']) axis: AxisName;
  @IsNumber({ allowNaN: false, allowInfinity: false }) beyond: number;
  @IsNumber({ allowNaN: false, allowInfinity: false }) by: number;
  @IsOptional() @IsIn(['beyond', 'line']) what?: 'beyond' | 'line';
}

/** A move, turn or mirror; what each needs is checked by its kind. */
class MotionRequest {
  @IsIn(['move', 'turn', 'mirror']) kind: Motion['kind'];
  @ValidateIf(({ kind }: MotionRequest) => kind === 'move') @IsPoint() by?: number[];
  @ValidateIf(({ kind }: MotionRequest) => kind === 'turn') @IsPoint() about?: number[];
  @ValidateIf(({ kind }: MotionRequest) => kind === 'turn') @IsIn(['x', 'y', 'z']) axis?: AxisName;
  @ValidateIf(({ kind }: MotionRequest) => kind === 'turn')
  @IsNumber({ allowNaN: false, allowInfinity: false })
  degrees?: number;
  @ValidateIf(({ kind }: MotionRequest) => kind === 'mirror') @IsPoint() at?: number[];
  @ValidateIf(({ kind }: MotionRequest) => kind === 'mirror') @IsPoint() normal?: number[];
}

class TransformRequest extends IntentRequest {
  @IsNames() nodes: string[];
  @IsObject() @ValidateNested() @Type(() => MotionRequest) motion: MotionRequest;
}

class LinkRequest {
  @IsString() @Length(1, 64) section: string;
  @IsString() @Length(1, 64) material: string;
}

class RepeatRequest extends TransformRequest {
  @IsNames() members: string[];
  @IsInt() @Min(1) times: number;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => LinkRequest) link?: LinkRequest;
  @IsIn(['copied', 'left']) supports: Taken;
  @IsIn(['copied', 'left']) loads: Taken;
}

class CutsRequest {
  @IsString() @Length(1, 64) member: string;
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(1000)
  @IsNumber({ allowNaN: false, allowInfinity: false }, { each: true })
  at: number[];
}

class SplitRequest extends IntentRequest {
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(MANY) @ValidateNested({ each: true }) @Type(() => CutsRequest) cuts: CutsRequest[];
}

class MembersRequest extends IntentRequest {
  @IsNames() members: string[];
}

class MergeRequest extends IntentRequest {
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(MANY) @IsArray({ each: true }) pairs: MergePair[];
}

class InsertRequest extends IntentRequest {
  @IsObject() part: Part;
  @IsPoint() at: number[];
  @IsOptional() @IsString() @MaxLength(100) name?: string;
}

class RenameRequest extends IntentRequest {
  @IsIn(listNames) list: KeyedList;
  @IsObject() names: Record<string, string>;
}

class UnderlayRequest extends IntentRequest {
  @ValidateIf(({ change }: UnderlayRequest) => change !== null) @IsObject() change: object | null;
}

class BatchRequest extends IntentRequest {
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(MANY)
  @ValidateNested({ each: true })
  @Type(() => IntentRequest, { keepDiscriminatorProperty: true, discriminator: { property: 'type', subTypes: batchable } })
  intents: IntentRequest[];
  @IsOptional() @IsString() @MaxLength(200) label?: string;
}

class RemoveRequest extends IntentRequest {
  @IsIn(listNames) list: KeyedList;
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(MANY) @IsString({ each: true }) keys: string[];
}

class SetRequest extends IntentRequest {
  @IsObject() settings: Partial<Model>;
}

class RemoveDoubledRequest extends IntentRequest {}

class PatchRequest extends IntentRequest {
  @IsArray() @ArrayMaxSize(MANY) @IsObject({ each: true }) patches: Patch[];
}

const single = [
  { name: 'put', value: PutRequest },
  { name: 'draw', value: DrawRequest },
  { name: 'moveNodes', value: MoveNodesRequest },
  { name: 'stretch', value: StretchRequest },
  { name: 'transform', value: TransformRequest },
  { name: 'repeat', value: RepeatRequest },
  { name: 'split', value: SplitRequest },
  { name: 'join', value: MembersRequest },
  { name: 'joints', value: MembersRequest },
  { name: 'removeDoubled', value: RemoveDoubledRequest },
  { name: 'merge', value: MergeRequest },
  { name: 'insert', value: InsertRequest },
  { name: 'rename', value: RenameRequest },
  { name: 'underlay', value: UnderlayRequest },
  { name: 'remove', value: RemoveRequest },
  { name: 'set', value: SetRequest },
];
// A batch may hold a batch; the depth of the body is bounded.
batchable.push(...single, { name: 'batch', value: BatchRequest });

/** One edit of a model, on top of the revision that the sender knows. */
export class RevisionRequest {
  @IsInt() @Min(0) base: number;
  @IsString() @Length(8, 64) edit: string;
  @IsIn(revisionKinds) kind: RevisionKind;
  @IsString() @MaxLength(200) label: string;

  @IsObject()
  @ValidateNested()
  @Type(() => IntentRequest, {
    keepDiscriminatorProperty: true,
    discriminator: {
      property: 'type',
      subTypes: [...batchable, { name: 'patch', value: PatchRequest }],
    },
  })
  intent: IntentRequest;
}

/** A new model: empty with a title, or from the text of a file, whose name tells its format. */
export class CreateModelRequest {
  @IsString() @Length(1, 64) project: string;
  @IsOptional() @IsString() @Length(1, 200) title?: string;
  @IsOptional() @IsString() file?: string;
  @IsOptional() @IsString() @MaxLength(300) fileName?: string;
}
