import { complaint } from './sentences.js';

/** Elements of a drawing, and how deep they may stand in each other. */
const MOST_ELEMENTS = 60_000;
const MOST_DEPTH = 60;
/** Letters that the attributes of one element may have beside its path. */
const MOST_IN_TAG = 2_000_000;

/** Where what begins at `from` ends: behind `mark`, or at the end of the text. */
function behind(text: string, mark: string, from: number): number {
  const at = text.indexOf(mark, from);
  return at < 0 ? text.length : at + mark.length;
}

/** Where a tag ends, quotation marks observed. */
function tagEnd(text: string, from: number): number {
  for (let at = from; at < text.length; at++) {
    const letter = text[at];
    if (letter === '>') return at;
    if (letter === '"' || letter === "'") {
      const close = text.indexOf(letter, at + 1);
      if (close < 0) return text.length;
      at = close;
    }
  }
  return text.length;
}

/**
 * Takes the head off an XML text: byte-order mark, declarations, comments and
 * a doctype, which may hold declarations of its own. What is declared there
 * is not read.
 */
export function withoutHead(text: string): string {
  let at = 0;
  for (;;) {
    while (/\s|\uFEFF/.test(text[at] ?? '')) at++;
    if (text.startsWith('<?', at)) at = behind(text, '?>', at);
    else if (text.startsWith('<!--', at)) at = behind(text, '-->', at);
    else if (text.slice(at, at + 9).toUpperCase() === '<!DOCTYPE') at = doctypeEnd(text, at);
    else return text.slice(at);
  }
}

function doctypeEnd(text: string, from: number): number {
  const close = text.indexOf('>', from);
  const open = text.indexOf('[', from);
  if (open < 0 || (close >= 0 && close < open)) return close < 0 ? text.length : close + 1;
  return behind(text, '>', behind(text, ']', open));
}

const escaped = (text: string): string => text.replaceAll('&', '&amp;').replaceAll('<', '&lt;');

/**
 * Takes comments out, and writes what stands in CDATA as plain text: each
 * letter is looked at once.
 * @throws Complaint `svg/unreadable` where one has no end
 */
export function withoutSections(text: string): string {
  const parts: string[] = [];
  let from = 0;
  for (let at = text.indexOf('<!', from); at >= 0; at = text.indexOf('<!', at)) {
    const data = text.startsWith('<![CDATA[', at);
    if (!data && !text.startsWith('<!--', at)) {
      at += 2;
      continue;
    }
    const mark = data ? ']]>' : '-->';
    const close = text.indexOf(mark, at + (data ? 9 : 4));
    if (close < 0) throw complaint('svg/unreadable');
    parts.push(text.slice(from, at), data ? escaped(text.slice(at + 9, close)) : '');
    from = close + mark.length;
    at = from;
  }
  return [...parts, text.slice(from)].join('');
}

/**
 * Counts the elements of an XML text without comments and CDATA, and how
 * deep they stand, before it is taken apart.
 * @throws Complaint `svg/deep`, `svg/elements`, `svg/large`
 */
export function countElements(text: string): void {
  let [depth, elements] = [0, 0];
  for (let at = text.indexOf('<'); at >= 0; at = text.indexOf('<', at)) {
    const end = tagEnd(text, at + 1);
    if (end - at > MOST_IN_TAG) throw complaint('svg/large');
    if (text[at + 1] === '/') depth -= 1;
    else if (/[A-Za-z_]/.test(text[at + 1] ?? '')) {
      elements += 1;
      if (text[end - 1] !== '/') depth += 1;
    }
    if (depth > MOST_DEPTH) throw complaint('svg/deep');
    if (elements > MOST_ELEMENTS) throw complaint('svg/elements', { most: MOST_ELEMENTS });
    at = end;
  }
}
