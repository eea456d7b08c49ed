// What stands before every page, file and endpoint: who is asking, by which name, and the headers each answer has.
import { isIP } from 'node:net';

/** The methods any page or endpoint knows. */
export const METHODS = ['GET', 'HEAD', 'OPTIONS', 'POST', 'PUT', 'PATCH', 'DELETE'];

/** On every answer: files and errors too. */
export const HEADERS = {
  'x-content-type-options': 'nosniff',
  'x-frame-options': 'DENY',
  'referrer-policy': 'same-origin',
  'cross-origin-opener-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
  'permissions-policy': 'camera=(), geolocation=(), microphone=()',
};
/** For files, where the pages' own policy does not stand: workers keep to it. */
export const FILE_POLICY = "default-src 'self'; object-src 'none'; base-uri 'none'; frame-ancestors 'none'";

const LOOPBACK = new Set(['localhost', '127.0.0.1', '[::1]', '::1']);
export const isLoopback = (host) => LOOPBACK.has(host.toLowerCase());

/** The name in a Host header, without its port. */
const nameOf = (host) => host.toLowerCase().replace(/:\d*$/, '');

/** Tells whether a Host header names this server: by a loopback name, or one of a list parted by commas. */
export function hostsAllowed(list = '') {
  const allowed = new Set(
    list
      .split(',')
      .map((host) => host.trim().toLowerCase())
      .filter(Boolean),
  );
  return (host) => typeof host === 'string' && (isLoopback(nameOf(host)) || allowed.has(nameOf(host)));
}

/** Images are served as they are: nothing is made anew for whoever asks. */
export const isImageService = (url) => /^\/+_image(?:[/?]|$)/i.test(url);

/** Whether the path of a request can be read at all. */
export function isReadable(url) {
  try {
    decodeURI(url);
    return url.startsWith('/') && !/%00/.test(url);
  } catch {
    return false;
  }
}

/**
 * The address and protocol of a client: of the connection, or, behind as many proxies as are trusted, what the outermost of them
 * wrote down.
 */
export function clientOf(request, proxies = 0) {
  const last = (name) => {
    const values = String(request.headers[name] ?? '')
      .split(',')
      .map((value) => value.trim());
    return proxies > 0 ? (values.at(-proxies) ?? '') : '';
  };
  const forwarded = last('x-forwarded-for');
  return {
    client: isIP(forwarded) ? forwarded : (request.socket?.remoteAddress ?? 'unknown'),
    protocol: last('x-forwarded-proto') === 'https' ? 'https:' : 'http:',
  };
}
