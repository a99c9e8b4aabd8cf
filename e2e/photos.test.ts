import { draftSample } from '@ample/core/blocks';
import {
  boundsOf,
  flatten,
  nearestOnPath,
  pathFromSpans,
  pathLength,
  pointAt,
  spansOf,
  type Path,
  type Point,
  type Span,
} from '@ample/core/geometry';
import { cuttingLine, outlineOf, type Pattern, type Piece } from '@ample/core/pattern';
import { partScene, takePhoto, USUAL_CAMERA, type Scene } from '@ample/core/in/photo';
import { cornersOf, ringThrough } from '@ample/core/in/tracing';
import type { Page } from '@playwright/test';
import { expect, storedJob, test } from './app.ts';

const drafted = draftSample('causeway', '5');
const pieceOf = (id: string): Piece => drafted.find((p) => p.id === id) as Piece;
/** The cutting line of a piece as one clockwise ring. */
function truthOf(id: string): Path {
  const cut = cuttingLine(pieceOf(id));
  const path = { start: cut.start, segments: [...cut.segments, { kind: 'line' as const, to: cut.start }] };
  const ring = ringThrough([{ path, closed: true, layer: '', style: '', page: 0, kind: null, block: '' }], 0);
  if (!ring.ok) throw new Error(ring.error.code);
  return ring.value.path;
}

async function openBring(page: Page, source: string): Promise<void> {
  await page.goto('/job/marit-causeway/bring');
  await page.getByRole('button', { name: source }).click();
}
const patternIn = async (page: Page): Promise<Pattern> =>
  ((await storedJob(page)) as unknown as { pattern: Pattern }).pattern;
const takenPieces = async (page: Page): Promise<readonly Piece[]> =>
  Object.values((await patternIn(page)).sizes ?? {}).flat();
const drawn = (page: Page) => page.getByRole('region', { name: 'Pieces drawn so far' });
const cards = (page: Page) => page.getByRole('list', { name: 'Pieces as they were read' }).getByRole('listitem');

/** Where a place of the drawing lies on the screen. */
async function onScreen(page: Page, name: string, p: Point): Promise<Point> {
  const svg = page.getByRole('application', { name });
  const box = await svg.boundingBox();
  const transform = (await svg.locator('> g').getAttribute('transform')) ?? '';
  const [x = 0, y = 0, k = 1] = [...transform.matchAll(/-?[\d.]+(?:e-?\d+)?/g)].map(Number);
  return { x: (box?.x ?? 0) + x + p.x * k, y: (box?.y ?? 0) + y + p.y * k };
}
const clickAt = async (page: Page, name: string, p: Point): Promise<void> => {
  const at = await onScreen(page, name, p);
  await page.mouse.click(at.x, at.y);
};

/** Takes a picture with the stand-in camera, marks the sheet in it and lays it flat; where the sheet's corner lies. */
async function shoot(page: Page, id: string, part: 'whole' | 'upper' | 'lower' = 'whole'): Promise<Point> {
  const cut = cuttingLine(pieceOf(id));
  const scene: Scene = part === 'whole' ? {} : partScene(cut, part);
  await page.getByLabel('Piece for the stand-in', { exact: true }).selectOption(id);
  await page.getByLabel('Part of the piece for the stand-in').selectOption(part);
  await page.getByRole('button', { name: 'Stand-in camera' }).click();
  await expect(page.getByText('Click its upper left corner')).toBeVisible();
  for (const m of takePhoto(cut, USUAL_CAMERA, scene).marks) await clickAt(page, 'The picture', m.seen);
  await page.getByRole('button', { name: 'Lay it flat' }).click();
  await expect(page.getByRole('application', { name: 'The picture laid flat' })).toBeVisible();
  const box = boundsOf(flatten(cut, 0.1));
  return scene.sheetAt ?? { x: box.maxX + 25, y: box.minY };
}
const clickFlat = (page: Page, p: Point, by: Point) =>
  clickAt(page, 'The picture laid flat', { x: p.x - by.x, y: p.y - by.y });

