import 'reflect-metadata';
import { IsArray, IsBoolean, IsIn, IsInt, IsObject, IsString, ValidateNested } from 'class-validator';
import { revisionKinds, type RevisionKind } from '@rigid-beam/core/model/edits/revision';
import { stages, type Stage } from '@rigid-beam/core/formats/made-file';
import { MayBeLeftOut } from '../may-be-left-out';
import { Of } from '../nested';
import { Says } from '../says';
import { jobStates, type JobState } from '../work/jobs';

// What is answered. A journey holds the answers against what is made of these classes.

export class ListedModel {
  @IsString() id: string;
  @IsString() title: string;
  @Says('When it was changed last, in words') @IsString() changed: string;
  @Says('How large it is, in words') @IsString() words: string;
}
export class ListedProject {
  @IsString() id: string;
  @IsString() name: string;
  @Says('In the office’s own list') @MayBeLeftOut() @IsString() number?: string;
  @IsArray() @ValidateNested({ each: true }) @Of(() => ListedModel) models: ListedModel[];
}
export class ProjectsAnswer {
  @IsArray() @ValidateNested({ each: true }) @Of(() => ListedProject) projects: ListedProject[];
}

export class MadeAnswer {
  @Says('By which it is found') @IsString() id: string;
}
export class ReadyAnswer {
  @IsBoolean() ready: boolean;
}

export class HistoryEntry {
  @IsInt() number: number;
  @IsIn(revisionKinds) kind: RevisionKind;
  @IsString() label: string;
}
export class ModelAnswer {
  @IsString() id: string;
  @IsString() projectId: string;
  @IsString() projectName: string;
  @IsString() projectNumber: string;
  @Says('So many edits were made of it; also its ETag') @IsInt() revision: number;
  @Says('The model, as a model file has it') @IsObject() model: object;
  @Says('What can be undone, the oldest first') @IsArray() @ValidateNested({ each: true }) @Of(() => HistoryEntry) history: HistoryEntry[]; // oxfmt-ignore
}

export class StoredAnswer {
  @Says('The revision that the edit made; also its ETag') @IsInt() revision: number;
}
export class RevisionAnswer {
  @Says('What leads to it (JSON patches)') @IsArray() @IsObject({ each: true }) patches: object[];
  @Says('What leads back') @IsArray() @IsObject({ each: true }) inverse: object[];
}

export class NoticeEntry {
  @Says('Which fault it is, for programs') @IsString() code: string;
  @IsIn(['error', 'warning', 'note']) severity: string;
  @Says('What it is, what is expected and what to do') @IsString() message: string;
  @Says('Where in what was sent') @MayBeLeftOut() @IsString() path?: string;
  @Says('What it is about, such as “member b”') @IsArray() @IsString({ each: true }) subjects: string[];
}

export class MadeModelAnswer extends MadeAnswer {
  @Says('Of a file: what of it was left out, or is to be known')
  @MayBeLeftOut()
  @IsArray()
  @ValidateNested({ each: true })
  @Of(() => NoticeEntry)
  notices?: NoticeEntry[];
}

export class JobAnswer {
  @IsString() id: string;
  @Says('Of which model') @IsString() model: string;
  @Says('And of which of its revisions') @IsInt() revision: number;
  @IsIn(['file', 'results', 'tables', 'drawing', 'report']) what: string;
  @IsIn(jobStates) state: JobState;
  @Says('What it is doing, while it runs') @MayBeLeftOut() @IsIn(stages) stage?: Stage;
  @Says('So much of the file is written') @IsInt() bytes: number;
  @Says('Where the file is, once it is done') @MayBeLeftOut() @IsString() result?: string;
  @MayBeLeftOut() @IsString() mediaType?: string;
  @Says('What its reader should know') @MayBeLeftOut() @IsArray() @IsString({ each: true }) notes?: string[];
  @Says('Why there is no file') @MayBeLeftOut() @IsArray() @ValidateNested({ each: true }) @Of(() => NoticeEntry) faults?: NoticeEntry[]; // oxfmt-ignore
}

/** Problem details (RFC 9457). */
export class Problem {
  @Says('Which kind of problem, an address') @IsString() type: string;
  @IsString() title: string;
  @IsInt() status: number;
  @Says('All faults in words') @IsString() detail: string;
  @Says('Each fault by itself') @IsArray() @ValidateNested({ each: true }) @Of(() => NoticeEntry) faults: NoticeEntry[];
  @Says('After another edit: the revision that the model has') @MayBeLeftOut() @IsInt() revision?: number;
  @Says('After another edit: what was done meanwhile') @MayBeLeftOut() @IsArray() @IsObject({ each: true }) since?: object[];
}
