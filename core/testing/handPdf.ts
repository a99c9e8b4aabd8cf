/** A PDF written out by hand, object by object: a file that none of our writers made. */
export function handPdf(objects: readonly string[], root = 1): Uint8Array {
  let text = '%PDF-1.7\n';
  const at = objects.map((body, i) => {
    const from = text.length;
    text += `${i + 1} 0 obj\n${body}\nendobj\n`;
    return from;
  });
  const xref = text.length;
  const rows = at.map((n) => `${String(n).padStart(10, '0')} 00000 n \n`).join('');
  text += `xref\n0 ${objects.length + 1}\n0000000000 65535 f \n${rows}trailer\n<< /Size ${objects.length + 1} /Root ${root} 0 R >>\nstartxref\n${xref}\n%%EOF\n`;
  return new TextEncoder().encode(text);
}
export const stream = (content: string, more = ''): string =>
  `<< /Length ${content.length} ${more}>>\nstream\n${content}\nendstream`;

/** Pages of one content stream each, all of a size in points. */
export function pagesPdf(
  contents: readonly string[],
  size: readonly [number, number],
  page = '',
  catalog = '',
  more: readonly string[] = [],
  resources = '',
): Uint8Array {
  const first = 3;
  const kids = contents.map((_, i) => `${first + 2 * i} 0 R`).join(' ');
  return handPdf([
    `<< /Type /Catalog /Pages 2 0 R ${catalog}>>`,
    `<< /Type /Pages /Kids [${kids}] /Count ${contents.length} >>`,
    ...contents.flatMap((c, i) => [
      `<< /Type /Page /Parent 2 0 R /MediaBox [0 0 ${size[0]} ${size[1]}] /Contents ${first + 2 * i + 1} 0 R /Resources << ${resources} >> ${page}>>`,
      stream(c),
    ]),
    ...more,
  ]);
}
