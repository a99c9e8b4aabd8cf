import type { PdfDoc, PdfRef } from './canvas.ts';

/** Kinds of line that are drawn or left out, and that a viewer can switch off, by the names it shows. */
export const PDF_LAYERS = {
  added: 'Added paper',
  original: 'Untouched piece',
  cutting: 'Cutting line',
  seam: 'Seam line',
  marks: 'Darts and marks',
  words: 'Words',
  patch: 'Edge of the patch',
} as const;
export type PdfLayer = keyof typeof PDF_LAYERS;
/** The lines needed for cutting. Added paper is left out: it matters only to someone altering the tissue itself. */
export const USUAL_LINES: readonly PdfLayer[] = ['original', 'cutting', 'seam', 'marks', 'words', 'patch'];

/**
 * Optional content: each kind of line on a layer of its own. The PDF library has no call for it, so the objects are
 * written by hand: a group for each layer that draws something, named in every page's properties, listed in the catalog.
 */
export class Layers {
  private readonly groups = new Map<PdfLayer, PdfRef>();
  constructor(
    private readonly doc: PdfDoc,
    private readonly show: readonly PdfLayer[] = USUAL_LINES,
  ) {}

  /** Draws on a layer, unless that is left out. Layers do not nest. */
  on(id: PdfLayer, draw: () => void): void {
    if (!this.show.includes(id)) return;
    const { data } = this.doc.page.resources;
    data['Properties'] = { ...(data['Properties'] as object | undefined), [`L_${id}`]: this.group(id) };
    this.doc.addContent(`/OC /L_${id} BDC`);
    draw();
    this.doc.addContent('EMC');
  }

  private group(id: PdfLayer): PdfRef {
    const known = this.groups.get(id);
    if (known) return known;
    const ref = this.doc.ref({ Type: 'OCG', Name: new String(PDF_LAYERS[id]) });
    ref.end();
    this.groups.set(id, ref);
    const all = [...this.groups.values()];
    this.doc._root.data['OCProperties'] = { OCGs: all, D: { Order: all, ON: all } };
    return ref;
  }
}