/** Clicks round a piece: every corner, and a place each 45 mm of curve. */
async function clickRound(page: Page, truth: Path, by: Point): Promise<void> {
  const spans = spansOf(truth);
  const corners = cornersOf(truth, 4);
  for (const [i, c] of corners.entries()) {
    await page.getByRole('radio', { name: 'corner' }).check();
    await clickFlat(page, c.at, by);
    const next = corners[(i + 1) % corners.length]?.span ?? 0;
    const run: Span[] = [];
    for (let k = c.span; k !== next; k = (k + 1) % spans.length) run.push(spans[k] as Span);
    if (run.every((s) => s.kind === 'line')) continue;
    await page.getByRole('radio', { name: 'on a curve' }).check();
    const path = pathFromSpans(run);
    const n = Math.ceil(pathLength(path) / 45);
    for (let k = 1; k < n; k++) await clickFlat(page, pointAt(path, (pathLength(path) * k) / n), by);
  }
}

/** From the contact sheet to the pattern, the outlines being seam lines. */
async function takeAll(page: Page, count: number): Promise<void> {
  await expect(cards(page)).toHaveCount(count);
  await page.getByLabel(/Seam allowance/).fill('0');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: /pieces? (are|is) right/ }).click();
  await page.getByRole('button', { name: 'The seams are right' }).click();
  await page.getByRole('button', { name: /^Take \d+ pieces? in 1 size/ }).click();
  await expect.poll(async () => (await takenPieces(page)).length).toBe(count);
}

/** How far a piece lies from the truth anywhere, both laid corner to corner. */
function apart(piece: Piece, truth: Path): number {
  const line = outlineOf(piece);
  const [a, b] = [boundsOf(flatten(truth, 0.1)), boundsOf(flatten(line, 0.1))];
  const to = { x: (a.minX + a.maxX - b.minX - b.maxX) / 2, y: (a.minY + a.maxY - b.minY - b.maxY) / 2 };
  return Math.max(
    ...flatten(line, 0.5).map((p) => nearestOnPath(truth, { x: p.x + to.x, y: p.y + to.y }).distance),
    ...flatten(truth, 0.5).map((p) => nearestOnPath(line, { x: p.x - to.x, y: p.y - to.y }).distance),
  );
}

test('photos of two pieces, one after the other, come in together within a millimetre and a half', async ({ page }) => {
  await openBring(page, 'Photo or scan');
  for (const [id, part, nth] of [
    ['front', 'front', 1],
    ['back', 'back', 2],
  ] as const) {
    const by = await shoot(page, id);
    await expect(page.getByText(/A mark one pixel off moves the outline by/)).toBeVisible();
    await clickRound(page, truthOf(id), by);
    await page.getByRole('button', { name: 'Follow the edges' }).click();
    await expect(drawn(page).getByRole('listitem')).toHaveCount(nth);
    // A step here is taken back like any other.
    await page.keyboard.press('Control+z');
    await expect(drawn(page).getByRole('listitem')).toHaveCount(nth - 1);
    await page.keyboard.press('Control+Shift+z');
    await drawn(page).getByRole('listitem').last().getByLabel('This piece is the').selectOption(part);
    await page.getByRole('button', { name: 'Take another picture' }).click();
  }
  // What was drawn is kept over a reload.
  await page.reload();
  await page.getByRole('button', { name: 'Photo or scan' }).click();
  await page.getByLabel('Their size, if you like').fill('38');
  await page.getByRole('button', { name: 'Import these 2 pieces' }).click();
  await takeAll(page, 2);
  expect(Object.keys((await patternIn(page)).sizes)).toEqual(['38']);
  for (const piece of await takenPieces(page)) expect(apart(piece, truthOf(piece.part)), piece.part).toBeLessThan(1.5);
});

