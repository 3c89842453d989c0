import { edit, expect, saved, station, test } from './sledge.js';

test('an oven is read with a thermometer, and the bench says what to set', async ({ page, sledge }) => {
  const main = page.getByRole('main');
  await page.goto(`${sledge.url}/batches`);
  await page.getByRole('link', { name: 'the ovens' }).press('Enter');
  await expect(page.getByLabel('Name of the oven')).toHaveValue('Small oven');
  await test.step('its readings say that it runs low', async () => {
    await expect(main).toContainText(/set the dial to 13\d °C: it runs \d °C low \(5 readings, ± \d °C\)/);
    await expect(page.getByRole('list', { name: 'Readings' }).getByRole('listitem')).toHaveCount(5);
  });
  await test.step('what of all open batches goes in together', async () => {
    const loads = page.getByRole('list', { name: 'Loads of the oven' });
    await expect(loads).toContainText('13 Radish blossom of Radish blossoms');
    await expect(loads).toContainText('22 Basket bead, cores of Basket beads');
    await expect(loads).toContainText('% of the tray');
  });
  await test.step('another oven, which nobody has read', async () => {
    await page.getByRole('button', { name: 'another oven' }).press('Enter');
    await expect(main).toContainText('nobody has read it yet');
    await edit(page, 'Name of the oven', 'Hot box');
    await edit(page, 'What the thermometer says', '300 °F');
    await edit(page, 'Minutes since it was switched on', '50');
    await page.getByRole('button', { name: 'Write it down' }).press('Enter');
    await expect(main).toContainText(/it runs \d+ °C hot \(1 reading, ± \d+ °C\)/);
    await saved(page);
    await edit(page, 'What the thermometer says', '900 °C');
    await page.getByRole('button', { name: 'Write it down' }).press('Enter');
    await expect(main).toContainText('The thermometer has to be');
    await expect(page.getByRole('list', { name: 'Readings' }).getByRole('listitem')).toHaveCount(1);
    await edit(page, 'True temperature that is wanted', '110 °C');
    await expect(main).toContainText(/set the dial to (8|9|10)\d °C/);
  });
  await test.step('at the bench both are told', async () => {
    await station(page, 'Batches');
    await page
      .getByRole('link', { name: /^Squash-stripe baubles/ })
      .first()
      .click();
    await page.getByRole('button', { name: 'To the bench', exact: true }).press('Enter');
    const title = page.locator('h1[data-step]');
    for (let i = 0; i < 80 && !(await title.innerText()).startsWith('Bake'); i++) await page.keyboard.press('Space');
    await expect(main).toContainText(/Set the dial of Hot box to \d+ °C: it runs \d+ °C hot/);
    await expect(main).toContainText(/Set the dial of Small oven to \d+ °C: it runs \d+ °C low/);
  });
});
