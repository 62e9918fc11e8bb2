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
  ValidateNested,
} from 'class-validator';
import type { Patch } from 'immer';
import { keyedLists, type KeyedList } from '@rigid-beam/core/model/edits/intent';
import type { Member, Model, ModelNode } from '@rigid-beam/core/model/model';
import { revisionKinds, type RevisionKind } from '../db/schema';

// What the entries of an intent must hold is the model's own check; these classes see to the frame around them.
const listNames = Object.keys(keyedLists);
const MANY = 100_000;

class IntentRequest {
  @IsIn(['put', 'putLoad', 'draw', 'moveNodes', 'stretch', 'remove', 'removeLoads', 'set', 'patch'])
  type: string;
}

class PutRequest extends IntentRequest {
  @IsIn(listNames) list: KeyedList;
  @IsObject() entry: Record<string, unknown>;
  @IsOptional() @IsString() @Length(1, 64) key?: string;
}

class PutLoadRequest extends IntentRequest {
  @IsObject() load: Record<string, unknown>;
  @IsOptional() @IsInt() @Min(0) at?: number;
}

class DrawRequest extends IntentRequest {
  @IsArray() @ArrayMaxSize(MANY) @IsObject({ each: true }) nodes: ModelNode[];
  @IsArray() @ArrayMaxSize(MANY) @IsObject({ each: true }) members: Member[];
}

class NodeMoveRequest {
  @IsString() @Length(1, 64) id: string;
  @IsNumber({ allowNaN: false, allowInfinity: false }) x: number;
  @IsNumber({ allowNaN: false, allowInfinity: false }) y: number;
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
  @IsIn(['x', 'y']) axis: 'x' | 'y';
  @IsNumber({ allowNaN: false, allowInfinity: false }) beyond: number;
  @IsNumber({ allowNaN: false, allowInfinity: false }) by: number;
}

class RemoveRequest extends IntentRequest {
  @IsIn(listNames) list: KeyedList;
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(MANY) @IsString({ each: true }) keys: string[];
}

class RemoveLoadsRequest extends IntentRequest {
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(MANY) @IsInt({ each: true }) @Min(0, { each: true }) at: number[];
}

class SetRequest extends IntentRequest {
  @IsObject() settings: Partial<Model>;
}

class PatchRequest extends IntentRequest {
  @IsArray() @ArrayMaxSize(MANY) @IsObject({ each: true }) patches: Patch[];
}

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
      subTypes: [
        { name: 'put', value: PutRequest },
        { name: 'putLoad', value: PutLoadRequest },
        { name: 'draw', value: DrawRequest },
        { name: 'moveNodes', value: MoveNodesRequest },
        { name: 'stretch', value: StretchRequest },
        { name: 'remove', value: RemoveRequest },
        { name: 'removeLoads', value: RemoveLoadsRequest },
        { name: 'set', value: SetRequest },
        { name: 'patch', value: PatchRequest },
      ],
    },
  })
  intent: IntentRequest;
}

/** A new model: empty with a title, or from the text of a model file. */
export class CreateModelRequest {
  @IsString() @Length(1, 64) project: string;
  @IsOptional() @IsString() @Length(1, 200) title?: string;
  @IsOptional() @IsString() file?: string;
}
