import 'reflect-metadata';
import { IsIn, IsInt, IsObject, IsOptional, IsString, Length, Max, MaxLength, Min, ValidateNested } from 'class-validator';
import { revisionKinds, type RevisionKind } from '@rigid-beam/core/model/edits/revision';
import { editClasses, TypeByKind } from './edit-request';

/** Revisions are counted in 32 bits, one of them a sign. */
const MOST_REVISIONS = 2 ** 31 - 2;

/** One edit of a model, on top of the revision that the sender knows. */
export class RevisionRequest {
  @IsInt() @Min(0) @Max(MOST_REVISIONS) base: number;
  @IsString() @Length(8, 64) edit: string;
  @IsIn(revisionKinds) kind: RevisionKind;
  @IsString() @MaxLength(200) label: string;

  @IsObject() @ValidateNested() @TypeByKind(editClasses('with patches')) intent: object;
}

/** A new model, empty with a title. */
export class CreateModelRequest {
  @IsString() @Length(1, 64) project: string;
  @IsOptional() @IsString() @Length(1, 200) title?: string;
}

/** A new model from the text of a file, whose name tells its format. */
export class GivenFileRequest {
  @IsString() @Length(1, 64) project: string;
  @IsString() @MaxLength(300) fileName: string;
}
