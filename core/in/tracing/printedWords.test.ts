import { describe, expect, it } from 'vitest';
import { printedWords } from './printedWords.ts';

describe('what a house prints on a piece', () => {
  it.each([
    ['Front', 'front'],
    ['Side Back', 'sideBack'],
    ['Seitliches Vorderteil', 'sideFront'],
    ['Rückenteil', 'back'],
    ['Ärmel', 'sleeve'],
    ['Devant', 'front'],
    ['Dos', 'back'],
    ['Côté devant', 'sideFront'],
    ['Espalda', 'back'],
    ['Delantero de la falda', 'skirtFront'],
    ['A. Kragen', 'collar'],
    ['6 Kragensteg 2x', 'band'],
    ['Collar stand', 'band'],
    ['Rückenpasse', 'yoke'],
    ['Back yoke, cut 2', 'yoke'],
    ['12 CUFF cut 4', 'cuff'],
    ['Manschette 4x', 'cuff'],
    ['Trousers front', 'trouserFront'],
    ['Back leg, cut 2', 'trouserBack'],
    ['Vordere Hose', 'trouserFront'],
    ['Pantalon dos', 'trouserBack'],
    ['Pantalón delantero', 'trouserFront'],
    ['Waistband, trousers', 'waistband'],
    ['Trousers: front pocket', 'pocket'],
    ['Trouser front, pocket placement', 'trouserFront'],
    ['Trouser fly', 'flyFacing'],
    ['Lengthen or shorten here', null],
  ])('%s is %s', (text, part) => {
    expect(printedWords([text]).part).toBe(part);
  });
  it('says how many and whether on the fold, in four languages', () => {
    for (const text of ['Cut 1 on fold', '1 x im Bruch', 'couper 1 fois au pli', 'cortar 1 al doblez'])
      expect(printedWords([text]), text).toMatchObject({ cut: 1, onFold: true });
    for (const text of ['cut 2', '2x zuschneiden', 'Couper 2 fois', 'Cortar 2'])
      expect(printedWords([text]), text).toMatchObject({ cut: 2, onFold: false });
    // What folds on the paper, or is pressed, is not a fold of the cloth; a square is not a number of pieces.
    for (const text of ['fold line of the facing', 'press on the fold line'])
      expect(printedWords([text]).onFold, text).toBe(false);
    for (const text of ['Test square 10 x 10 cm', '10 cm x 10 cm', '4 x 4 in'])
      expect(printedWords([text]).cut, text).toBeNull();
    expect(printedWords(['Vorderteil 1x im Bruch']).cut).toBe(1);
  });
  it.each([
    ['Seam allowance 1 cm included', 10],
    ['seam allowance: 5/8"', 15.88],
    ['1,5 cm Nahtzugabe enthalten', 15],
    ['Nahtzugabe 1 enthalten', 10],
    ['Valeur de couture comprise : 7 mm', 7],
    ['margen de costura 1 cm', 10],
    ['seam allowance 1/4 in', 6.35],
    ['Seam allowances are not included', 0],
    ['ohne Nahtzugabe', 0],
    ['Test square 10 cm', null],
  ])('%s: %s mm', (text, mm) => {
    expect(printedWords([text]).allowance).toBe(mm);
  });
  it('lists the sizes of a nest in their order', () => {
    expect(printedWords(['Size 36 38 40']).sizes).toEqual(['36', '38', '40']);
    expect(printedWords(['Größe 36-38-40']).sizes).toEqual(['36', '38', '40']);
    expect(printedWords(['Taille : S, M, L']).sizes).toEqual(['S', 'M', 'L']);
    expect(printedWords(['Test square 10 cm']).sizes).toEqual([]);
  });
});
