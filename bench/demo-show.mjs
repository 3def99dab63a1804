/** The demo's show in a browser: a page on the list of shows, and the show's path on that server. @param here the server's address */
export async function demoShow(browser, here) {
  const page = await (await browser.newContext()).newPage();
  await page.goto(here);
  const path = await page
    .getByRole('link', { name: /^The Salt Road/ })
    .last()
    .getAttribute('href');
  return { page, path };
}
