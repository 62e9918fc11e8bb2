// The reader of PDF files does its work here, away from the page.
import 'pdfjs-dist/build/pdf.worker.mjs';
