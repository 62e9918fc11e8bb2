import { typedTables } from '@rigid-beam/core/tables/files/tables-file';
import { DrawingQuery, ReportQuery, ResultsQuery, TableQuery } from '../file-queries';
import type { ProblemStatus } from '../problems';
import {
  ChangeModelRequest,
  ChangeProjectRequest,
  CreateModelRequest,
  CreateProjectRequest,
  FileQuery,
  GivenFileRequest,
  RestoreRequest,
  RevisionRequest,
  TilesRequest,
} from '../requests';
import {
  JobAnswer,
  MadeAnswer,
  MadeModelAnswer,
  ModelAnswer,
  ProjectsAnswer,
  ReadyAnswer,
  RevisionAnswer,
  StoredAnswer,
} from './answers';

type Class = new () => object;
export type Method = 'get' | 'post' | 'patch' | 'delete';

/** What is answered with a status: a class as JSON, or files of some media types. */
interface Answer {
  readonly status: number;
  readonly words: string;
  readonly is?: Class | readonly string[];
}

/** What can be done at an address. A route is entered here, and a test finds those that are not. */
export interface Operation {
  /** Its name in programs. */
  readonly name: string;
  readonly method: Method;
  readonly path: string;
  readonly group: keyof typeof groups;
  readonly words: string;
  readonly query?: Class;
  /** JSON of a class, or a file as it is. */
  readonly body?: { readonly json?: Class; readonly file?: true };
  readonly headers?: readonly (keyof typeof headers)[];
  readonly answers: readonly Answer[];
  /** Besides 401, 403, 500 and 503, which every address may answer. */
  readonly problems?: readonly ProblemStatus[];
}

export const groups = {
  projects: 'Projects and their models',
  models: 'One model',
  edits: 'Edits',
  files: 'Results, tables, drawings, reports',
  jobs: 'Jobs',
  keeping: 'Backup',
} as const;

/** Parts of addresses, in words. */
export const parameters: Readonly<Record<string, string>> = {
  id: 'Its id',
  number: 'The number of a revision',
  hash: 'The hash of a picture (SHA-256, hexadecimal)',
  name: `Names of tables, with commas between several: ${typedTables.join(', ')}`,
};

export const headers = {
  'If-None-Match': 'The ETag that is known: where it is still this one the answer is 304, without a body',
  'If-Match': 'The ETag of the model on which the edit goes: where it is another one nothing is stored (412)',
  'Idempotency-Key': 'The sender’s own name for the edit, 8 to 64 letters: sent twice, it is done once',
  Prefer: 'wait=10: for so many seconds (0 to 60; else 5) the answer may take, until it is a job (202)',
} as const;

const done: Answer = { status: 200, words: 'It is done' };
const made: Answer = { status: 201, words: 'It is there', is: MadeAnswer };
const same: Answer = { status: 304, words: 'It is as it was' };
const later: Answer = { status: 202, words: 'It goes on: ask after the job at Location', is: JobAnswer };
const file = (...types: readonly string[]): Answer => ({ status: 200, words: 'The file', is: types });
const asked = { headers: ['If-None-Match', 'Prefer'], problems: [400, 404, 422, 429] } as const;
const SHEETS = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';

