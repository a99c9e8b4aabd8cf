/** Reads a binary greymap (P5) and answers where dark lines begin along one row or column, in pixels. */
export function blackRuns(pgm: Buffer, way: 'row' | 'column', at: number): readonly number[] {
  const head = /^P5\s+(?:#.*\s)?(\d+)\s+(\d+)\s+(\d+)\s/.exec(pgm.subarray(0, 200).toString('latin1'));
  if (!head) throw new Error('raster: expected a binary greymap');
  const width = Number(head[1]);
  const height = Number(head[2]);
  const start = head[0].length;
  const size = way === 'row' ? width : height;
  const value = (i: number): number => pgm[start + (way === 'row' ? at * width + i : i * width + at)] ?? 255;
  const centres: number[] = [];
  let from = -1;
  for (let i = 0; i <= size; i++) {
    const dark = i < size && value(i) < 128;
    if (dark && from < 0) from = i;
    if (!dark && from >= 0) {
      centres.push((from + i - 1) / 2);
      from = -1;
    }
  }
  return centres;
}
