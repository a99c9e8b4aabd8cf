import type { Point } from '../../geometry/index.ts';
import { MOST_SPANS } from '../tracing/index.ts';
import type { Entity } from './dxfTypes.ts';

const MOST_TAGS = 12_000_000;

export interface Block {
  readonly name: string;
  readonly base: Point;
  readonly entities: readonly Entity[];
}
/** A drawing's entities by where they stand, and what its tables say. */
export interface Parsed {
  readonly header: ReadonlyMap<string, string>;
  readonly layers: readonly { readonly name: string; readonly on: boolean }[];
  readonly blocks: ReadonlyMap<string, Block>;
  readonly entities: readonly Entity[];
  readonly ended: boolean;
  /** There was more than any pattern has; what comes after was not looked at. */
  readonly tooMany: boolean;
}

/** Pairs of a code and a value, one after the other; stops quietly where a code is not a number. */
function* tagsOf(text: string): Generator<readonly [number, string]> {
  let at = 0;
  const line = (): string | null => {
    if (at >= text.length) return null;
    let end = text.indexOf('\n', at);
    if (end < 0) end = text.length;
    const l = text.slice(at, text.charCodeAt(end - 1) === 13 ? end - 1 : end);
    at = end + 1;
    return l;
  };
  for (let n = 0; n < MOST_TAGS; n++) {
    const code = line();
    const value = line();
    if (code === null || value === null) return;
    const k = Number(code.trim());
    if (code.trim() === '' || !Number.isInteger(k)) return;
    yield [k, value];
  }
}

interface OpenBlock {
  name: string;
  base: { x: number; y: number };
  entities: Entity[];
}

/** Sorts tags into entities, one after the other. A missing SEQEND, ENDSEC or EOF only ends what stood open. */
class Parser {
  readonly header = new Map<string, string>();
  readonly layers: { name: string; on: boolean }[] = [];
  readonly blocks = new Map<string, Block>();
  readonly entities: Entity[] = [];
  ended = false;
  #section = '';
  #variable = '';
  #wantsName = false;
  #block: OpenBlock | null = null;
  #inBlockHead = false;
  #entity: Entity | null = null;
  #polyline: Entity | null = null;
  #layer: { name: string; on: boolean } | null = null;

  take(code: number, value: string): void {
    if (code === 0) this.#begin(value.trim());
    else if (this.#wantsName && code === 2) {
      this.#section = value.trim();
      this.#wantsName = false;
    } else if (this.#section === 'HEADER') this.#inHeader(code, value.trim());
    else if (this.#layer) this.#inLayer(this.#layer, code, value);
    else if (this.#inBlockHead && this.#block) this.#inBlock(this.#block, code, value);
    else if (this.#entity) this.#inEntity(this.#entity, code, value);
  }

  /** Files what is still open at the end. */
  finish(): void {
    this.#closeEntity();
    this.#closeBlock();
  }

  #begin(type: string): void {
    this.#closeEntity();
    this.#inBlockHead = false;
    this.#layer = null;
    if (type === 'SECTION') this.#wantsName = true;
    else if (type === 'ENDSEC') this.#section = '';
    else if (type === 'EOF') this.ended = true;
    else if (this.#section === 'TABLES' && type === 'LAYER') {
      this.#layer = { name: '', on: true };
      this.layers.push(this.#layer);
    } else if (this.#section === 'BLOCKS' && type === 'BLOCK') {
      this.#block = { name: '', base: { x: 0, y: 0 }, entities: [] };
      this.#inBlockHead = true;
    } else if (this.#section === 'BLOCKS' && type === 'ENDBLK') this.#closeBlock();
    else if (this.#section === 'ENTITIES' || (this.#section === 'BLOCKS' && this.#block))
      this.#entity = { type, layer: '', numbers: [], texts: [], vertices: [] };
  }

  #closeEntity(): void {
    const entity = this.#entity;
    if (!entity) return;
    this.#entity = null;
    if (entity.type === 'VERTEX' && this.#polyline) return void this.#polyline.vertices.push(entity);
    this.#polyline = entity.type === 'POLYLINE' ? entity : null;
    if (entity.type !== 'SEQEND') (this.#block?.entities ?? this.entities).push(entity);
  }

  #closeBlock(): void {
    if (this.#block && this.#block.name !== '') this.blocks.set(this.#block.name, this.#block);
    this.#block = null;
  }

  #inHeader(code: number, value: string): void {
    if (code === 9) this.#variable = value;
    else if (!this.header.has(this.#variable)) this.header.set(this.#variable, value);
  }

  #inLayer(layer: { name: string; on: boolean }, code: number, value: string): void {
    if (code === 2) layer.name = value.trim();
    // Off is a negative colour, frozen a bit.
    if (code === 62 && Number(value) < 0) layer.on = false;
    if (code === 70 && (Number(value) & 1) === 1) layer.on = false;
  }

  #inBlock(block: OpenBlock, code: number, value: string): void {
    if (code === 2) block.name = value.trim();
    if (code === 10) block.base.x = Number(value) || 0;
    if (code === 20) block.base.y = Number(value) || 0;
  }

  #inEntity(entity: Entity, code: number, value: string): void {
    if (code === 8) entity.layer = value.trim();
    else if (code === 1 || code === 2 || code === 3) entity.texts.push([code, value]);
    else if (code >= 10 && code < 80) entity.numbers.push([code, Number(value)]);
  }
}

/** Whether more entities begin than any pattern has: counted by their code alone, before anything is kept of them. */
function hasTooMany(text: string): boolean {
  let count = 0;
  for (let at = 0; at < text.length && count <= MOST_SPANS;) {
    const code = text.indexOf('\n', at);
    if (code < 0) break;
    if (text.slice(at, code).trim() === '0') count++;
    const value = text.indexOf('\n', code + 1);
    if (value < 0) break;
    at = value + 1;
  }
  return count > MOST_SPANS;
}

/** Takes the text of a drawing apart, unless there is more in it than any pattern has: all entities are kept in memory. */
export function parseDxf(text: string): Parsed {
  const parser = new Parser();
  const tooMany = hasTooMany(text);
  if (!tooMany)
    for (const [code, value] of tagsOf(text)) {
      parser.take(code, value);
      if (parser.ended) break;
    }
  parser.finish();
  const { header, layers, blocks, entities, ended } = parser;
  return { header, layers, blocks, entities, ended, tooMany };
}
