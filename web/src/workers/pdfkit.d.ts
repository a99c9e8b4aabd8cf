declare module 'pdfkit/js/pdfkit.standalone.js' {
  const PDFDocument: unknown;
  export default PDFDocument;
}
