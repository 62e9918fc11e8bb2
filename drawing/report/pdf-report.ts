import { newDocument, pdfPainter, POINTS } from '../paper/pdf-file';
import type { TypeFamily } from '../paper/type-family';
import { PAGE } from './flow';
import type { Report } from './report';
import { writeReport } from './write-report';

/** A report as a PDF file. The same report gives the same bytes. */
export function pdfReport(report: Report, family: TypeFamily): Promise<Uint8Array[]> {
  const { document, whole } = newDocument(family, report.title, 'pages are finished at the end');
  const pages = {
    painter: pdfPainter(document, family),
    add: () => {
      document.addPage({ size: [PAGE.width * POINTS, PAGE.height * POINTS], margin: 0 });
      document.scale(POINTS);
      document.lineJoin('round');
    },
    goBackTo: (page: number) => void document.switchToPage(page),
  };
  writeReport(report, pages, family);
  document.end();
  return whole;
}
