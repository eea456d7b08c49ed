// Runs the built server named on the command line, and ends with the command that started it, however that ends.
import { createServer } from 'node:http';
import { pathToFileURL } from 'node:url';

/** The methods any page or endpoint knows. */
const METHODS = ['GET', 'HEAD', 'OPTIONS', 'POST', 'PUT', 'PATCH', 'DELETE'];
/** A request must have come in whole by then, ms. */
const REQUEST_TIMEOUT = 30_000;
/** Images are served as they are: nothing is made anew for whoever asks. */
const isImageService = (url) => /^\/+_image(?:[/?]|$)/i.test(url);

process.once('disconnect', () => process.exit(0));
process.once('SIGTERM', () => process.exit(0));

process.env.ASTRO_NODE_AUTOSTART = 'disabled';
const { handler } = await import(pathToFileURL(process.argv[2]).href);

const refuse = (response, status, title, headers = {}) =>
  response
    .writeHead(status, { 'content-type': 'application/problem+json', 'cache-control': 'no-store', ...headers })
    .end(JSON.stringify({ type: 'about:blank', title, status, detail: `${title}.` }));

const server = createServer((request, response) => {
  if (!METHODS.includes(request.method))
    refuse(response, 405, 'This method is not known here', { allow: METHODS.join(', ') });
  else if (isImageService(request.url)) refuse(response, 404, 'There is nothing here');
  else handler(request, response);
});
server.requestTimeout = REQUEST_TIMEOUT;
server.listen(Number(process.env.PORT), process.env.HOST);