/** A group of them stands together, in the order of its reading. */
export const operations: readonly Operation[] = [
  {
    ...{ name: 'listProjects', method: 'get', path: '/api/projects', group: 'projects' },
    words: 'All projects with their models',
    answers: [{ status: 200, words: 'They are', is: ProjectsAnswer }],
  },
  {
    ...{ name: 'createProject', method: 'post', path: '/api/projects', group: 'projects' },
    words: 'A new project',
    body: { json: CreateProjectRequest },
    answers: [made],
    problems: [400, 413],
  },
  {
    ...{ name: 'changeProject', method: 'patch', path: '/api/projects/{id}', group: 'projects' },
    words: 'Another name or number',
    body: { json: ChangeProjectRequest },
    answers: [done],
    problems: [400, 404, 413],
  },
  {
    ...{ name: 'removeProject', method: 'delete', path: '/api/projects/{id}', group: 'projects' },
    words: 'Takes an empty project away',
    answers: [done],
    problems: [400, 404],
  },
  {
    ...{ name: 'listTiles', method: 'get', path: '/api/projects/tiles', group: 'projects' },
    words: 'What the projects page shows, with drawings',
    query: TilesRequest,
    answers: [{ status: 200, words: 'Projects with tiles' }],
    problems: [400],
  },
  {
    ...{ name: 'createModel', method: 'post', path: '/api/models', group: 'models' },
    words:
      'A new model: empty, of a JSON body; or of a file, which is the body as it is, with its project and name in the address',
    query: GivenFileRequest,
    body: { json: CreateModelRequest, file: true },
    answers: [{ ...made, is: MadeModelAnswer }],
    problems: [400, 413],
  },
  {
    ...{ name: 'readModel', method: 'get', path: '/api/models/{id}', group: 'models' },
    words: 'The model with its revision',
    headers: ['If-None-Match'],
    answers: [{ status: 200, words: 'It is this', is: ModelAnswer }, same],
    problems: [404],
  },
  {
    ...{ name: 'readModelFile', method: 'get', path: '/api/models/{id}/file', group: 'models' },
    words: 'The model as a file to keep',
    query: FileQuery,
    ...asked,
    answers: [file('application/json', 'application/x-step'), same, later],
  },
  {
    ...{ name: 'changeModel', method: 'patch', path: '/api/models/{id}', group: 'models' },
    words: 'Another title or project, or back from what was removed',
    body: { json: ChangeModelRequest },
    answers: [done],
    problems: [400, 404, 413],
  },
  {
    ...{ name: 'copyModel', method: 'post', path: '/api/models/{id}/copy', group: 'models' },
    words: 'A copy beside it',
    answers: [made],
    problems: [404],
  },
  {
    ...{ name: 'removeModel', method: 'delete', path: '/api/models/{id}', group: 'models' },
    words: 'Puts it among what was removed; what lies there already goes for good',
    answers: [done],
    problems: [404],
  },
  {
    ...{ name: 'readPicture', method: 'get', path: '/api/models/{id}/pictures/{hash}', group: 'models' },
    words: 'A picture that lies under the model',
    answers: [file('text/plain')],
    problems: [404],
  },
  {
    ...{ name: 'edit', method: 'post', path: '/api/models/{id}/revisions', group: 'edits' },
    words: 'One edit, the same as the page sends: stored whole or not at all',
    body: { json: RevisionRequest },
    headers: ['If-Match', 'Idempotency-Key'],
    answers: [{ status: 201, words: 'It is stored', is: StoredAnswer }],
    problems: [400, 404, 409, 412, 413],
  },
  {
    ...{ name: 'readRevision', method: 'get', path: '/api/models/{id}/revisions/{number}', group: 'edits' },
    words: 'What one edit did, there and back',
    answers: [{ status: 200, words: 'Patches', is: RevisionAnswer }],
    problems: [404],
  },
  {
    ...{ name: 'solve', method: 'get', path: '/api/models/{id}/results', group: 'files' },
    words: 'Solves the model: the results file, whose “status” says whether it stands',
    query: ResultsQuery,
    answers: [file('application/json'), later, same],
    ...asked,
  },
  {
    ...{ name: 'readTables', method: 'get', path: '/api/models/{id}/tables/{name}', group: 'files' },
    words: 'Tables of the model or of its results as JSON, CSV or XLSX; only XLSX has several in one file',
    query: TableQuery,
    answers: [file('application/json', 'text/csv', SHEETS), later, same],
    ...asked,
  },
  {
    ...{ name: 'draw', method: 'get', path: '/api/models/{id}/drawing', group: 'files' },
    words: 'A drawing on paper, true to scale',
    query: DrawingQuery,
    answers: [file('application/pdf', 'image/svg+xml', 'image/png', 'image/vnd.dxf'), later, same],
    ...asked,
  },
  {
    ...{ name: 'report', method: 'get', path: '/api/models/{id}/report', group: 'files' },
    words: 'The calculation report',
    query: ReportQuery,
    answers: [file('application/pdf', 'text/html'), later, same],
    ...asked,
  },
  {
    ...{ name: 'readJob', method: 'get', path: '/api/jobs/{id}', group: 'jobs' },
    words: 'What became of a job so far',
    answers: [{ status: 200, words: 'It is so far', is: JobAnswer }],
    problems: [404],
  },
  {
    ...{ name: 'cancelJob', method: 'delete', path: '/api/jobs/{id}', group: 'jobs' },
    words: 'Ends a job, or forgets the file of one that is done',
    answers: [done],
    problems: [404],
  },
  {
    ...{ name: 'readJobResult', method: 'get', path: '/api/jobs/{id}/result', group: 'jobs' },
    words: 'The file of a job, once it is done; it is kept for a quarter of an hour',
    answers: [file('application/octet-stream'), later],
    problems: [404, 422],
  },
  {
    ...{ name: 'backup', method: 'get', path: '/api/backup', group: 'keeping' },
    words: 'Everything that is stored, as lines of JSON, compressed',
    answers: [file('application/gzip')],
  },
  {
    ...{ name: 'restore', method: 'post', path: '/api/restore', group: 'keeping' },
    words: 'One line of a backup, in the order of the file',
    body: { json: RestoreRequest },
    answers: [{ status: 200, words: 'What became of it' }],
    problems: [400, 413],
  },
  {
    ...{ name: 'ready', method: 'get', path: '/api/ready', group: 'keeping' },
    words: 'Whether the server can be used; needs no token',
    answers: [{ status: 200, words: 'It can', is: ReadyAnswer }],
  },
  {
    ...{ name: 'describe', method: 'get', path: '/api/openapi.json', group: 'keeping' },
    words: 'This description; needs no token',
    answers: [file('application/json')],
  },
];
