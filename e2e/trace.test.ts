import type { Page } from '@playwright/test';
import { exampleOf } from '../core/sound/examples';
import { writeWav, writeWavFloat } from '../core/sound/wav';
import { expect, expectAccessibleInBoth, freshShow, test, withMicrophone } from './app';

const PHONE = { width: 390, height: 844 };
const say = (page: Page, told: string, is: string) =>
  page.locator(`[data-told="${told}"] [data-answer="${is}"]`).click();
const ask = (page: Page) => page.locator('[data-ask]');

/** Answers whatever is asked as a hum that a lift takes away would. */
async function answer(page: Page): Promise<void> {
  const asked = (await ask(page).getAttribute('data-ask'))!;
  const is = ({ lift: 'gone', lines: 'some', 'short-box': 'gone' } as Record<string, string>)[asked] ?? 'same';
  await page.locator(`[data-answer="${is}"]`).click();
}

test('on a phone a hum is traced to its ring, taken back, resumed, written down; a tingle stops it', async ({
  page,
  app
}) => {
  await page.setViewportSize(PHONE);
  const id = await freshShow(page, app.url, 'The Salt Road');
  await page.goto(`${app.url}/show/${id}/trace`);
  await page.getByRole('button', { name: /Modular rack/ }).click();
  await expect(ask(page)).toHaveAttribute('data-ask', 'told');
  await expectAccessibleInBoth(page);
  // What can be said already, a word taken back, and what nobody knows left out.
  await page.getByRole('button', { name: 'Hear a whine' }).click();
  await say(page, 'sound', 'hum');
  await say(page, 'since', 'lights');
  await say(page, 'since', 'lights');
  await expect(page.locator('[data-told="since"] [aria-pressed="true"]')).toHaveCount(0);
  await say(page, 'noticed', 'nothing');
  await page.getByRole('button', { name: 'Go on' }).click();
  const first = (await ask(page).getAttribute('data-ask'))!;
  for (const told of ['sound', 'since', 'noticed']) expect(first).not.toBe(told);
  await page.getByRole('button', { name: 'Back', exact: true }).click();
  await expect(page.locator('[data-told="sound"] [aria-pressed="true"]')).toHaveText('a deep hum');
  await page.getByRole('button', { name: 'Go on' }).click();
  // Not sure: it is not asked again, and costs nothing. Then the phone wakes where it was.
  await page.getByRole('button', { name: 'Not sure, or not now' }).click();
  await expect(ask(page)).not.toHaveAttribute('data-ask', first);
  // Each suspect is heard as this line would make it: some seconds, quietly.
  await page.evaluate(() => {
    const { start } = AudioBufferSourceNode.prototype;
    AudioBufferSourceNode.prototype.start = function (...at: []) {
      const samples = this.buffer!.getChannelData(0);
      document.body.dataset.played = `${this.buffer!.duration} ${samples.reduce((a, v) => Math.max(a, Math.abs(v)), 0)}`;
      start.apply(this, at);
    };
  });
  await page
    .locator('[data-suspect]')
    .first()
    .getByRole('button', { name: /^Hear / })
    .click();
  await expect(page.locator('body')).toHaveAttribute('data-played', '2 0.5');
  const second = (await ask(page).getAttribute('data-ask'))!;
  await page.reload();
  await expect(ask(page)).toHaveAttribute('data-ask', second);
  await expectAccessibleInBoth(page);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(PHONE.width);
  await page.getByRole('button', { name: 'Back', exact: true }).click();
  await expect(ask(page)).toHaveAttribute('data-ask', first);

  await page.getByRole('button', { name: 'A tingle, smoke or heat: stop everybody' }).click();
  const stop = page.locator('[data-stop]');
  await expect(stop.getByRole('heading', { name: 'Stop: Modular rack' })).toBeVisible();
  await expectAccessibleInBoth(page);
  await stop.getByRole('button', { name: 'It has been seen to' }).click();
  await page.getByRole('dialog').getByRole('checkbox').check();
  await page.getByRole('dialog').getByLabel('Your name').fill('Mira');
  await page.getByRole('dialog').getByRole('button', { name: 'Clear it' }).click();
  await expect(stop).toHaveCount(0);

  // From the beginning, by whatever is asked, until it is sure.
  await page.getByRole('button', { name: 'Another line' }).click();
  await page.getByRole('button', { name: /Modular rack/ }).click();
  await say(page, 'sound', 'hum');
  await say(page, 'lines', 'some');
  await page.getByRole('button', { name: 'Go on' }).click();
  for (let k = 0; k < 8 && (await page.locator('[data-cause]').count()) === 0; k++) {
    await expect(ask(page)).toBeVisible();
    await answer(page);
    await page.waitForTimeout(200);
  }
  await expect(page.locator('[data-cause]')).toHaveAttribute('data-cause', 'loop');
  await expect(page.getByText('Flip the ground lift at the DI.').first()).toBeVisible();
  await expectAccessibleInBoth(page);
  await page.getByRole('radio', { name: 'Flip the ground lift at the DI.' }).check();
  await page.getByLabel('Note').fill('Socket 6 of the multicore');
  await page.getByRole('button', { name: 'Write it in the log' }).click();
  await expect(page.getByText('Written in the log of this show.')).toBeVisible();
  // It opens, here and in a copy of the show: what was reported, what cured it, the note.
  const copy = await page.request.post(`${app.url}/api/shows/${id}/copy`, { headers: { origin: app.url } });
  const { id: copied } = (await copy.json()) as { id: string };
  for (const shown of [id, copied]) {
    await page.goto(`${app.url}/show/${shown}/trace`);
    const found = page.locator('[data-found]');
    await expect(found).toContainText('Modular rack: A ground loop: shields and mains earths carry current.');
    await found.locator('summary').click();
    await expect(found.getByText('Cured: Flip the ground lift at the DI.')).toBeVisible();
    await expect(found.getByText('Socket 6 of the multicore')).toBeVisible();
    await expect(found.locator('[data-asked="sound"]')).toContainText('a deep hum');
    await expectAccessibleInBoth(page);
  }
});

