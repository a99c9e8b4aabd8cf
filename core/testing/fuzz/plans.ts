import { CATALOGUE, type AlterationDefinition, type Value } from '../../alterations/index.ts';
import { stepSchema, type Step } from '../../documents/schema.ts';
import type { Chance } from './chance.ts';

/** Alterations of a family that cannot work on a draft are seldom drawn: most of a search should carry something out. */
const suitsSome = (
  d: AlterationDefinition,
  pieces: Parameters<AlterationDefinition['suits']>[0],
  seams: Parameters<AlterationDefinition['suits']>[1],
) => d.suits(pieces, seams).grade !== 'no';

/** Values within the declared ranges: small ones oftener than large ones, ends and nothing now and then. */
export function randomValues(d: AlterationDefinition, chance: Chance): Readonly<Record<string, Value>> {
  const out: Record<string, Value> = {};
  for (const param of d.params) {
    if (param.key === 'whose') {
      out[param.key] = chance.one(['pattern', 'pattern', 'darts', 'tip']);
      continue;
    }
    // What is not set takes its usual value.
    if (chance.often(0.35) && param.key !== d.amount) continue;
    switch (param.kind) {
      case 'length': {
        const share = chance.often(0.1) ? 1 : chance.next() ** 2;
        const way = param.min < 0 && chance.often(0.5) ? param.min : param.max;
        const from = Math.max(param.min, Math.min(param.max, param.min > 0 ? param.min : 0));
        out[param.key] = chance.often(0.04) ? from : Math.round((from + (way - from) * share) * 10) / 10;
        break;
      }
      case 'share':
        out[param.key] = Math.round(chance.between(param.min, param.max) * 100) / 100;
        break;
      case 'choice':
        out[param.key] = chance.one(param.options);
        break;
      default:
        break;
    }
  }
  return out;
}

export function randomPlan(
  pieces: Parameters<AlterationDefinition['suits']>[0],
  seams: NonNullable<Parameters<AlterationDefinition['suits']>[1]>,
  chance: Chance,
): readonly Step[] {
  const able = CATALOGUE.filter((d) => suitsSome(d, pieces, seams));
  const length = chance.one([1, 2, 2, 3, 3, 4, 5]);
  return Array.from({ length }, (_, i) => {
    const d = chance.often(0.04) || able.length === 0 ? chance.one(CATALOGUE) : chance.one(able);
    const side = chance.often(0.12) ? chance.one(['left', 'right'] as const) : 'both';
    return stepSchema.parse({
      id: `s${i + 1}`,
      alteration: d.id,
      revision: d.revision,
      side,
      values: randomValues(d, chance),
    });
  });
}
