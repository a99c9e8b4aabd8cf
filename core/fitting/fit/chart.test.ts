import { describe, expect, it } from 'vitest';
import { samplePattern, SAMPLE_CHART } from '../../blocks/index.ts';
import { checkChart, derivedHighBust, headingMeans, pasteChart, scaleChart } from './chart.ts';

const codes = (rows: ReturnType<typeof pasteChart>) => rows.problems.map((p) => p.code);

describe('a pasted chart', () => {
  it('is read with its sizes down the side, in either unit', () => {
    const cm = pasteChart('Size\tBust\tWaist\tHips\n1\t80\t62\t87\n2\t84\t66,5\t91 cm', 'cm');
    expect(cm).toEqual({
      rows: [
        { size: '1', body: { fullBust: 800, waist: 620, hip: 870 } },
        { size: '2', body: { fullBust: 840, waist: 665, hip: 910 } },
      ],
      problems: [],
    });
    const inches = pasteChart('Size\tBust\tWaist\n10\t32 1/2\t25\n12\t34\t26 1/2', 'in');
    expect(inches.rows[0]?.body).toEqual({ fullBust: 825.5, waist: 635 });
  });
  it('is turned where the sizes run along the top', () => {
    const read = pasteChart('\t10\t12\t14\nHigh bust\t81\t86\t91\nBust\t86\t91\t96\nBack length\t40\t40,6\t41', 'cm');
    expect(read.problems).toEqual([]);
    expect(read.rows.map((r) => r.size)).toEqual(['10', '12', '14']);
    expect(read.rows[2]?.body).toEqual({ highBust: 910, fullBust: 960, napeToWaist: 410 });
  });
  it('names the cell that cannot be read, and keeps all others', () => {
    const read = pasteChart('Size;Bust;Waist;Colour\n1;80;sixty;red\n2;84;66;blue\n;90;70;', 'cm');
    expect(read.rows).toEqual([
      { size: '1', body: { fullBust: 800 } },
      { size: '2', body: { fullBust: 840, waist: 660 } },
    ]);
    expect(read.problems).toContainEqual({
      code: 'chart-cell-not-a-length',
      data: { size: '1', column: 'Waist', text: 'sixty' },
    });
    expect(codes(read)).toEqual(['chart-column-unknown', 'chart-cell-not-a-length', 'chart-size-missing', 'chart-gap']);
  });
  it('asks whether inches were meant when all of a column is far too little', () => {
    const read = pasteChart('Size\tBust\tWaist\n10\t34\t26\n12\t36\t28', 'cm');
    expect(codes(read)).toEqual(['chart-looks-like-inches', 'chart-looks-like-inches']);
    expect(scaleChart(read.rows, 2.54)[0]?.body.fullBust).toBeCloseTo(863.6, 6);
    expect(codes(pasteChart('Size\tBust\tWaist\n10\t86\t66\n12\t91\t71', 'in'))).toContain('chart-looks-like-cm');
  });
  it('finds sizes named twice, values that fall, and nothing in an empty paste', () => {
    const read = pasteChart('Size\tBust\n1\t80\n2\t78\n2\t90', 'cm');
    expect(codes(read)).toEqual(['chart-size-repeated', 'chart-out-of-order']);
    expect(read.problems[1]?.data).toEqual({ key: 'fullBust', size: '2', value: 780, before: '1', more: 800 });
    expect(codes(pasteChart('Size\tBust', 'cm'))).toEqual(['chart-empty']);
    expect(pasteChart('', 'cm').rows).toEqual([]);
  });
  it('reads cells in quotes that hold a comma or an inch sign themselves', () => {
    const read = pasteChart('Size,"Bust, full",Waist\n10,"32 1/2""","25"""\n12,"34""","26 1/2"""', 'cm');
    const [ten, twelve] = read.rows.map((r) => r.body);
    expect(ten).toEqual({ fullBust: 825.5, waist: 635 });
    expect(twelve?.fullBust).toBeCloseTo(863.6, 6);
    expect(twelve?.waist).toBeCloseTo(673.1, 6);
  });
  it('goes by the unit its title or a heading names before the one that is set', () => {
    const inches = pasteChart('Body measurements in inches\nSize\tBust\tWaist\n10\t34\t26\n12\t36\t28', 'cm');
    expect(inches.rows[0]?.body.fullBust).toBeCloseTo(863.6, 6);
    expect(inches.problems).toEqual([]);
    const each = pasteChart('Size\tBust (cm)\tWaist (in)\n10\t86\t26\n12\t91\t28', 'in');
    expect(each.rows[0]?.body).toEqual({ fullBust: 860, waist: 660.4 });
  });
  it('leaves out a length that no body has, and names it', () => {
    const read = pasteChart('Size\tBust\tWaist\n1\t80\t62\n2\t84\t6600', 'cm');
    expect(read.rows[1]?.body).toEqual({ fullBust: 840 });
    expect(read.problems[0]).toEqual({ code: 'chart-impossible', data: { key: 'waist', size: '2', value: 66000 } });
  });
  it('takes a child’s sizes as they are', () => {
    const read = pasteChart('Size\tBust\tWaist\tHips\n6\t60\t55\t64\n8\t64\t58\t68', 'cm');
    expect(read.rows[0]?.body).toEqual({ fullBust: 600, waist: 550, hip: 640 });
  });
  it('knows headings in German, French and Spanish', () => {
    const read = pasteChart('Größe\tOberweite\tTaillenumfang\tHüftumfang\n38\t88\t70\t96', 'cm');
    expect(read.rows).toEqual([{ size: '38', body: { fullBust: 880, waist: 700, hip: 960 } }]);
    expect(['Tour de poitrine', 'Contorno de cintura', 'Tour de hanches'].map(headingMeans)).toEqual([
      'fullBust',
      'waist',
      'hip',
    ]);
  });
  it('never throws, whatever is pasted', () => {
    for (const text of ['\t\t\n\t', ',,,\n1,2,3,4,5,6', '\u0000', 'Size\n\n\n', '-1\t-1\n-1\t-1', 'Size\tBust\n1\t-80'])
      expect(() => pasteChart(text, 'cm'), JSON.stringify(text)).not.toThrow();
  });
});

describe('headings', () => {
  it.each([
    ['Hips', 'hip'],
    ['High hip', 'highHip'],
    ['Upper bust', 'highBust'],
    ['Bust (cm)', 'fullBust'],
    ['Back waist length', 'napeToWaist'],
    ['Waist', 'waist'],
    ['Shoulder', 'shoulder'],
    ['crossBack', 'crossBack'],
    ['Sleeve length', 'shoulderToWrist'],
    ['Size', 'size'],
    ['Colour', null],
    ['', null],
  ] as const)('%s means %s', (text, key) => expect(headingMeans(text)).toBe(key));
});

describe('the house’s own chart', () => {
  it('has nothing odd about it', () => {
    expect(checkChart(SAMPLE_CHART)).toEqual([]);
  });
  it('derives a high bust only where none is printed', () => {
    const pattern = samplePattern('causeway', ['4']);
    expect(derivedHighBust({ size: '4', body: { fullBust: 920 } }, pattern)).toBe(870);
    expect(derivedHighBust({ size: '4', body: { fullBust: 920, highBust: 860 } }, pattern)).toBeNull();
    expect(derivedHighBust({ size: '4', body: {} }, pattern)).toBeNull();
  });
});
