// nginx with TLS by deploy/nginx/toile.conf, with a certificate made for the drill alone.
import { readFileSync, writeFileSync } from 'node:fs';
import http from 'node:http';
import https from 'node:https';
import path from 'node:path';
import { root } from '../lib/paths.mjs';
import { output } from '../lib/run.mjs';

const NAME = 'toile.example';

/** The shipped site on ports of the drill's own; makes its certificate in `folder`. */
export function tlsSite({ folder, servers, tlsPort, redirectPort }) {
  const [cert, key] = ['cert.pem', 'key.pem'].map((name) => path.join(folder, name));
  const made = output('openssl', [
    ...['req', '-x509', '-newkey', 'rsa:2048', '-nodes', '-days', '1', '-keyout', key, '-out', cert],
    ...['-subj', `/CN=${NAME}`, '-addext', `subjectAltName=DNS:${NAME}`],
  ]);
  if (made === null) throw new Error('openssl made no certificate');
  const [first, second] = servers;
  const site = readFileSync(path.join(root, 'deploy/nginx/toile.conf'), 'utf8')
    .replace('127.0.0.1:8080', `127.0.0.1:${first}`)
    .replace('127.0.0.1:8081', `127.0.0.1:${second}`)
    .replace('listen 80;', `listen 127.0.0.1:${redirectPort};`)
    .replace('listen 443 ssl', `listen 127.0.0.1:${tlsPort} ssl`)
    .replace(/ssl_certificate \S+;/, `ssl_certificate ${cert};`)
    .replace(/ssl_certificate_key \S+;/, `ssl_certificate_key ${key};`)
    .replace('/etc/nginx/toile-locations.conf', path.join(folder, 'locations.conf'));
  const file = path.join(folder, 'toile.conf');
  writeFileSync(file, site);
  return { file, cert };
}

/** One request to its end: status and headers. */
function told(module, options, body) {
  return new Promise((resolve, reject) => {
    const request = module.request({ host: '127.0.0.1', ...options }, (answer) => {
      answer.resume();
      answer.on('end', () => resolve({ status: answer.statusCode, headers: answer.headers }));
    });
    request.on('error', reject);
    request.end(body);
  });
}

/**
 * Signs in through TLS as a browser would; throws unless it holds what an operator relies on, else says what
 * was seen.
 */
export async function overTls({ cert, tlsPort, redirectPort, email, password }) {
  const headers = { host: NAME, 'content-type': 'application/json' };
  const secured = { port: tlsPort, servername: NAME, ca: readFileSync(cert), headers };
  const signedIn = await told(
    https,
    { ...secured, path: '/api/session', method: 'POST' },
    JSON.stringify({ email, password }),
  );
  const cookie = signedIn.headers['set-cookie']?.[0] ?? '';
  const redirected = await told(http, { port: redirectPort, path: '/kit', headers: { host: NAME } });
  const seen = {
    'signed in': signedIn.status === 200,
    'a cookie for TLS only': /; Secure/i.test(cookie) && /; HttpOnly/i.test(cookie),
    'TLS asked for from now on': /max-age=31536000/.test(signedIn.headers['strict-transport-security'] ?? ''),
    'sent on from http': redirected.status === 301 && redirected.headers.location === `https://${NAME}/kit`,
  };
  const missing = Object.entries(seen).flatMap(([what, is]) => (is ? [] : [what]));
  if (missing.length > 0) throw new Error(`over TLS not: ${missing.join(', ')}`);
  return Object.keys(seen).join(', ');
}
