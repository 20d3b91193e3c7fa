import { expect, type Page, test } from '@playwright/test';
import { allKept, choose, openCopy, signIn, stage } from './workshop';

const JOB = 'Paperbark Farm Vet';

/** Sets the job's state on the bay sheet; what is said against it stays in the dialog. */
async function setState(page: Page, state: string): Promise<void> {
  await page.getByRole('link', { name: 'MERIDEX' }).click();
  const row = page.getByRole('row', { name: new RegExp(JOB) });
  await row.getByRole('button', { name: /state/i }).click();
  await choose(page, 'State of the job', state);
  await page.getByRole('button', { name: 'Set it' }).click();
}

test('the 230 V side: a vehicle does not leave with it open; it is answered, drawn and signed', async ({ page }) => {
  await signIn(page);
  await openCopy(page, 'Bellbird Ranges Mobile Vet', JOB, 'Checks');
  await setState(page, 'handed over');
  await expect(page.getByRole('alert')).toContainText('the 230 V side is not signed by a licensed electrician');
  await page.keyboard.press('Escape');

  await page.getByRole('link', { name: `Open ${JOB}` }).click();
  await stage(page, 'Checks');
  await page.getByRole('link', { name: /Open: the 230 V side is not signed/ }).click();
  await expect(page.getByText('0 of 6 questions answered')).toBeVisible();
  const answer = (ask: string, words: string) => page.getByRole('group', { name: ask }).getByRole('button', { name: words, exact: true }).click();
  await answer('Is its output floating', 'floating');
  await answer('How is it used?', 'by plugging in');
  await answer('Which residual-current device', '30 mA, type A');
  await expect(page.getByText('does not trip on a floating output')).toBeVisible();
  await answer('Which residual-current device', 'none');
  await answer('What keeps 230 V apart', 'own conduit');
  await page.getByRole('textbox', { name: /Which outlets does it feed/ }).fill('one, its own');
  await page.getByRole('textbox', { name: /Which circuits are added/ }).fill('none');
  await page.getByRole('textbox', { name: 'Name of the licensed electrician' }).fill('a licensed electrician');
  await page.getByRole('textbox', { name: 'Licence' }).fill('made up 77');
  await page.getByRole('textbox', { name: 'Statement' }).fill('output, plug and earthing looked at');
  await page.getByRole('button', { name: 'Sign with today’s date' }).click();
  await expect(page.getByText('Signed by a licensed electrician.')).toBeVisible();
  await expect(page.getByRole('img', { name: /230 V on one line: inverter 1600 W floating; no RCD; one, its own/ })).toBeVisible();
  await allKept(page);

  await setState(page, 'handed over');
  await expect(page.getByRole('dialog')).toBeHidden();
});
