import 'pdfjs-dist/legacy/build/pdf.worker.mjs';