test('two photos of a long piece are joined by the crosses on it, and it is traced over both', async ({ page }) => {
  const id = 'skirtBack';
  const cut = cuttingLine(pieceOf(id));
  const { crosses = [] } = partScene(cut, 'upper');
  await openBring(page, 'Photo or scan');
  const by = await shoot(page, id, 'upper');
  await page.getByRole('button', { name: 'The piece goes on in another picture' }).click();
  for (const c of crosses) await clickFlat(page, { x: c.x + 1.5, y: c.y - 1 }, by);
  await page.getByRole('button', { name: 'Go on to the next picture' }).click();
  await expect(page.getByRole('img', { name: 'The picture before, with 3 marks' })).toBeVisible();
  const next = await shoot(page, id, 'lower');
  await expect(page.getByText('Click mark 1 of 3')).toBeVisible();
  // In another order they do not agree, and that is said.
  for (const c of [...crosses].reverse()) await clickFlat(page, c, next);
  await page.getByRole('button', { name: 'Join the pictures' }).click();
  await expect(page.getByRole('alert')).toContainText('in the same order');
  for (let i = 0; i < 3; i++) await page.getByRole('button', { name: 'Remove the last mark' }).click();
  for (const c of crosses) await clickFlat(page, c, next);
  await page.getByRole('button', { name: 'Join the pictures' }).click();
  await expect(page.getByText('The pictures are joined.')).toBeVisible();
  await clickRound(page, truthOf(id), by);
  await page.getByRole('button', { name: 'Follow the edges' }).click();
  await drawn(page).getByLabel('This piece is the').selectOption('skirtBack');
  await page.getByRole('button', { name: 'Import this piece' }).click();
  await takeAll(page, 1);
  const [piece] = await takenPieces(page);
  expect(apart(piece as Piece, truthOf(id))).toBeLessThan(2);
});

test('places read off a mat are typed with the keyboard alone and become a piece, with its dart', async ({ page }) => {
  await openBring(page, 'Mat coordinates');
  await page.getByLabel('Row 1, across').focus();
  const rows = ['5 5', '5 40', '11 42 k', '14 47', '25 43', '24 36 k', '27 30 k', '32 29', '28 5'];
  const dart = ['17 25 d', '31 23 l', '30.5 20 l'];
  for (const row of [...rows, ...dart]) {
    const [x = '', y = '', kind] = row.split(' ');
    await page.keyboard.type(x);
    await page.keyboard.press('Enter');
    await page.keyboard.type(y);
    if (kind) await page.keyboard.press(kind);
    await page.keyboard.press('Enter');
  }
  await expect(page.getByLabel('Row 13, across')).toBeFocused();
  await page.reload();
  await page.getByRole('button', { name: 'Mat coordinates' }).click();
  await expect(page.getByLabel('Row 9, up')).toHaveValue('5');
  await page.getByRole('button', { name: 'Add this piece' }).click();
  await expect(page.getByLabel('Row 1, across')).toHaveValue('');
  await drawn(page).getByLabel('This piece is the').selectOption('front');
  await page.getByRole('button', { name: 'Import this piece' }).click();
  await takeAll(page, 1);
  const [piece] = (await takenPieces(page)) as [Piece];
  expect(piece.darts).toHaveLength(1);
  const roles = new Set(piece.edges.map((e) => e.role));
  expect([...roles].sort()).toEqual(['armhole', 'centreFront', 'dart', 'neck', 'shoulder', 'side', 'waist']);
  // By hand: the shoulder runs 11 cm across and 4 down; the centre front is 35 cm.
  const length = (role: string): number =>
    pathLength((piece.edges.find((e) => e.role === role) as Piece['edges'][number]).path);
  expect(length('shoulder')).toBeCloseTo(10 * Math.hypot(11, 4), 3);
  expect(length('centreFront')).toBeCloseTo(350, 3);
});
