import type { Model } from '@rigid-beam/core/model/model';
import type { Solution } from '@rigid-beam/core/results/results';
import { htmlReport } from '@rigid-beam/drawing/report/html-report';
import { pdfReport } from '@rigid-beam/drawing/report/pdf-report';
import { reportOf } from '@rigid-beam/drawing/report/report';
import { svgPages } from '@rigid-beam/drawing/report/svg-pages';
import type { ReportFound, ReportWanted } from './asked';
import { shippedFamily } from './family';

/** The pages that are leafed through: the same model and the same that is asked for. */
let looked: { readonly model: Model; readonly key: string; readonly pages: ReturnType<typeof svgPages> } | undefined;

/** A report of a model as it is asked for, or why there is none; `told` hears what is being drawn. */
export async function reported(
  model: Model,
  solution: Solution | undefined,
  wanted: ReportWanted,
  told: (what: string) => void,
): Promise<ReportFound> {
  const { asked, as, at } = wanted;
  const key = JSON.stringify([asked, wanted.sheared !== undefined]);
  if (as === 'preview' && looked?.model === model && looked.key === key) return pageAt(looked.pages, at);
  const letters = await shippedFamily();
  const report = reportOf(model, solution, { ...asked, look: 'corner' }, letters.widthOf, told);
  if (typeof report === 'string') return { refused: report };
  switch (as) {
    case 'pdf':
      return { content: file(await pdfReport(report, letters), 'application/pdf'), pages: 0, page: 0 };
    case 'html':
      return { content: file(htmlReport(report, letters), 'text/html'), pages: 0, page: 0 };
    case 'preview':
      looked = { model, key, pages: svgPages(report, letters) };
      return pageAt(looked.pages, at);
  }
}

function pageAt({ count, starts, page }: ReturnType<typeof svgPages>, at: ReportWanted['at']): ReportFound {
  const wanted = typeof at === 'number' ? at : (starts[at.chapter] ?? 0);
  const found = Math.min(wanted, count - 1);
  return { content: file([page(found)], 'image/svg+xml'), pages: count, page: found };
}

const file = (parts: readonly (string | Uint8Array)[], type: string): Blob => new Blob(parts as BlobPart[], { type });
