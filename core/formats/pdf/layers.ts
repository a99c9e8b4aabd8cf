import type { PdfDoc, PdfRef } from './canvas.ts';

/** Kinds of line that a viewer or a printing program can switch off, by the names it shows. */
export const PDF_LAYERS = {
  cutting: 'Cutting line',
  seam: 'Seam line',
  original: 'Untouched piece',
  marks: 'Darts and marks',
  words: 'Words',
} as const;
export type PdfLayer = keyof typeof PDF_LAYERS;

/**
 * Optional content: each kind of line on a layer of its own. The PDF library has no call for it, so the objects are
 * written by hand: a group for each layer, named in every page's properties, listed in the catalog.
 */
export class Layers {
  private readonly groups: ReadonlyMap<PdfLayer, PdfRef>;
  constructor(private readonly doc: PdfDoc) {
    const entries = Object.entries(PDF_LAYERS) as [PdfLayer, string][];
    this.groups = new Map(
      entries.map(([id, name]) => {
        const ref = doc.ref({ Type: 'OCG', Name: new String(name) });
        ref.end();
        return [id, ref];
      }),
    );
    const all = [...this.groups.values()];
    doc._root.data['OCProperties'] = { OCGs: all, D: { Order: all, ON: all } };
  }
  /** Draws on a layer. Layers do not nest. */
  on(id: PdfLayer, draw: () => void): void {
    this.doc.page.resources.data['Properties'] = Object.fromEntries(
      [...this.groups].map(([k, ref]) => [`L_${k}`, ref]),
    );
    this.doc.addContent(`/OC /L_${id} BDC`);
    draw();
    this.doc.addContent('EMC');
  }
}
