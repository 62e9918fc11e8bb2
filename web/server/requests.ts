import 'reflect-metadata';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsIn,
  IsInt,
  IsObject,
  IsString,
  IsUUID,
  Length,
  Matches,
  Max,
  MaxLength,
  Min,
  ValidateBy,
  ValidateNested,
} from 'class-validator';
import { writable } from '@rigid-beam/core/formats/registry';
import { revisionKinds, type RevisionKind } from '@rigid-beam/core/model/edits/revision';
import { sortings } from '../projects/arranged';
import { editClasses } from './edit-request';
import { Of, TypeByKind } from './nested';
import { MayBeLeftOut } from './may-be-left-out';
import { ID } from './new-id';
import { InHeadersToo, Says } from './says';

/** Revisions are counted in 32 bits, one of them a sign. */
const MOST_REVISIONS = 2 ** 31 - 2;

/** One edit of a model, on top of the revision that the sender knows. */
@InHeadersToo('base', 'edit')
export class RevisionRequest {
  @Says('The revision on which it goes; it may stand in If-Match instead')
  @IsInt()
  @Min(0)
  @Max(MOST_REVISIONS)
  base: number;

  @Says('The sender’s own name for the edit: sent twice, it is done once. It may stand in Idempotency-Key instead')
  @IsString()
  @Length(8, 64)
  edit: string;

  @Says('An edit, or an earlier one undone or done again; an edit where it is left out')
  @MayBeLeftOut()
  @IsIn(revisionKinds)
  kind?: RevisionKind;

  @Says('What the history calls it; made of the edit where it is left out')
  @MayBeLeftOut()
  @IsString()
  @MaxLength(200)
  label?: string;

  @Says('What is done, of one of the kinds that an edit has')
  @IsObject()
  @ValidateNested()
  @TypeByKind(editClasses('with patches'))
  intent: object;
}

/** A new model with nothing in it, in the plane unless it says otherwise; without a title it takes that of what is placed in it first. */
export class CreateModelRequest {
  @IsString() @Length(1, 64) project: string;
  @MayBeLeftOut() @IsString() @Length(1, 200) title?: string;
  @MayBeLeftOut() @IsIn(['plane', 'space']) space?: 'plane' | 'space';
}

/** Which tiles of the projects page are wanted; what stands in an address is text. */
export class TilesRequest {
  @IsString() @MaxLength(200) search: string;
  @IsIn(sortings.map(({ id }) => id)) sorting: string;
  @Matches(/^[1-9]\d{0,5}$/) count: string;
}

/** A new project. */
export class CreateProjectRequest {
  @IsString() @Length(1, 200) name: string;
  @MayBeLeftOut() @IsString() @MaxLength(40) number?: string;
}

/** Another name or number for a project. */
export class ChangeProjectRequest {
  @MayBeLeftOut() @IsString() @Length(1, 200) name?: string;
  @MayBeLeftOut() @IsString() @MaxLength(40) number?: string;
}

/** What becomes of a model as a whole: another title, another project, or back from what was removed. */
export class ChangeModelRequest {
  @MayBeLeftOut() @IsString() @Length(1, 200) title?: string;
  @MayBeLeftOut() @Matches(ID) project?: string;
  @MayBeLeftOut() @IsIn([false]) removed?: false;
}

/** A new model from the text of a file, whose name tells its format. */
export class GivenFileRequest {
  @IsString() @Length(1, 64) project: string;
  @IsString() @MaxLength(300) fileName: string;
}

/** In which format a model is given out. */
export class FileQuery {
  @Says('model where it is left out; what takes an analysis may be a job')
  @MayBeLeftOut()
  @IsIn(writable.map(({ id }) => id))
  format?: string;
}

/** A moment as backups write it, between the years 1970 and 9999. */
const IsMoment = (): PropertyDecorator =>
  ValidateBy({
    name: 'isMoment',
    validator: {
      validate: (value: unknown) =>
        typeof value === 'string' && /^\d{4}-\d\d-\d\dT[\d:.]+Z$/.test(value) && new Date(value).getTime() >= 0,
      defaultMessage: () => '$property must be a moment such as 2026-03-01T12:00:00.000Z',
    },
  });

export class HeadEntry {
  @IsIn(['head']) kind: string;
  @IsString() format: string;
  @IsInt() version: number;
  @IsString() at: string;
}
export class EndEntry {
  @IsIn(['end']) kind: string;
  @IsInt() models: number;
}
export class ProjectEntry {
  @IsIn(['project']) kind: string;
  @Matches(ID) id: string;
  @IsString() @Length(1, 200) name: string;
  @MayBeLeftOut() @IsString() @MaxLength(40) number?: string;
}
export class PictureEntry {
  @IsIn(['picture']) kind: string;
  @Matches(/^[0-9a-f]{64}$/) hash: string;
  @Matches(/^data:image\//) image: string;
}
export class ModelEntry {
  @IsIn(['model']) kind: string;
  @Matches(ID) id: string;
  @Matches(ID) project: string;
  @IsInt() @Min(0) @Max(MOST_REVISIONS) revision: number;
  @IsObject() content: object;
  @IsMoment() createdAt: string;
  @MayBeLeftOut() @IsMoment() removedAt?: string;
}
export class RevisionEntry {
  @Matches(ID) modelId: string;
  @IsInt() @Min(1) @Max(MOST_REVISIONS) number: number;
  @IsString() @Length(8, 64) edit: string;
  @IsIn(revisionKinds) kind: RevisionKind;
  @IsString() @MaxLength(200) label: string;
  @IsArray() @IsObject({ each: true }) patches: object[];
  @IsArray() @IsObject({ each: true }) inverse: object[];
  @IsMoment() createdAt: string;
}
export class RevisionsEntry {
  @IsIn(['revisions']) kind: string;
  @Matches(ID) model: string;
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(1000)
  @ValidateNested({ each: true })
  @Of(() => RevisionEntry)
  list: RevisionEntry[];
}
const entries = {
  head: HeadEntry,
  end: EndEntry,
  project: ProjectEntry,
  picture: PictureEntry,
  model: ModelEntry,
  revisions: RevisionsEntry,
};

/** One line of a backup. */
export class RestoreRequest {
  @MayBeLeftOut() @IsUUID() restore?: string;
  @IsInt() @Min(1) line: number;
  @MayBeLeftOut() @IsIn(['leave', 'bring back']) ofRemoved?: 'leave' | 'bring back';
  @IsObject()
  @ValidateNested()
  @TypeByKind(Object.entries(entries).map(([name, value]) => ({ name, value })), 'kind')
  entry: object;
}