test('a recording is read on this machine, and what is heard goes into the trace; what is no recording is refused', async ({
  page,
  app
}) => {
  const id = await freshShow(page, app.url, 'The Salt Road');
  const sent: string[] = [];
  await page.goto(`${app.url}/show/${id}/analyse`);
  // Where one is in the show is told to the others; what is heard is not.
  page.on('request', (r) => r.method() !== 'GET' && !r.url().endsWith('/here') && sent.push(r.url()));
  const file = page.getByLabel('Recording', { exact: true });
  await file.setInputFiles({ name: 'x.wav', mimeType: 'audio/wav', buffer: Buffer.from('no recording at all') });
  await expect(page.getByRole('alert')).toContainText('This is no recording that can be read here');
  await expectAccessibleInBoth(page);
  const wav = Buffer.from(writeWav(exampleOf('buzz', 60, 44_100, 6), 44_100));
  await file.setInputFiles({ name: 'stage.wav', mimeType: 'audio/wav', buffer: wav });
  await expect(page.locator('[data-heard]')).toHaveAttribute('data-heard', 'buzz');
  await expect(page.getByRole('heading', { name: /^A buzz of (59\.9\d|60\.0\d)\sHz/ })).toBeVisible();
  await expectAccessibleInBoth(page);
  await expect(page.getByText('This show is planned for 50 Hz.')).toBeVisible();
  // Nothing of it has left the machine.
  expect(sent).toEqual([]);
  await page.getByLabel('Line that makes it').selectOption({ label: 'Modular rack' });
  await page.getByRole('link', { name: 'Trace it with this' }).click();
  await page.waitForURL(/\/trace/);
  await expect(page.locator('[data-told="sound"] [aria-pressed="true"]')).toHaveText('a buzz');
  expect(page.url()).toMatch(/sound=buzz\.\d+/);
  await page.getByRole('button', { name: 'Go on' }).click();
  await expect(page.getByRole('listitem').getByText('a buzz', { exact: true })).toBeVisible();

  // Two channels in opposite polarity are not averaged to nothing; another channel is one choice away.
  await page.goto(`${app.url}/show/${id}/analyse`);
  const left = exampleOf('hum', 50, 44_100, 4);
  const both = Buffer.from(writeWavFloat([left, left.map((v) => -v)], 44_100));
  await file.setInputFiles({ name: 'both.wav', mimeType: 'audio/wav', buffer: both });
  await expect(page.locator('[data-heard]')).toHaveAttribute('data-heard', 'hum');
  await expect(page.getByText('in opposite polarity')).toBeVisible();
  await expectAccessibleInBoth(page);
  await page.getByLabel('Channel').selectOption({ label: 'channel 2' });
  await expect(page.getByLabel('Channel')).toHaveValue('2');
  await expect(page.locator('[data-heard]')).toHaveAttribute('data-heard', 'hum');
  // What is no WAV is decoded by the browser.
  const packed = await page.evaluate(async () => {
    const context = new AudioContext();
    const to = context.createMediaStreamDestination();
    const tone = new OscillatorNode(context, { frequency: 8000 });
    tone.connect(new GainNode(context, { gain: 0.3 })).connect(to);
    tone.start();
    const recorder = new MediaRecorder(to.stream);
    const parts: Blob[] = [];
    recorder.ondataavailable = (e) => parts.push(e.data);
    recorder.start();
    await new Promise((go) => setTimeout(go, 2500));
    await new Promise((go) => ((recorder.onstop = go), recorder.stop()));
    return [...new Uint8Array(await new Blob(parts).arrayBuffer())];
  });
  await file.setInputFiles({ name: 'phone.webm', mimeType: 'audio/webm', buffer: Buffer.from(packed) });
  await expect(page.locator('[data-heard]')).toHaveAttribute('data-heard', 'whine');

  // Without a file and without a microphone: what is made here.
  await page.goto(`${app.url}/show/${id}/analyse`);
  await page.getByLabel('Noise to make').selectOption('crackle');
  await page.getByRole('button', { name: 'Make it' }).click();
  await expect(page.locator('[data-heard]')).toHaveAttribute('data-heard', 'crackle');
  await page.getByRole('button', { name: 'Use the microphone' }).click();
  await expect(page.getByRole('alert')).toContainText(/microphone/);
});

