import 'reflect-metadata';
import { IsIn, IsString, Length, MaxLength, ValidateBy } from 'class-validator';
import { runNames, type RunName } from '@rigid-beam/core/analysis/runs';
import { STATIONS } from '@rigid-beam/core/formats/registry';
import { decimalMarks, type DecimalMark } from '@rigid-beam/core/tables/files/csv';
import { tableKinds, type TableKind } from '@rigid-beam/core/tables/files/tables-file';
import { PLACES } from '@rigid-beam/core/tables/results/lists';
import { reportKinds, type ReportKind } from '@rigid-beam/drawing/files/report-file';
import { paperInks, paperKinds, saidOf, type PaperInks, type PaperKind } from '@rigid-beam/drawing/paper/asked';
import { papers, paperWays, type Paper, type PaperWay } from '@rigid-beam/drawing/paper/sizes';
import { LOOKS, type Look } from '@rigid-beam/drawing/projection';
import { MayBeLeftOut } from './may-be-left-out';
import { Says } from './says';
import type { AskedWork } from './work/asked-work';

// What stands behind the ? of the addresses of files. It is text there, numbers as well; what is left out is as the command has it.

const LOOKED_FROM = Object.keys(LOOKS) as Look[];

/** A whole number between two bounds, as text. */
export const IsCount = (least: number, most: number): PropertyDecorator =>
  ValidateBy({
    name: 'isCount',
    constraints: [least, most],
    validator: {
      validate: (value: unknown) =>
        typeof value === 'string' && /^\d{1,9}$/.test(value) && Number(value) >= least && Number(value) <= most,
      defaultMessage: () => `$property must be a whole number from ${least} to ${most}`,
    },
  });

const CASES = 'Ids of cases and combinations, with commas between several';

export class ResultsQuery {
  @Says(`${CASES}; all of them where it is left out`)
  @MayBeLeftOut()
  @IsString()
  @Length(1, 2000)
  case?: string;

  @Says(`Evenly spaced points along each member, both ends included; ${STATIONS} where it is left out`)
  @MayBeLeftOut()
  @IsCount(2, 10_000)
  stations?: string;

  @Says('Which analysis; the one that the model asks for where it is left out') @MayBeLeftOut() @IsIn(runNames) run?: RunName;
}

export class TableQuery {
  @Says('What kind of file; json where it is left out') @MayBeLeftOut() @IsIn(tableKinds) format?: TableKind;

  @Says('Results of this case or combination; of the first case where it is left out')
  @MayBeLeftOut()
  @IsString()
  @Length(1, 64)
  case?: string;

  @Says('Of an envelope each of the outcomes that make it') @MayBeLeftOut() @IsIn(['true', 'false']) each?: 'true' | 'false';

  @Says(`Evenly spaced places along each member, for the table of stations; ${PLACES.usual} where it is left out`)
  @MayBeLeftOut()
  @IsCount(PLACES.least, PLACES.most)
  places?: string;

  @Says('Only rows where this holds, such as “|M| > 10 kN·m, By = U1”')
  @MayBeLeftOut()
  @IsString()
  @MaxLength(500)
  where?: string;

  @Says('In the order of a column, with a minus downwards, such as -M')
  @MayBeLeftOut()
  @IsString()
  @Length(1, 100)
  sort?: string;

  @Says('How CSV writes decimals; point where it is left out') @MayBeLeftOut() @IsIn(decimalMarks) decimal?: DecimalMark;
}

/** What is said of a project on paper: nothing of it is taken from the clock. */
export class OnPaperQuery {
  @Says('From where a model in space is seen; corner where it is left out') @MayBeLeftOut() @IsIn(LOOKED_FROM) look?: Look;
  @Says('Colours, or black lines and hatches; colour where it is left out') @MayBeLeftOut() @IsIn(paperInks) inks?: PaperInks;
  @Says('Name of the project') @MayBeLeftOut() @IsString() @MaxLength(200) project?: string;
  @Says('Number of the project or drawing') @MayBeLeftOut() @IsString() @MaxLength(100) number?: string;
  @Says('Date, as it is to stand there') @MayBeLeftOut() @IsString() @MaxLength(100) date?: string;
  @Says('Revision, as it is to stand there') @MayBeLeftOut() @IsString() @MaxLength(100) revision?: string;
}

export class DrawingQuery extends OnPaperQuery {
  @Says('What kind of file; pdf where it is left out. Only a PDF has several sheets')
  @MayBeLeftOut()
  @IsIn(paperKinds)
  format?: PaperKind;

  @Says(
    'What to draw, with commas between several: quantities by their symbols, such as M, N or δ, or geometry, sections, supports, loads; geometry where it is left out',
  )
  @MayBeLeftOut()
  @IsString()
  @Length(1, 500)
  quantity?: string;

  @Says(`${CASES}; of the first case where it is left out`) @MayBeLeftOut() @IsString() @Length(1, 2000) case?: string;
  @Says('Size of the paper; A3 where it is left out') @MayBeLeftOut() @IsIn(papers) paper?: Paper;
  @Says('How the paper lies; across where it is left out') @MayBeLeftOut() @IsIn(paperWays) way?: PaperWay;

  @Says('Such as 1:50; the largest usual one at which all of it fits where it is left out')
  @MayBeLeftOut()
  @IsString()
  @Length(1, 20)
  scale?: string;

  @Says('Dots of a picture, to an inch; 150 where it is left out') @MayBeLeftOut() @IsCount(20, 1200) dots?: string;
}

export class ReportQuery extends OnPaperQuery {
  @Says('What kind of file; pdf where it is left out') @MayBeLeftOut() @IsIn(reportKinds) format?: ReportKind;

  @Says('Chapters in their order, with commas; those of the model where it is left out')
  @MayBeLeftOut()
  @IsString()
  @Length(1, 2000)
  chapters?: string;

  @Says(`${CASES}; envelopes, or all sums, or all cases where it is left out`)
  @MayBeLeftOut()
  @IsString()
  @Length(1, 2000)
  case?: string;

  @Says('What is drawn of them, with commas, such as N,V,M,δ') @MayBeLeftOut() @IsString() @Length(1, 500) quantity?: string;
}

export const resultsWork = ({ case: cases, stations = String(STATIONS), run }: ResultsQuery): AskedWork => ({
  what: 'results',
  asked: { run, stations: Number(stations), ...(cases !== undefined && { cases }) },
});

export const tableWork = (
  names: string,
  { format: kind = 'json', case: outcome, each, places = String(PLACES.usual), where, sort, decimal = 'point' }: TableQuery,
): AskedWork => ({
  what: 'tables',
  asked: { names, kind, outcome, each: each === 'true', places: Number(places), where, sort, decimal },
});

export const drawingWork = (query: DrawingQuery): AskedWork => {
  const { format: kind = 'pdf', quantity: quantities = 'geometry', case: cases, paper = 'A3', way = 'across' } = query;
  const { look = 'corner', scale, inks = 'colour', dots = '150' } = query;
  return {
    what: 'drawing',
    asked: { kind, quantities, cases, look, paper, way, scale, inks, dots: Number(dots), said: saidOf(query) },
  };
};

export const reportWork = (query: ReportQuery): AskedWork => {
  const { format: kind = 'pdf', chapters, case: cases, quantity: quantities, look = 'corner', inks = 'colour' } = query;
  return { what: 'report', asked: { kind, chapters, cases, quantities, look, inks, said: saidOf(query) } };
};
