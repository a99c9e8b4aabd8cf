import { hostname } from 'node:os';
import { isIP } from 'node:net';
import type { RequestHandler } from 'express';

/** The name in a Host header, without the port; null where it reads as none. */
function nameIn(host: string | undefined): string | null {
  const found = /^(?:\[([0-9a-f:.]+)\]|([a-z0-9._-]+))(?::\d{1,5})?$/i.exec(host ?? '');
  return (found?.[1] ?? found?.[2] ?? null)?.toLowerCase() ?? null;
}

/**
 * Answers only under addresses and names of this machine, and those given: a page of another site whose name was made to
 * point here would otherwise read what only this origin may. Numbers cannot be made to point anywhere.
 */
export function onlyNames(names: readonly string[]): RequestHandler {
  const own = hostname().toLowerCase();
  const known = new Set(['localhost', own, `${own}.local`, ...names.map((n) => n.trim().toLowerCase())]);
  return (request, response, next) => {
    const name = nameIn(request.headers.host);
    if (name !== null && (isIP(name) !== 0 || known.has(name))) return next();
    response
      .status(421)
      .type('text/plain')
      .send('This server does not answer under that name. Start it with NAMES set to the names it is reached by.');
  };
}
