import type { Piece } from '../../pattern/index.ts';

/** What a house prints on a piece, as far as it was understood. */
export interface PrintedWords {
  readonly part: Piece['part'] | null;
  readonly cut: number | null;
  readonly onFold: boolean;
  /** Seam allowance, mm; 0 where it says that none is included. */
  readonly allowance: number | null;
  /** Sizes in the order they stand there. */
  readonly sizes: readonly string[];
}

/** Names of pieces in English, German, French and Spanish; the longer ones first, since they hold the shorter. */
const PARTS: readonly (readonly [RegExp, Piece['part']])[] = [
  [
    /side\s*front|seitl\S*\s+vorder|vorder\S*\s+seit|(c[oô]t[eé]|lat[eé]ral)\s*devant|devant\s*c[oô]t[eé]|(costado|lateral)\s+delanter/i,
    'sideFront',
  ],
  [
    /side\s*back|seitl\S*\s+r[uü]ck|r[uü]ck\S*\s+seit|(c[oô]t[eé]|lat[eé]ral)\s*dos|dos\s*c[oô]t[eé]|(costado|lateral)\s+(espalda|traser)/i,
    'sideBack',
  ],
  [
    /skirt.*front|front.*skirt|rock.*vorn|vorder.*rock|jupe.*devant|devant.*jupe|falda.*delanter|delanter.*falda/i,
    'skirtFront',
  ],
  [/skirt.*back|back.*skirt|rock.*hint|hinter.*rock|jupe.*(dos|arri)|dos.*jupe|falda.*(traser|espalda)/i, 'skirtBack'],
  [/waist\s*band|hosenbund|ceinture|pretina|cinturilla/i, 'waistband'],
  [/\bfly\b|hosenschlitz|braguette|bragueta/i, 'flyFacing'],
  [
    /^(?!.*(\b(front|back)\s+pocket|pocket\s*(bag|facing))).*((trouser|pant|leg\b).*front|front.*(trouser|pant|leg\b)|(hose|bein).*vorn|vorder.*(hose|bein)|pantalon.*devant|devant.*pantalon|pantal[oó]n.*delanter|delanter.*pantal[oó]n)/is,
    'trouserFront',
  ],
  [
    /^(?!.*(\b(front|back)\s+pocket|pocket\s*(bag|facing))).*((trouser|pant|leg\b).*back|back.*(trouser|pant|leg\b)|(hose|bein).*hint|hinter.*(hose|bein)|pantalon.*(dos|arri)|dos.*pantalon|pantal[oó]n.*(traser|espalda)|traser.*pantal[oó]n)/is,
    'trouserBack',
  ],
  [/facing.*front|front.*facing|beleg.*vorn|vord.*beleg|parementure.*devant|vista.*delanter/i, 'facingFront'],
  [/facing.*back|back.*facing|beleg.*(r[uü]ck|hint)|r[uü]ck.*beleg|parementure.*dos|vista.*espalda/i, 'facingBack'],
  [/sleeve|[aä]rmel|\bmanche\b|\bmanga\b/i, 'sleeve'],
  [/pocket|tasche|\bpoche\b|bolsillo/i, 'pocket'],
  [/\bcuff|manschette|poignet|pu[nñ]o/i, 'cuff'],
  [/collar\s*stand|kragensteg|\bsteg\b|pied\s*de\s*col|pie\s*de\s*cuello|\bband\b|\bbund\b/i, 'band'],
  [/collar|kragen|\bcol\b|cuello/i, 'collar'],
  [/\byoke\b|passe\b|koller\b|empi[eè]cement|canes[uú]/i, 'yoke'],
  [/front|vorderteil|vorne|\bdevant\b|delanter/i, 'front'],
  [/back|r[uü]cken|r[uü]ckteil|hinterteil|\bdos\b|espalda/i, 'back'],
];
export const partOfWords = (text: string): Piece['part'] | null => PARTS.find(([re]) => re.test(text))?.[1] ?? null;

const ON_FOLD =
  /\bon\s+(the\s+)?fold\b(?!\s*line)|\b(im|am)\s+(stoff)?bruch\b|\bstoffbruch\b|\b(au|sur\s+(le|la))\s+pli(ure)?\b|\b(al|sobre\s+el|en)\s+doblez\b/i;