test('a microphone is recorded as it hears, and what it hears told like a file', async ({ app }, info) => {
  const browser = await withMicrophone(info, writeWav(exampleOf('buzz', 60, 48_000, 12), 48_000));
  try {
    const page = await browser.newPage();
    const id = await freshShow(page, app.url, 'The Salt Road');
    await page.goto(`${app.url}/show/${id}/analyse`);
    await page.getByRole('button', { name: 'Use the microphone' }).click();
    const stop = page.getByRole('button', { name: /^Stop, [4-9] s/ });
    await expect(stop).toBeVisible();
    await stop.click();
    await expect(page.locator('[data-heard]')).toHaveAttribute('data-heard', 'buzz');
    await expect(page.getByRole('heading', { name: /^A buzz of (59\.[89]\d?|60|60\.[01]\d?)\sHz/ })).toBeVisible();
    await expect(page.getByText(/^the microphone, [3-9][.,\d]* s/)).toBeVisible();
  } finally {
    await browser.close();
  }
});

test('a long recording tells how far it is, and can be left; a second one ends the first', async ({ page, app }) => {
  const id = await freshShow(page, app.url, 'The Salt Road');
  await page.goto(`${app.url}/show/${id}/analyse`);
  const RATE = 16_000;
  /** Four seconds, over and over. */
  const wav = (sound: 'hum' | 'hiss', seconds: number) => {
    const piece = exampleOf(sound, 50, RATE, 4);
    const samples = Float32Array.from({ length: RATE * seconds }, (_, k) => piece[k % piece.length]);
    return { name: `${sound}.wav`, mimeType: 'audio/wav', buffer: Buffer.from(writeWav(samples, RATE)) };
  };
  const file = page.getByLabel('Recording', { exact: true });
  await file.setInputFiles(wav('hum', 600));
  await expect(page.getByRole('progressbar', { name: 'Analysed so far' })).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByRole('progressbar')).toHaveCount(0);
  await expect(page.locator('[data-heard]')).toHaveCount(0);
  await file.setInputFiles(wav('hum', 600));
  await file.setInputFiles(wav('hiss', 4));
  await expect(page.locator('[data-heard]')).toHaveAttribute('data-heard', 'hiss');
  await expect(page.getByText(/^hiss\.wav, 4\.0 s/)).toBeVisible();
  // The first one, whole: nothing of the second is left in it.
  await file.setInputFiles(wav('hum', 600));
  await expect(page.getByText(/^hum\.wav, 600\.0 s/)).toBeVisible();
  await expect(page.locator('[data-heard]')).toHaveAttribute('data-heard', 'hum');
});

