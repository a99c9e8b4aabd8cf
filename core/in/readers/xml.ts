import { SaxesParser } from 'saxes';
import { ok, refuse, type Result } from '../../units/index.ts';

/** An element of a drawing, with what stands in it. */
export interface Element {
  /** Name without its prefix. */
  readonly name: string;
  readonly attributes: Readonly<Record<string, string>>;
  readonly children: Element[];
  text: string;
}
export type XmlError = 'xml-broken' | 'xml-too-deep' | 'xml-too-many' | 'xml-entities';

const DEEPEST = 256;
const MOST_ELEMENTS = 300_000;
/** Names for addresses that some editors declare at the top; nothing else may be declared. */
const NAMESPACE = /<!ENTITY\s+(ns_\w{1,40})\s+"([^"<>&%]{0,200})"\s*>/g;
const MOST_NAMES = 60;

const plain = (name: string): string => name.slice(name.indexOf(':') + 1);

/**
 * Reads XML into a tree. Streaming, so that depth and number are bounded before memory is; entities of a document's
 * own are refused (a few lines of them can unfold into gigabytes), but for the short names of namespaces.
 */
export function readXml(text: string): Result<Element, XmlError> {
  const parser = new SaxesParser({ xmlns: false, position: true });
  const root: Element = { name: '#document', attributes: {}, children: [], text: '' };
  const open: Element[] = [root];
  let count = 0;
  let wrong: Result<Element, XmlError> | null = null;
  const stop = (result: Result<Element, XmlError>): void => {
    wrong ??= result;
  };
  parser.on('doctype', (declared) => {
    const names = [...declared.matchAll(NAMESPACE)];
    const rest = declared.replace(NAMESPACE, '');
    if (rest.includes('<!ENTITY') || names.length > MOST_NAMES) return stop(refuse('xml-entities'));
    for (const [, name, value] of names) parser.ENTITIES[name as string] = value as string;
  });
  parser.on('error', (error) => stop(refuse('xml-broken', { line: parser.line, what: error.message.slice(0, 160) })));
  parser.on('opentag', (tag) => {
    count++;
    if (count > MOST_ELEMENTS) return stop(refuse('xml-too-many', { most: MOST_ELEMENTS }));
    if (open.length > DEEPEST) return stop(refuse('xml-too-deep', { most: DEEPEST }));
    const attributes: Record<string, string> = {};
    for (const [key, value] of Object.entries(tag.attributes)) attributes[key] = value as string;
    const element: Element = { name: plain(tag.name), attributes, children: [], text: '' };
    open.at(-1)?.children.push(element);
    open.push(element);
  });
  parser.on('closetag', () => void open.pop());
  parser.on('text', (t) => {
    const at = open.at(-1);
    if (at && at.text.length < 100_000) at.text += t;
  });
  parser.on('cdata', (t) => {
    const at = open.at(-1);
    if (at && at.text.length < 100_000) at.text += t;
  });
  // In parts, so that a wrong file ends the work where it is wrong.
  for (let i = 0; i < text.length && !wrong; i += 65_536) {
    try {
      parser.write(text.slice(i, i + 65_536));
    } catch (error) {
      stop(
        refuse('xml-broken', { line: parser.line, what: error instanceof Error ? error.message.slice(0, 160) : '' }),
      );
    }
  }
  try {
    if (!wrong) parser.close();
  } catch {
    stop(refuse('xml-broken', { line: parser.line, what: 'it ends too early' }));
  }
  if (wrong) return wrong;
  const first = root.children[0];
  return first ? ok(first) : refuse('xml-broken', { line: 1, what: 'nothing in it' });
}

/** What an attribute is called by its last part: `x:label` and `label` alike. */
export const attribute = (e: Element, name: string): string | undefined =>
  e.attributes[name] ?? Object.entries(e.attributes).find(([key]) => plain(key) === name)?.[1];