const CUT =
  /\bcut\s*:?\s*(\d{1,2})\b|\b(\d{1,2})\s*[x×]\s*(?:zu)?schneiden|\b(\d{1,2})\s*[x×](?=\s*(?:\p{L}|$))|\bcouper\s+(\d{1,2})\b|\bcortar\s+(\d{1,2})\b/iu;
const ALLOWANCE =
  '(?:seam\\s+allowances?|nahtzugaben?|(?:valeurs?|marges?)\\s+de\\s+coutures?|margen(?:es)?\\s+de\\s+costura)';
const AMOUNT = '(\\d+\\s+\\d+/\\d+|\\d+/\\d+|\\d+(?:[.,]\\d+)?)\\s*(mm|cm|in\\b|inch(?:es)?|["″])?';
const AFTER = new RegExp(`${ALLOWANCE}[^0-9]{0,24}${AMOUNT}`, 'i');
const BEFORE = new RegExp(`${AMOUNT}\\s*${ALLOWANCE}`, 'i');
const WITHOUT = new RegExp(
  `${ALLOWANCE}\\s+(?:is\\s+|are\\s+)?not\\s+included|without\\s+${ALLOWANCE}|no\\s+${ALLOWANCE}|ohne\\s+${ALLOWANCE}|sans\\s+${ALLOWANCE}|sin\\s+${ALLOWANCE}`,
  'i',
);
/** More is not a seam allowance but something else that stands beside the words, mm. */
const MOST = 60;

/** A number as written: 1,5 or 5/8 or 1 1/4. */
function numberOf(text: string): number {
  const [whole, fraction] = /^\d+\s+\d+\/\d+$/.test(text)
    ? text.split(/\s+/)
    : text.includes('/')
      ? ['0', text]
      : [text, '0/1'];
  const [top = '0', bottom = '1'] = (fraction ?? '0/1').split('/');
  return Number((whole ?? '0').replace(',', '.')) + Number(top) / Number(bottom);
}

/** Without a unit, what is small is centimetres, as houses write it; a fraction is inches. */
function millimetres(amount: string, unit: string | undefined): number | null {
  const value = numberOf(amount);
  const per = unit?.startsWith('mm')
    ? 1
    : unit?.startsWith('cm')
      ? 10
      : unit
        ? 25.4
        : amount.includes('/')
          ? 25.4
          : value <= 5
            ? 10
            : 1;
  const mm = value * per;
  return Number.isFinite(mm) && mm >= 0 && mm <= MOST ? Math.round(mm * 100) / 100 : null;
}

function allowanceIn(text: string): number | null {
  if (WITHOUT.test(text)) return 0;
  const found = AFTER.exec(text) ?? BEFORE.exec(text);
  return found?.[1] ? millimetres(found[1], found[2]?.toLowerCase()) : null;
}

const ONE_SIZE = '(?:[A-Z]{0,3}\\d{1,3}|X{0,3}[SML])';
const SIZES = new RegExp(
  `\\b(?:sizes?|gr(?:ö|oe)(?:ß|ss)en?|gr\\.|tailles?|tallas?)\\s*:?\\s*(${ONE_SIZE}(?:[\\s,;/|–-]+${ONE_SIZE})*)\\b`,
  'i',
);

/** Reads what is printed on a piece, line by line, in English, German, French and Spanish. */
export function printedWords(lines: readonly string[]): PrintedWords {
  const first = <T>(read: (line: string) => T | null): T | null => {
    for (const line of lines) {
      const found = read(line);
      if (found !== null) return found;
    }
    return null;
  };
  const cut = first((line) => {
    const n = Number(
      CUT.exec(line)
        ?.slice(1)
        .find((g) => g !== undefined),
    );
    return Number.isInteger(n) && n > 0 && n <= 20 ? n : null;
  });
  const sizes = first((line) => SIZES.exec(line)?.[1]?.split(/[\s,;/|–-]+/) ?? null) ?? [];
  return {
    part: first(partOfWords),
    cut,
    onFold: lines.some((line) => ON_FOLD.test(line)),
    allowance: first(allowanceIn),
    sizes,
  };
}