test('a trace by keyboard alone, to its end and on', async ({ page, app }) => {
  const id = await freshShow(page, app.url, 'The Salt Road');
  await page.goto(`${app.url}/show/${id}/trace`);
  const press = async (name: string | RegExp): Promise<void> => {
    await page.getByRole('button', { name }).first().focus();
    await page.keyboard.press('Enter');
  };
  await press(/Theremin/);
  await expect(ask(page)).toHaveAttribute('data-ask', 'told');
  await press('a whine');
  await press('Go on');
  await expect(ask(page)).not.toHaveAttribute('data-ask', 'told');
  // Something else than what it would do next.
  const asked = (await ask(page).getAttribute('data-ask'))!;
  await page.getByText('Another test, or stop here').focus();
  await page.keyboard.press('Enter');
  const other = page.locator('[data-do]').first();
  const instead = (await other.getAttribute('data-do'))!;
  expect(instead).not.toBe(asked);
  await other.focus();
  await page.keyboard.press('Enter');
  await expect(ask(page)).toHaveAttribute('data-ask', instead);
  await press('Stop here: what is it?');
  await expect(page.locator('[data-cause]')).toBeVisible();
  await press('Go on asking');
  await expect(ask(page)).toBeVisible();
});

test('a drill: tests that cost minutes, a cause told, a score with its reasons, the same rig for whoever has its address', async ({
  page,
  app
}) => {
  await page.setViewportSize(PHONE);
  await page.goto(`${app.url}/drill`);
  await expect(page.locator('[data-do]').first()).toBeVisible();
  await expectAccessibleInBoth(page);
  await expect(page.locator('[data-reads]')).toHaveText(/^−\d+\sdBu$/);
  await page.getByText('Its grounds, as planned').click();
  await page
    .getByRole('group', { name: 'Supplies, chassis and shields' })
    .getByLabel(/, earthed$/)
    .first()
    .click();
  await expectAccessibleInBoth(page);
  await page.getByText('Its grounds, as planned').click();
  await page.getByRole('button', { name: 'Hear it' }).click();
  await expect(page.getByRole('img', { name: /^Average spectrum/ })).toBeVisible();
  await expectAccessibleInBoth(page);
  await page.locator('[data-do="sound"]').click();
  await expect(page.locator('[data-asked="sound"]')).toBeVisible();
  await page.locator('[data-do="swap-lead"]').click();
  await expect(page.locator('[data-asked]')).toHaveCount(2);
  // What a test does is heard as well, at the gain at which the noise is.
  await page
    .locator('[data-asked="swap-lead"]')
    .getByRole('button', { name: /^Hear it/ })
    .click();
  await expect(page.getByRole('img', { name: /^Average spectrum/ })).toBeVisible();
  // Twelve of them, and nothing tells before it is over what each is about.
  await expect(page.getByRole('navigation', { name: 'Drills' }).getByRole('button')).toHaveCount(13);
  await expect(page.getByRole('heading', { name: /^Rig 1 of 12: / })).toBeVisible();
  await page.getByRole('button', { name: 'I know what it is' }).click();
  await expectAccessibleInBoth(page);
  await page.locator('[data-suspect="loop"]').click();
  const score = page.locator('[data-score]');
  await expect(score).toContainText('Found:');
  const points = Number(await score.getAttribute('data-score'));
  expect(points).toBeGreaterThan(20);
  expect(points).toBeLessThan(100);
  await expect(score).toContainText('What would have cured it:');
  await page.getByRole('button', { name: 'Hear it cured' }).click();
  await expect(page.locator('[data-heard]')).toBeVisible();
  await expect(page.getByText('most likely then').first()).toBeVisible();
  await expectAccessibleInBoth(page);
  // A wrong one is worth nothing, and the right one is told.
  await page.getByRole('button', { name: 'Once more' }).click();
  await page.getByRole('button', { name: 'I know what it is' }).click();
  await page.locator('[data-suspect]:not([data-suspect="loop"])').first().click();
  await expect(score).toHaveAttribute('data-score', '0');
  await expect(score).toContainText('A ground loop: shields and mains earths carry current.');

  await page.goto(`${app.url}/drill?seed=7&level=3`);
  const rig = page.getByRole('heading', { name: 'Rig 7, level 3' });
  await expect(rig).toBeVisible();
  const told = await page.locator('section').filter({ has: rig }).innerText();
  await page.goto(`${app.url}/drill`);
  await page.goto(`${app.url}/drill?seed=7&level=3`);
  await expect(rig).toBeVisible();
  expect(await page.locator('section').filter({ has: rig }).innerText()).toBe(told);
});

