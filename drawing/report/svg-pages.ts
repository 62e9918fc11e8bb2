import { svgPage, svgPainter } from '../paper/svg-file';
import type { TypeFamily } from '../paper/type-family';
import { PAGE } from './flow';
import type { Report } from './report';
import { writeReport } from './write-report';

/** The pages of a report as pictures to look at: SVG, with letters as outlines. Asked for one by one; `starts`: the pages on which chapters begin, from 0. */
export function svgPages(
  report: Report,
  family: TypeFamily,
): { readonly count: number; readonly starts: readonly number[]; readonly page: (at: number) => string } {
  const pages: string[][] = [];
  let at = -1;
  const painter = svgPainter(family, 'outlines', (part) => pages[at]!.push(part));
  const add = (): void => {
    pages.push([]);
    at = pages.length - 1;
  };
  const starts = writeReport(report, { painter, add, goBackTo: (page) => void (at = page) }, family);
  return { count: pages.length, starts, page: (page) => svgPage(PAGE, pages[page]!) };
}
