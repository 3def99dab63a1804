import { get } from 'node:https';
import { expect } from '@playwright/test';
import { join } from 'node:path';
import { certificateFor, fingerprintOf } from '../scripts/lib/certificate.mjs';
import { test } from './app';
import { ownApp } from './door';

/** An address of this machine that is not the loopback which is let in without an account: a network in small. */
const NEAR = '127.0.0.3';

const asked = (url: string, ca: string): Promise<number> =>
  new Promise((done, fail) => {
    get(url, { ca }, (answer) => {
      answer.resume();
      done(answer.statusCode!);
    }).on('error', fail);
  });

test('on a network it serves TLS with a certificate of its own, which a phone can get, compare and trust', async ({
  device,
  meant
}) => {
  meant(/401 \w+ \/api\//);
  const { app, end } = await ownApp(NEAR);
  try {
    expect(app.url).toMatch(/^https:/);
    const { authority } = await certificateFor(NEAR);
    // Trusted by its authority and by no other.
    expect(await asked(`${app.url}/healthz`, authority!)).toBe(200);
    await expect(asked(`${app.url}/healthz`, '')).rejects.toThrow(/self-signed|unable to verify|issuer/i);

    const phone = await (await device({ ignoreHTTPSErrors: true, viewport: { width: 390, height: 844 } })).newPage();
    const plain = app.url.replace('https:', 'http:');
    await phone.goto(`${plain}/trust`);
    await expect(phone.getByRole('heading', { name: 'Trust this Guanxi' })).toBeVisible();
    await expect(phone.locator('code')).toHaveText(fingerprintOf(authority!));
    const given = await phone.request.get(`${plain}/guanxi.crt`);
    expect(given.headers()['content-type']).toBe('application/x-x509-ca-cert');
    expect(await given.text()).toBe(authority);
    // Nothing else is said without TLS: neither a show nor a way in.
    const moved = await phone.request.post(`${plain}/api/shows`, { maxRedirects: 0, data: { name: 'x' } });
    expect([moved.status(), moved.headers().location]).toEqual([308, `${app.url}/api/shows`]);
    expect(await (await phone.request.get(`${plain}/kit`, { maxRedirects: 0 })).text()).toBe('');

    await phone.goto(`${plain}/`);
    await expect(phone).toHaveURL(new RegExp(`^${app.url}/sign-in`));
    expect(await phone.evaluate(() => window.isSecureContext)).toBe(true);
  } finally {
    await end();
  }
});

test('a certificate of one’s own is served as it is, and one that does not fit its key is told', async () => {
  const folder = join(process.cwd(), '.data/tls');
  const own = { TLS_KEY: join(folder, 'server.key'), TLS_CERT: join(folder, 'server.crt') };
  await certificateFor(NEAR);
  try {
    Object.assign(process.env, own);
    expect((await certificateFor(NEAR)).authority).toBeNull();
    process.env.TLS_KEY = join(folder, 'authority.key');
    await expect(certificateFor(NEAR)).rejects.toThrow('is no certificate for the key');
    delete process.env.TLS_KEY;
    await expect(certificateFor(NEAR)).rejects.toThrow('go together');
  } finally {
    delete process.env.TLS_KEY;
    delete process.env.TLS_CERT;
  }
});
