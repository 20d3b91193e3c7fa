import { expect, test } from '@playwright/test';
import { openJob, signIn, stage } from './workshop';

test('a colleague joins by a link, does what the role may, and is let go', async ({ page, browser }) => {
  await signIn(page);
  await page.getByRole('link', { name: 'people' }).click();
  await expect(page.getByRole('row', { name: /owner \(you\)/ })).toBeVisible();

  const link = await test.step('a link is made for an apprentice', async () => {
    await page.locator('nz-select[aria-label="Role of the invitation"]').click();
    await page.locator('nz-option-item').filter({ hasText: 'apprentice' }).click();
    await page.getByRole('button', { name: 'Make a link' }).click();
    return page.getByRole('textbox', { name: 'Invitation', exact: true }).inputValue();
  });

  const other = await browser.newContext({ baseURL: new URL(page.url()).origin });
  const theirs = await other.newPage();
  await test.step('they join by it, after a password too short was refused in words', async () => {
    await theirs.goto(link);
    await expect(theirs.getByText('invites you to Tallowgum Auto Electrics as apprentice')).toBeVisible();
    await theirs.getByRole('textbox', { name: 'Your name' }).fill('Wren');
    await theirs.getByRole('textbox', { name: 'Address' }).fill('wren@tallowgum.example');
    await theirs.getByLabel('Password').fill('short');
    await theirs.getByRole('button', { name: 'Join' }).click();
    await expect(theirs.getByRole('alert')).toContainText('10 letters or more');
    await theirs.getByLabel('Password').fill('ties the looms');
    await theirs.getByRole('button', { name: 'Join' }).click();
    await expect(theirs.getByRole('heading', { name: 'Bay sheet' })).toBeVisible();
  });

  await test.step('what an apprentice may not is told, with who may', async () => {
    await openJob(theirs, 'Cinderbush Orchard Bees', 'Checks');
    await theirs.locator('button.row').first().click();
    await theirs.getByRole('textbox', { name: 'Reason' }).fill('seen');
    await theirs.getByRole('button', { name: 'Accept with this name' }).click();
    await expect(theirs.getByRole('alert')).toContainText('An apprentice may not accept a finding');
    await theirs.reload();
    const told = theirs.getByRole('alert').filter({ hasText: 'Not taken' });
    await expect(told, 'what was refused is kept until they decide').toContainText('An apprentice may not accept a finding');
    await expect(theirs.getByRole('status').filter({ hasText: '1 not taken' })).toBeVisible();
    await told.getByRole('button', { name: 'Let it go' }).click();
    await stage(theirs, 'Fit');
    await theirs.getByRole('button', { name: 'by kind of work' }).click();
    await theirs.locator('label.step').first().click();
    await expect(theirs.getByRole('status').filter({ hasText: /all kept/ })).toBeVisible();
  });

  await test.step('their access is ended, and they are out at once', async () => {
    await page.reload();
    await page.getByRole('button', { name: 'End access of Wren' }).click();
    await expect(page.getByRole('status')).toContainText('Wren is signed out everywhere');
    await theirs.goto('/');
    await expect(theirs.getByRole('button', { name: 'Sign in' })).toBeVisible();
  });
  await other.close();
});
