import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { crc32, deflateSync } from 'node:zlib';
import PDFDocument from 'pdfkit';

/** A page with a piece on it as another program draws it to JPEG: plain, in several passes, or in printer's inks. */
export async function jpeg(kind: 'plain' | 'progressive' | 'inks'): Promise<Buffer> {
  const doc = new PDFDocument({ size: [300, 200], margin: 0 });
  const chunks: Buffer[] = [];
  doc.on('data', (c: Buffer) => chunks.push(c));
  const done = new Promise<void>((resolve) => doc.on('end', () => resolve()));
  doc.rect(0, 0, 300, 200).fill('#12443f').path('M40 30H180L210 90L190 170H40Z').fill('#f3e7cf');
  doc.end();
  await done;
  const folder = mkdtempSync(join(tmpdir(), 'ample-jpeg-'));
  const more = { plain: ['-jpeg'], progressive: ['-jpeg', '-jpegopt', 'progressive=y'], inks: ['-jpegcmyk'] }[kind];
  execFileSync('pdftoppm', ['-r', '144', '-singlefile', ...more, '-', join(folder, 'page')], {
    input: Buffer.concat(chunks),
  });
  return readFileSync(join(folder, 'page.jpg'));
}

/** The same picture with what a camera writes before it: which way it was held, 1 to 8, and where it was taken. */
export function asCamera(picture: Buffer, held: number): Buffer {
  const place = Buffer.from('52.1 N 4.3 E\0', 'latin1');
  // One block in big-endian order: orientation, and the place as a description.
  const tiff = Buffer.alloc(8 + 2 + 24 + 4);
  tiff.write('MM\0*', 0, 'latin1');
  tiff.writeUInt32BE(8, 4);
  tiff.writeUInt16BE(2, 8);
  tiff.writeUInt16BE(0x010e, 10);
  tiff.writeUInt16BE(2, 12);
  tiff.writeUInt32BE(place.length, 14);
  tiff.writeUInt32BE(tiff.length, 18);
  tiff.writeUInt16BE(0x0112, 22);
  tiff.writeUInt16BE(3, 24);
  tiff.writeUInt32BE(1, 26);
  tiff.writeUInt16BE(held, 30);
  const body = Buffer.concat([Buffer.from('Exif\0\0', 'latin1'), tiff, place]);
  const head = Buffer.from([0xff, 0xe1, 0, 0]);
  head.writeUInt16BE(body.length + 2, 2);
  return Buffer.concat([picture.subarray(0, 2), head, body, picture.subarray(2)]);
}

/** A PNG of one grey, which is small however many pixels it claims. */
export function png(width: number, height: number, rows = height): Buffer {
  const chunk = (type: string, data: Buffer): Buffer => {
    const out = Buffer.alloc(12 + data.length);
    out.writeUInt32BE(data.length, 0);
    out.write(type, 4, 'latin1');
    data.copy(out, 8);
    out.writeUInt32BE(crc32(out.subarray(4, 8 + data.length)), 8 + data.length);
    return out;
  };
  const head = Buffer.alloc(13);
  head.writeUInt32BE(width, 0);
  head.writeUInt32BE(height, 4);
  // Eight bits of grey.
  head[8] = 8;
  return Buffer.concat([
    Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]),
    chunk('IHDR', head),
    chunk('IDAT', deflateSync(Buffer.alloc((width + 1) * rows))),
    chunk('IEND', Buffer.alloc(0)),
  ]);
}