test('a stop is the whole crew’s: seen on a desk and a phone at once, kept over reloads and a lost network, cleared by a name', async ({
  page,
  app,
  device
}) => {
  const id = await freshShow(page, app.url, 'The Salt Road');
  const phone = await (await device({ viewport: PHONE })).newPage();
  await phone.goto(`${app.url}/show/${id}/check`);
  await expect(phone.locator('[data-line-name]')).toBeVisible();
  const desk = page.locator('[data-stop]');
  const there = phone.locator('[data-stop]');
  await page.goto(`${app.url}/show/${id}/earth`);
  // Volts that are no matter of hum are not computed on from.
  await page.getByText('Measured something?').click();
  await page.getByLabel('What was measured').selectOption({ label: 'Volts between Desk platform and Stage left' });
  await page.getByLabel('Reading', { exact: true }).fill('80 V');
  await page.getByRole('button', { name: 'Use it' }).click();
  await expect(page.locator('[data-danger]')).toContainText('Do not touch it.');
  await expect(page.getByText('Map updated.')).toHaveCount(0);
  await page.locator('[data-danger]').getByRole('button').click();
  await expect(there.getByRole('heading', { name: 'Stop: somewhere on stage' })).toBeVisible({ timeout: 3000 });
  await phone.reload();
  await expect(there).toBeVisible();
  // In two steps, and with a name.
  await there.getByRole('button', { name: 'It has been seen to' }).click();
  const dialog = phone.getByRole('dialog');
  await expect(dialog.getByRole('button', { name: 'Clear it' })).toBeDisabled();
  await dialog.getByRole('checkbox').check();
  await dialog.getByLabel('Your name').fill('Ida');
  // The network is gone: it is cleared here, and everywhere once the network is back.
  await phone.route('**/stops/**', (route) => route.abort());
  await dialog.getByRole('button', { name: 'Clear it' }).click();
  await expect(there).toHaveCount(0);
  await expect(desk).toBeVisible();
  await phone.unroute('**/stops/**');
  await expect(desk).toHaveCount(0, { timeout: 20_000 });
});
