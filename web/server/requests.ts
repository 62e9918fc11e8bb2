import 'reflect-metadata';
import { IsIn, IsInt, IsObject, IsOptional, IsString, Length, MaxLength, Min, ValidateNested } from 'class-validator';
import { revisionKinds, type RevisionKind } from '@rigid-beam/core/model/edits/revision';
import { editClasses, TypeByKind } from './edit-request';

/** One edit of a model, on top of the revision that the sender knows. */
export class RevisionRequest {
  @IsInt() @Min(0) base: number;
  @IsString() @Length(8, 64) edit: string;
  @IsIn(revisionKinds) kind: RevisionKind;
  @IsString() @MaxLength(200) label: string;

  @IsObject() @ValidateNested() @TypeByKind(editClasses('with patches')) intent: object;
}

/** A new model: empty with a title, or from the text of a file, whose name tells its format. */
export class CreateModelRequest {
  @IsString() @Length(1, 64) project: string;
  @IsOptional() @IsString() @Length(1, 200) title?: string;
  @IsOptional() @IsString() file?: string;
  @IsOptional() @IsString() @MaxLength(300) fileName?: string;
}
