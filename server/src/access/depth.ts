import type { IncomingMessage, ServerResponse } from 'node:http';

/** How deep lists and things of a body may stand in each other; a cane with canes in it stays far below. */
const MOST_DEPTH = 200;
const [OPEN_LIST, OPEN_THING, CLOSE_LIST, CLOSE_THING, QUOTE, ESCAPE] = [0x5b, 0x7b, 0x5d, 0x7d, 0x22, 0x5c];

/** A body that is refused before it is taken apart. `status` is what the parser answers with. */
class TooDeep extends Error {
  readonly status = 400;
}

function isTooDeep(body: Buffer): boolean {
  let [depth, quoted] = [0, false];
  for (let at = 0; at < body.length; at++) {
    const letter = body[at];
    if (quoted && letter === ESCAPE) at++;
    else if (letter === QUOTE) quoted = !quoted;
    else if (quoted) continue;
    else if (letter === OPEN_LIST || letter === OPEN_THING) depth++;
    else if (letter === CLOSE_LIST || letter === CLOSE_THING) depth--;
    if (depth > MOST_DEPTH) return true;
  }
  return false;
}

/** Looks over a JSON body as bytes, since whatever walks through a very deep one would fall. @throws TooDeep */
export function refuseDeep(_: IncomingMessage, __: ServerResponse, body: Buffer): void {
  if (isTooDeep(body)) throw new TooDeep('too deep');
}
