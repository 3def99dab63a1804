import { madeSound } from '../core/hear/sounds';
import { writeWav } from '../core/hear/wav-out';
import { readWav } from '../core/sound/wav';
import { laidOver } from '../core/hear/align';
import { readFileSync } from 'node:fs';
import { ready, render } from '../core/hear/render';
import { transferOf } from '../core/hear/transfer';
import { resolve } from '../core/plan/resolved';
import type { Plan } from '../core/plan/schema';
import { expect, expectAccessibleInBoth, freshShow, row, test, withMicrophone } from './app';
import { PHONE } from './checking';

test('a remedy is heard before and after, equally loud; two phones are asked blind, and the log keeps what they liked', async ({
  page,
  app,
  device
}) => {
  const id = await freshShow(page, app.url, 'The Salt Road');
  await row(page, 'Hammered dulcimer').getByRole('button', { name: 'Hammered dulcimer', exact: true }).click();
  await page.getByRole('link', { name: 'hear it' }).click();
  await expect(page).toHaveURL(/\/listen\?line=/);
  await expect(page.getByLabel('What is played')).toHaveValue('plucked');
  // What would fix it is offered; as planned and the first of them are compared.
  await page.getByLabel('Dry, as it leaves the instrument').uncheck();
  await expect(page.getByRole('button', { name: 'Make them ready' })).toBeDisabled();
  await page
    .getByRole('checkbox', { name: /^Active DI/ })
    .first()
    .check();
  await page.getByRole('button', { name: 'Make them ready' }).click();
  const b = page.getByRole('button', { name: /^Hear B, Active DI/ });
  await expect(b).toBeVisible({ timeout: 30_000 });
  await expect(page.locator('[data-alike]')).toContainText('All are equally loud, within 0.1 dB');
  await page.getByRole('button', { name: 'Play', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Pause' })).toBeVisible();
  await b.click();
  await expect(b).toHaveAttribute('aria-pressed', 'true');
  await page.keyboard.press('a');
  await expect(b).toHaveAttribute('aria-pressed', 'false');
  // A part of it goes round: from here, and all of it again.
  const loop = page.locator('[data-loop]');
  await expect(loop).toHaveText(/^0(\.0)? to 8(\.0)?\ss goes round$/);
  await page.getByRole('slider', { name: 'Place in the loop' }).fill('5');
  await page.getByRole('button', { name: 'loop from here' }).click();
  await expect(loop).toHaveText(/^5(\.\d)? to 8(\.0)?\ss goes round$/);
  await page.waitForTimeout(3500);
  expect(Number(await page.getByRole('slider', { name: 'Place in the loop' }).inputValue())).toBeGreaterThanOrEqual(5);
  await page.getByRole('button', { name: 'loop all of it' }).click();
  await expect(loop).toHaveText(/^0(\.0)? to 8(\.0)?\ss/);
  // A lead is turned while it plays: heard at once, and back as it was.
  await page.getByRole('slider', { name: /jack lead of .*: length/i }).press('ArrowRight');
  await expect(page.locator('[data-turn="turned"]')).toBeVisible();
  await page.getByRole('button', { name: 'As made ready' }).click();
  await expect(page.locator('[data-turn="planned"]')).toBeVisible();
  await page.getByRole('button', { name: 'Waveforms and spectra' }).click();
  await expect(page.locator('[data-pictures]')).toContainText(/B against A: \+\d.* dB at 100 Hz/);
  await expectAccessibleInBoth(page);

  // The files are what is heard: bass is lost as planned, and there with the remedy.
  const low = async (letter: string): Promise<number> => {
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: `Save ${letter} as WAV` }).click()
    ]);
    const bytes = readFileSync(await file.path());
    const read = readWav(bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.byteLength));
    if (!read.ok) throw new Error(read.fault.code);
    const { samples, rate } = read.wav;
    // What is below 150 Hz, of all of it: a low pass of one pole, twice.
    const keep = Math.exp((-2 * Math.PI * 150) / rate);
    let [s, t, sum, all] = [0, 0, 0, 0];
    for (const v of samples) {
      s = keep * s + (1 - keep) * v;
      t = keep * t + (1 - keep) * s;
      sum += t * t;
      all += v * v;
    }
    return 10 * Math.log10(sum / all);
  };
  const [planned, remedied] = [await low('A'), await low('B')];
  expect(remedied - planned).toBeGreaterThan(3);

  // In a mix of the other lines and the noise of the room it is another sound, as loud as before against the same.
  await page.getByLabel('What is around it').selectOption('a mix of the other lines');
  await page.getByLabel('with the noise of the room').check();
  await page.getByRole('button', { name: 'Make them ready' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Making them ready' })).toHaveCount(0, { timeout: 60_000 });
  await expect(page.locator('[data-alike]')).toContainText('within 0.1 dB');
  expect((await low('B')) - (await low('A'))).toBeLessThan(remedied - planned - 1);

  // Two people, each on a phone, blind.
  for (const who of ['Mira', 'Tove']) {
    const phone = await (await device({ viewport: PHONE })).newPage();
    await phone.goto(page.url());
    await phone
      .getByRole('checkbox', { name: /^Active DI/ })
      .first()
      .check();
    await phone.getByRole('button', { name: 'Make them ready' }).click();
    await phone.getByRole('button', { name: 'Which do you like?' }).click({ timeout: 30_000 });
    await phone.getByRole('button', { name: 'Begin' }).click();
    // Nothing on the screen tells which is which.
    await expect(phone.locator('[data-heard]')).toHaveText(['A', 'B', 'C']);
    await expect(phone.getByRole('button', { name: 'I like A best' })).toBeDisabled();
    for (let round = 0; round < 3; round++) {
      for (const letter of ['A', 'B', 'C'])
        await phone.getByRole('button', { name: `Hear ${letter}`, exact: true }).click();
      if (round === 0) {
        expect(await phone.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(PHONE.width);
        await expectAccessibleInBoth(phone);
      }
      await phone.getByRole('button', { name: 'I like B best' }).click();
    }
    await expect(phone.locator('[data-result]')).toContainText(/blind/);
    await phone.getByLabel('Who listened').fill(who);
    await phone.getByRole('button', { name: 'Write it in the log' }).click();
    await expect(phone.getByText('Written in the log.')).toBeVisible();
  }
  // Two more on phones of their own, against one set that is kept with the show.
  await page.getByRole('button', { name: 'Which do you like?' }).click();
  await page.getByRole('button', { name: 'Keep them and show the code' }).click();
  const others = page.locator('[data-others]');
  await expect(others.getByRole('img', { name: 'Code that opens the set on a phone' })).toBeVisible();
  await expect(others.locator('[data-result]')).toHaveText('Nobody has answered yet.');
  const link = (await others.getByRole('link').getAttribute('href'))!;
  for (const who of ['Jun', 'Sanna']) {
    const phone = await (await device({ viewport: PHONE })).newPage();
    await phone.goto(new URL(link).pathname.replace(/^/, app.url));
    await expect(phone.getByRole('heading', { name: 'Hammered dulcimer: which do you like?' })).toBeVisible();
    await phone.getByRole('button', { name: 'Begin' }).click();
    expect(await phone.content()).not.toContain('Active DI');
    for (let round = 0; round < 3; round++) {
      for (const letter of ['A', 'B']) await phone.getByRole('button', { name: `Hear ${letter}`, exact: true }).click();
      if (round === 0) await expectAccessibleInBoth(phone);
      await phone.getByRole('button', { name: 'I like A best' }).click();
    }
    await phone.getByLabel('Your name').fill(who);
    await phone.getByRole('button', { name: 'Send it' }).click();
    await expect(phone.locator('[data-sent]')).toBeVisible();
  }
  await expect(others.locator('li')).toHaveCount(2);
  await expect(others.locator('[data-result]')).toHaveText(/^Blind: \d of 2 .*\.$/);
  await others.getByRole('button', { name: 'Write it in the log' }).click();
  await expect(page.getByText('Written in the log.')).toBeVisible();
  await others.getByRole('button', { name: 'Take the sounds out' }).click();
  await expect(others.locator('[data-result]')).toHaveCount(0);

  await page.goto(`${app.url}/show/${id}/log`);
  await expect(page.locator('[data-entry="note"]').filter({ hasText: 'Listened to Hammered dulcimer' })).toHaveCount(3);
  await expect(page.getByText(/Hammered dulcimer, Tove: .*blind/)).toBeVisible();
  // It stands with the instrument, where the next show sees it.
  await page.goto(`${app.url}/memory/players`);
  await page.getByRole('link', { name: 'Hammered dulcimer' }).click();
  // One who tries again finds those of before there, too.
  await expect(page.locator('[data-by-ear] li').nth(2)).toBeVisible();
  await expect(page.locator('[data-by-ear]')).toContainText('Mira: ');
});

test('whether a difference is heard: as many trials as were agreed, chance in plain words; takes from files are laid over each other', async ({
  page,
  app
}) => {
  const id = await freshShow(page, app.url, 'The Salt Road');
  await page.goto(`${app.url}/show/${id}/listen`);
  const played = madeSound('keys', 48_000);
  const wav = (samples: Float32Array, name: string) => ({
    name,
    mimeType: 'audio/wav',
    buffer: Buffer.from(writeWav(samples, 48_000, name))
  });
  const later = laidOver(played, played.length, -480, 0).map((v) => -0.25 * v);
  await page.getByLabel('Add takes from files').setInputFiles([wav(played, 'first.wav'), wav(later, 'second.wav')]);
  await expect(page.getByLabel('second.wav')).toBeChecked();
  await page.getByRole('button', { name: 'Make them ready' }).click();
  const takes = page.locator('main ol li');
  await expect(takes).toHaveCount(2, { timeout: 30_000 });
  await expect(takes.nth(1)).toContainText(/was \+10\.00\sms late/);
  await expect(takes.nth(1)).toContainText('was turned over');

  await page.getByRole('button', { name: 'Can you hear a difference?' }).click();
  await page.getByLabel(/How many trials/).selectOption('8');
  await expect(page.getByText('7 of 8 right would show it')).toBeVisible();
  await page.getByRole('button', { name: 'Begin' }).click();
  for (let trial = 1; trial <= 8; trial++) {
    await expect(page.getByText(`Trial ${trial} of 8.`)).toBeVisible();
    await expect(page.getByRole('button', { name: 'X is A' })).toBeDisabled();
    await page.getByRole('button', { name: 'Hear X' }).click();
    await page.getByRole('button', { name: 'X is A' }).click();
  }
  await expect(page.locator('[data-result]')).toContainText(/first\.wav against second\.wav: \d of 8 right/);
  await expectAccessibleInBoth(page);
  await page.getByRole('button', { name: 'Again' }).click();
  await page.getByRole('button', { name: 'Begin' }).click();
  await page.getByRole('button', { name: 'Break off' }).click();
  await expect(page.locator('[data-result]')).toContainText('broken off after 0 of 8, 0 right. That says nothing yet.');
});

test('two takes of one performance, one recorded here: what lies between them is held against the plan, and a wrong lead is found', async ({
  app
}, info) => {
  const browser = await withMicrophone(info, writeWav(madeSound('programme', 48_000), 48_000, 'played'));
  try {
    const page = await browser.newPage();
    const id = await freshShow(page, app.url, 'The Salt Road');
    const plan = (await (await page.request.get(`${app.url}/api/shows/${id}/plan`)).json()) as { plan: Plan };
    const line = resolve(plan.plan).lines.find((l) => l.info?.name === 'Electric bouzouki')!;
    // What is really there: a lead with three times the capacitance of the one that is planned.
    const hidden = structuredClone(plan.plan);
    const [lead] = line.cables;
    hidden.cables[lead] = { ...hidden.cables[lead], settings: { cShield: 330e-12 } };
    const x = madeSound('programme', 48_000);
    const to = ready(transferOf(hidden, resolve(hidden).line(line.id)!), 48_000);
    const y = render(to, x, 0.02, { hum: null, hiss: false });
    const loud = y.reduce((a, v) => Math.max(a, Math.abs(v)), 0);
    const wav = (samples: Float32Array, name: string) => ({
      ...{ name, mimeType: 'audio/wav', buffer: Buffer.from(writeWav(samples, 48_000, name)) }
    });
    await page.goto(`${app.url}/show/${id}/listen?line=${line.id}`);
    await page.getByLabel('Add takes from files').setInputFiles([
      wav(x, 'dry.wav'),
      wav(
        y.map((v) => (0.5 * v) / loud),
        'lead.wav'
      )
    ]);
    await page.getByRole('button', { name: 'Make them ready' }).click();
    await page.getByLabel('A came through').selectOption('Dry, as it leaves the instrument', { timeout: 30_000 });
    await page.getByLabel('B came through').selectOption('As it is planned');
    const told = page.locator('[data-against]');
    await expect(told).toContainText('something is not as planned');
    const found = told.locator('li').filter({ hasText: 'core to shield, per metre' });
    const [, picofarads] = /per metre (\d+)\sp/.exec((await found.textContent())!)!;
    expect(Math.abs(Number(picofarads) / 330 - 1)).toBeLessThan(0.1);
    await expectAccessibleInBoth(page);
    await found.getByRole('button', { name: 'Take it over' }).click();
    await expect(told).toContainText('its values are right, as far as this can be heard');
    await expect(page.getByText('Saved', { exact: true })).toBeVisible();
    const { plan: now } = (await (await page.request.get(`${app.url}/api/shows/${id}/plan`)).json()) as { plan: Plan };
    expect(Math.abs(now.cables[lead].settings!.cShield! / 330e-12 - 1)).toBeLessThan(0.1);

    // Recorded here, a take is one more of them.
    await page.getByRole('button', { name: 'Record a take here' }).click();
    await page.getByRole('button', { name: /^Stop recording, [2-9] s/ }).click();
    await expect(page.getByLabel('recorded take 1')).toBeChecked();
    // What may be wrong with the line, and its tolerance, are offered from where they stand.
    await page.goto(`${app.url}/show/${id}/listen?line=${line.id}&with=tolerance`);
    await expect(page.getByRole('checkbox', { name: /^Within tolerance at its dullest, −/ })).toBeChecked();
    await page.getByRole('button', { name: 'What may be wrong with it' }).click();
    await expect(page.getByRole('checkbox', { name: /^The shield of .* is broken/ }).first()).toBeVisible();
  } finally {
    await browser.close();
  }
});
