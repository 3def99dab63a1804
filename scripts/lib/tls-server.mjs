import { createServer as createHttp } from 'node:http';
import { createServer as createHttps } from 'node:https';
import { createServer as createNet } from 'node:net';
import { fingerprintOf } from './certificate.mjs';

/** The built app behind TLS. On the same port plain HTTP says where it is, and gives the certificate to whoever has to trust it first. */

/** First byte of a TLS handshake (RFC 8446, 5.1). */
const HANDSHAKE = 22;
/** Whoever connects and says nothing is let go after this, milliseconds. */
const SILENCE = 20_000;

/**
 * @param handler of the app
 * @param tls key, cert and authority in PEM
 * @returns a server like one of node:http, listening
 */
export async function serveTls(handler, tls, { host, port, headersTimeout, requestTimeout, keepAliveTimeout }) {
  const secure = createHttps(
    { key: tls.key, cert: tls.cert, minVersion: 'TLSv1.2', headersTimeout, requestTimeout, keepAliveTimeout },
    handler
  );
  const plain = createHttp({ headersTimeout, requestTimeout, keepAliveTimeout }, (request, response) =>
    tell(request, response, tls)
  );
  const door = createNet((socket) => {
    socket.setTimeout(SILENCE, () => socket.destroy());
    socket.once('error', () => socket.destroy());
    socket.once('data', (first) => {
      socket.setTimeout(0);
      socket.pause();
      socket.unshift(first);
      (first[0] === HANDSHAKE ? secure : plain).emit('connection', socket);
      process.nextTick(() => socket.resume());
    });
  });
  await new Promise((done, fail) => {
    door.once('error', fail);
    door.listen({ host, port }, done);
  });
  return {
    close: (closed) => {
      door.close(closed);
      secure.closeIdleConnections();
      plain.closeAllConnections();
    },
    closeAllConnections: () => secure.closeAllConnections()
  };
}

/** What is said without TLS: where it is, how to trust it, and nothing of anybody's. */
function tell(request, response, { authority }) {
  const name = (request.headers.host ?? '').replace(/[^\w.:[\]-]/g, '');
  const headers = { 'x-content-type-options': 'nosniff', 'cache-control': 'no-store' };
  if (authority && request.url === '/guanxi.crt')
    return void response.writeHead(200, { ...headers, 'content-type': 'application/x-x509-ca-cert' }).end(authority);
  if (authority && request.url === '/trust')
    return void response
      .writeHead(200, { ...headers, 'content-type': 'text/html; charset=utf-8' })
      .end(trustPage(name, authority));
  response.writeHead(308, { ...headers, location: `https://${name}${request.url}` }).end();
}

const trustPage = (name, authority) => `<!doctype html>
<html lang="en">
<meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>Trust this Guanxi</title>
<style>body{font:18px/1.5 system-ui,sans-serif;max-width:34rem;margin:2rem auto;padding:0 1rem;color:#121517;background:#faf7f0}a{color:#1d5c69}code{word-break:break-all;font-size:.85em}li{margin:.5rem 0}
@media(prefers-color-scheme:dark){body{color:#faf7f0;background:#121517}a{color:#7cc4d2}}</style>
<h1>Trust this Guanxi</h1>
<p>It runs on a machine in this room and makes its own certificate. Once this phone trusts it, the microphone, working without a network and a screen that stays awake are there.</p>
<ol>
<li>Get the <a href="/guanxi.crt">certificate</a>.</li>
<li>Open it and install it: in the settings, under security or profiles, as a certificate of an authority (CA). Some phones want it switched on as well, under About, certificate trust.</li>
<li>Compare its SHA-256 fingerprint with the one that the machine has printed:<br><code>${fingerprintOf(authority)}</code></li>
<li>Open <a href="https://${name}/">https://${name}</a>.</li>
</ol>
<p>Without trusting it, a browser warns, and goes on if told to. Whoever has the key of this machine could speak for any site to a phone that trusts it: take it off the phone when the job is done.</p>
</html>`;
