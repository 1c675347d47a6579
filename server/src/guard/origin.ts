import type { RequestHandler } from 'express';
import { HttpError } from '../errors';

const LOOPBACK = ['127.0.0.1', 'localhost', '[::1]'];

/** The name in a Host header, without its port. */
const nameOf = (host: string) => host.toLowerCase().replace(/:\d+$/, '');

/**
 * Lets pass what comes from the server's own pages, and from programs that are no pages. Another site's page may not read, write or
 * compute here, nor may a page whose name was made to lead to this server.
 * @param names names by which the server is reached beside the loopback ones
 */
export function ownOrigin(names: readonly string[] = []): RequestHandler {
  const known = new Set([...LOOPBACK, ...names.map((name) => name.toLowerCase())]);
  return (request, _response, next) => {
    const host = request.headers.host ?? '';
    if (!known.has(nameOf(host))) throw new HttpError(403, 'refused', 'this server is not known by the name that was asked for');
    const site = request.headers['sec-fetch-site'];
    const { origin } = request.headers;
    const isOwn =
      site !== undefined
        ? site === 'same-origin' || site === 'none'
        : origin === undefined || origin === `http://${host}` || origin === `https://${host}`;
    // a browser that is old or odd may send both: neither may say that it comes from elsewhere
    const isForeign = origin !== undefined && origin !== `http://${host}` && origin !== `https://${host}`;
    if (!isOwn || isForeign) throw new HttpError(403, 'refused', 'pages of other sites may not ask for this');
    next();
  };
}
