import { AxeBuilder } from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

const PASSWORD = process.env['LUSTRUM_PASSWORD'] ?? 'furrow-and-kite-2026';

export async function signIn(page: Page, who = 'maren@hollowlane.example'): Promise<void> {
  await page.goto('/');
  await page.getByLabel('E-mail').fill(who);
  await page.getByLabel('Password').fill(PASSWORD);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('button', { name: /people and sign out/ })).toBeVisible();
}

/** Opens a station of a build of one of the demo's devices. */
export async function open(page: Page, device: string, letter: string, station: string): Promise<void> {
  await page.goto('/');
  const href = await page
    .getByRole('link', { name: new RegExp(device) })
    .first()
    .getAttribute('href');
  await page.goto(`${href!.split('/').slice(0, 3).join('/')}/${encodeURIComponent(letter)}/${station}`);
  await expect(sentence(page)).toBeVisible();
}

export function sentence(page: Page) {
  return page.getByTestId('sentence');
}

/** No violation of WCAG 2.2 AA that a machine can find, and nothing that runs out of the page sideways. */
export async function isAccessible(page: Page, what: string): Promise<void> {
  const found = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'])
    .analyze();
  expect(
    found.violations.map((v) => `${what}: ${v.id} at ${v.nodes.map((n) => n.target.join(' ')).join(', ')}`),
  ).toEqual([]);
  const overflow = await page.evaluate(
    () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
  );
  expect(overflow, `${what} runs out of the page`).toBeLessThanOrEqual(1);
}

/** Fills the form of a slip by label. */
export async function fill(page: Page, values: Record<string, string>): Promise<void> {
  const slip = page.getByRole('dialog');
  for (const [label, value] of Object.entries(values)) {
    const field = slip.getByLabel(label, { exact: true });
    if ((await field.evaluate((e) => e.tagName)) === 'SELECT') await field.selectOption({ label: value });
    else await field.fill(value);
  }
}

export async function press(page: Page, name: string | RegExp): Promise<void> {
  await page
    .getByRole('button', { name, exact: typeof name === 'string' })
    .first()
    .click();
}

export async function saveSlip(page: Page, name = 'Save'): Promise<void> {
  await page.getByRole('dialog').getByRole('button', { name, exact: true }).click();
  await expect(page.getByRole('dialog')).toBeHidden();
}
